import { useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { type Suspect, withFigure } from '~/core/asbuilt/matters'
import { usualMisses } from '~/core/survey/usualMisses'
import type { Length } from '~/length'
import { figureName, matterText as text, suspectText } from '~/messages'
import type { Edit, Workpiece } from '~/model'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Row, Soft } from '~/ui/page'
import { narrow, space } from '~/ui/theme'
import { searchMatters } from '~/workers/proposalsClient'
import { useWorkerAnswer } from './useWorkerAnswer'
import { newToken } from './saving/browserSaver'
import { useWallEditor } from './WallEditor'

/** Above the cut list its room is there before the answer is: nothing below it jumps. */
const Brief = styled.section`
  min-height: 136px;
  ${narrow} {
    min-height: 232px;
  }
`
const Item = styled.li`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space.s} ${space.l};
  padding: ${space.s} 0;
  border-bottom: 1px solid var(--line);
`
/** So long figures are asked for, one by one; those there is no time for are counted. */
const ASK_MS = 12_000
/** Hundreds of figures on a wall of hundreds of pieces take longer than anyone waits. */
const GIVE_UP_MS = 30_000
/** So many are shown until all are asked for; beside the cut list the worst alone. */
const FEW = { full: 3, brief: 1 }

/** A second reading of the same: its field is empty, since one that shows what it expects checks nothing. */
function ReadAgain({ suspect }: { suspect: Suspect }) {
  const { workpiece, wording, edit } = useWallEditor()
  const [open, setOpen] = useState(false)
  const [now, setNow] = useState<Length | null>(null)
  const { survey } = workpiece.wall
  const { key, figure, value } = suspect
  const agrees = now !== null && Math.abs(now - value) <= workpiece.settings.closure
  // a reading stays, struck by the next at its place; other figures have one value, and a note that they agreed
  const again = (of: Length): Edit[] => {
    if (figure.of !== 'reading') return [{ type: 'patchSurvey', patch: withFigure(survey, figure, of) }]
    const { reading } = figure
    const next = {
      ...reading,
      id: `r-${newToken()}`,
      value: of,
      method: 'tape' as const,
      takenAt: new Date().toISOString(),
    }
    return [{ type: 'patchSurvey', patch: { readings: [...survey.readings, next] } }]
  }
  const agreed: Edit = {
    type: 'patchSurvey',
    patch: { readAgain: [...survey.readAgain.filter((each) => each.key !== key), { key, value }] },
  }
  if (!open)
    return (
      <Button onPress={() => setOpen(true)} data-focus={`again-${key}`}>
        {text.again}
      </Button>
    )
  return (
    <>
      <LengthField
        label={`${text.again}: ${figureName(figure, wording)}`}
        value={now}
        format={wording.format}
        onChange={setNow}
        autoFocus
      />
      {now === null ? null : agrees ? (
        <Row>
          <Button $kind="main" onPress={() => edit(figure.of === 'reading' ? again(now) : [agreed], 'done')}>
            {text.agrees}
          </Button>
        </Row>
      ) : (
        <Row>
          <Fractions text={text.differs(value, now, wording)} />
          <Button
            onPress={() => {
              edit(again(now), 'done')
              // the same number can't agree with itself: the field is empty again
              setNow(null)
              setOpen(false)
            }}
          >
            <Fractions text={text.take(now, wording)} />
          </Button>
        </Row>
      )}
    </>
  )
}

/** What would be spoiled if a figure that was read only once is off: worked out by planning again, worst first. */
export function Matters({ brief = false }: { brief?: boolean }) {
  const { workpiece, wording } = useWallEditor()
  const [all, setAll] = useState(false)
  const { units } = workpiece.settings
  const question = useMemo(
    (): { workpiece: Workpiece; misses: Length[]; ms: number } => ({
      workpiece,
      misses: usualMisses(units),
      ms: ASK_MS,
    }),
    [workpiece, units],
  )
  const { answer: found, searching, failed } = useWorkerAnswer(question, searchMatters, true, GIVE_UP_MS)
  const answer = found?.suspects ?? null
  const Section = brief ? Brief : 'section'
  const few = brief ? FEW.brief : FEW.full
  const shown = all ? answer : answer?.slice(0, few)
  const rest = (answer?.length ?? 0) - few
  return (
    <Section aria-label={text.title} aria-busy={searching} data-matters>
      <h2>{text.title}</h2>
      <Soft>
        {failed ? text.failed : answer === null ? text.working : answer.length === 0 ? text.none : text.lead}
      </Soft>
      {found && found.unasked > 0 ? <Soft data-unasked>{text.unasked(found.unasked)}</Soft> : null}
      <ol>
        {shown?.map((suspect) => (
          <Item key={suspect.key} data-suspect={suspect.key}>
            <Fractions text={suspectText(suspect, wording)} />
            <ReadAgain suspect={suspect} />
          </Item>
        ))}
      </ol>
      {rest > 0 ? (
        <Button $kind="quiet" onPress={() => setAll(!all)}>
          {all ? text.fewer : text.more(rest)}
        </Button>
      ) : null}
    </Section>
  )
}
