import { useState } from 'react'
import { FileTrigger } from 'react-aria-components'
import { styled } from 'styled-components'
import type { FileOutline, OutlineUnit } from '~/core/files/outline'
import { surveyFromOutline } from '~/core/files/outlineSurvey'
import { boundsOf } from '~/core/geometry'
import { useWallEditor } from '~/editor/WallEditor'
import { outlineIssueText, outlineShapeText, outlineText, whyNot } from '~/messages'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Alert, Row, Soft } from '~/ui/page'
import { space } from '~/ui/theme'
import { newEntryId } from './takeReading'

const Read = styled.div`
  display: grid;
  gap: ${space.s};
  padding: ${space.m};
  border: 1px solid var(--line);
  background: var(--paper);
`
const Drawn = styled.svg`
  display: block;
  width: 100%;
  max-height: 160px;
`
/** No drawing of a wall is larger. */
const MOST_BYTES = 5_000_000

interface Held extends FileOutline {
  readonly units: Readonly<Record<OutlineUnit, number>>
}

/** A wall's outline in from SVG or DXF: read, shown, and taken as the survey once somebody says so. */
export function OutlinePanel() {
  const { workpiece, wording, edit, saveNow } = useWallEditor()
  const { survey } = workpiece.wall
  const [held, setHeld] = useState<Held | null>(null)
  const [unit, setUnit] = useState<OutlineUnit>(workpiece.settings.units === 'mm' ? 'mm' : 'in')
  const [problem, setProblem] = useState('')
  const open = async (files: FileList | null) => {
    const file = files?.[0]
    if (!file) return
    setHeld(null)
    const { readOutline, NM_PER_UNIT } = await import('~/core/files/outline')
    const kind = /\.dxf$/i.test(file.name) ? 'dxf' : 'svg'
    const read =
      file.size > MOST_BYTES
        ? ({ ok: false, issue: { code: 'unreadable' } } as const)
        : readOutline(await file.text(), kind)
    if (!read.ok) return setProblem(outlineIssueText(read.issue))
    setProblem('')
    setHeld({ ...read.value, units: NM_PER_UNIT })
  }
  const per = held ? (held.nmPer ?? held.units[unit]) : 1
  const polygon = held ? held.points.map(({ x, y }) => ({ x: x * per, y: y * per })) : null
  const made = polygon && surveyFromOutline(polygon, survey, new Date().toISOString(), () => newEntryId('o'))
  const shape = survey.readings.filter((reading) => !('deg' in reading)).length
  const box = polygon && boundsOf(polygon)
  const take = async () => {
    if (!made?.ok) return
    const { width, height, readings, things } = made.value
    setHeld(null)
    edit([{ type: 'patchSurvey', patch: { width, height, readings, things } }], 'done')
    await saveNow()
  }
  return (
    <>
      <Row>
        <FileTrigger acceptedFileTypes={['.svg', '.dxf']} onSelect={(files) => void open(files)}>
          <Button>{outlineText.open}</Button>
        </FileTrigger>
      </Row>
      <Soft>{outlineText.how}</Soft>
      {problem === '' ? null : <Alert role="alert">{problem}</Alert>}
      {held && made && box ? (
        <Read data-testid="outline">
          <Drawn
            viewBox={`${box.left / 1e6} ${-box.top / 1e6} ${(box.right - box.left) / 1e6} ${(box.top - box.bottom) / 1e6}`}
            role="img"
            aria-label={outlineText.picture}
          >
            <polygon
              points={polygon.map(({ x, y }) => `${x / 1e6},${-y / 1e6}`).join(' ')}
              fill="var(--wall)"
              stroke="var(--ink)"
              vectorEffect="non-scaling-stroke"
            />
          </Drawn>
          {held.nmPer === null ? (
            <>
              <Soft>{outlineText.ask}</Soft>
              <Choice
                label={outlineText.unit}
                value={unit}
                options={(Object.keys(outlineText.units) as OutlineUnit[]).map((id) => ({
                  id,
                  text: outlineText.units[id],
                }))}
                onChange={setUnit}
              />
            </>
          ) : null}
          {made.ok ? (
            <p>
              {outlineText.becomes(made.value.width, made.value.height, wording)}{' '}
              {outlineText.missing(made.value.things.filter(({ kind }) => kind === 'cutOff').length)}{' '}
              {outlineText.others(held.others)} {outlineText.replaces(shape)}
            </p>
          ) : (
            <Alert role="alert">{outlineShapeText(made.issue, wording)}</Alert>
          )}
          <Row>
            <Button $kind="main" isDisabled={!made.ok} why={whyNot.outline} onPress={() => void take()}>
              {outlineText.take}
            </Button>
            <Button onPress={() => setHeld(null)}>{outlineText.away}</Button>
          </Row>
        </Read>
      ) : null}
    </>
  )
}
