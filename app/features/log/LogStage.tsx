import { useMemo, useState } from 'react'
import { FileTrigger } from 'react-aria-components'
import { styled } from 'styled-components'
import { type DayLine, dayPages } from '~/core/log/dayPages'
import { workedOnWall } from '~/core/log/worked'
import type { Frame } from '~/drawing/view/frame'
import { SCREEN } from '~/drawing/view/palette'
import { DayPages } from '~/editor/DayPages'
import { HistoryPart } from '~/editor/HistoryPart'
import { newToken, sendWaiting } from '~/editor/saving/browserSaver'
import { StageClock } from '~/editor/StageClock'
import { useAwake } from '~/editor/useAwake'
import { useActs, useBringWall, useOutbox, useSaver, useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import { nearestNanometer } from '~/length'
import { logText, noteName, sayWithUnit, whyNot } from '~/messages'
import { LIMITS, LOG_STAGES, type NoteKind, NOTES } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { narrow, space } from '~/ui/theme'
import { keepLogPhoto } from './logPhoto'

const Part = styled.section`
  display: grid;
  gap: ${space.m};
`
const AtWall = styled(Split)`
  ${narrow} {
    & > section {
      order: 2;
    }
  }
`

interface Spot {
  readonly x: number
  readonly y: number
}

const minutesWest = () => new Date().getTimezoneOffset()
/** The day by the clock on the wall. */
const dayHere = (at: number) => Math.floor((at / 60_000 - minutesWest()) / 1_440)

/** Stage: the clock, what happened and where, what was used, and the day's page that writes itself. */
export function LogStage() {
  const { identity, wording } = useWallEditor()
  const outbox = useOutbox()
  const saver = useSaver()
  const bring = useBringWall()
  const acts = useActs()
  useAwake()
  const [spot, setSpot] = useState<Spot | null>(null)
  const pages = useMemo(
    () => dayPages([{ place: '', acts, worked: workedOnWall(acts) }], Date.now(), dayHere),
    [acts],
  )
  const { names, me } = identity.crew
  const who = (member: string | null) => (member === null || member === me ? '' : (names[member] ?? ''))
  const notes = pages.flatMap(({ lines }) =>
    lines.filter((line): line is Extract<DayLine, { kind: 'noted' }> => line.kind === 'noted'),
  )
  const places = useMemo(
    () => ({ rooms: new Map<string, string>(), walls: new Map([[identity.id, identity.name]]) }),
    [identity],
  )
  return (
    <AtWall>
      <Drawn>
        <Heading>
          <h1>{logText.title}</h1>
          <Row>
            {LOG_STAGES.map((stage) => (
              <StageClock key={stage} stage={stage} />
            ))}
          </Row>
        </Heading>
        <WallStage
          rods={false}
          findings={false}
          over={(frame: Frame) => <Spots frame={frame} notes={notes} spot={spot} onPick={setSpot} />}
        />
        <Soft>
          {logText.whereHow}{' '}
          {spot ? (
            <Fractions
              text={logText.here(
                sayWithUnit(nearestNanometer(spot.x), wording),
                sayWithUnit(nearestNanometer(spot.y), wording),
              )}
            />
          ) : null}
        </Soft>
      </Drawn>
      <Side aria-label={logText.title}>
        <NotePart spot={spot} onDone={() => setSpot(null)} />
        <UsedPart />
        <DayPages
          pages={pages}
          places={places}
          who={who}
          photoUrl={({ photo }) => (photo ? `${identity.wallPath}/log-photos?id=${photo}` : null)}
          onStrike={(entry) => outbox.record({ id: newToken(), kind: 'struck', entry, doneAt: Date.now() })}
        />
        <HistoryPart
          url={`${identity.wallPath}/history?option=${identity.option.id}`}
          before={saver.flush}
          onRestored={() => void bring()}
        />
      </Side>
    </AtWall>
  )
}

function Spots({
  frame,
  notes,
  spot,
  onPick,
}: {
  readonly frame: Frame
  readonly notes: readonly Extract<DayLine, { kind: 'noted' }>[]
  readonly spot: Spot | null
  readonly onPick: (spot: Spot) => void
}) {
  const { workpiece } = useWallEditor()
  const { width, height } = workpiece.wall.survey
  const left = frame.toX(0)
  const top = frame.toY(height)
  return (
    <g>
      <rect
        data-testid="log-wall"
        x={left}
        y={top}
        width={frame.toX(width) - left}
        height={frame.toY(0) - top}
        fill="transparent"
        style={{ cursor: 'crosshair' }}
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect()
          onPick({
            x: ((event.clientX - box.left) / box.width) * width,
            y: (1 - (event.clientY - box.top) / box.height) * height,
          })
        }}
      />
      {notes.flatMap(({ id, spot: at }, i) =>
        at ? (
          <g key={id} pointerEvents="none" data-note-at={id}>
            <circle cx={frame.toX(at.x)} cy={frame.toY(at.y)} r={12} fill={SCREEN.red} />
            <text
              x={frame.toX(at.x)}
              y={frame.toY(at.y) + 5}
              textAnchor="middle"
              fontSize={14}
              fontWeight={700}
              fill="#fff"
            >
              {i + 1}
            </text>
          </g>
        ) : (
          []
        ),
      )}
      {spot ? (
        <g pointerEvents="none" stroke={SCREEN.red} strokeWidth={2.5}>
          <circle cx={frame.toX(spot.x)} cy={frame.toY(spot.y)} r={10} fill="none" />
          <line
            x1={frame.toX(spot.x) - 16}
            x2={frame.toX(spot.x) + 16}
            y1={frame.toY(spot.y)}
            y2={frame.toY(spot.y)}
          />
          <line
            y1={frame.toY(spot.y) - 16}
            y2={frame.toY(spot.y) + 16}
            x1={frame.toX(spot.x)}
            x2={frame.toX(spot.x)}
          />
        </g>
      ) : null}
    </g>
  )
}

function NotePart({ spot, onDone }: { readonly spot: Spot | null; readonly onDone: () => void }) {
  const { identity } = useWallEditor()
  const outbox = useOutbox()
  const [what, setWhat] = useState<NoteKind>('note')
  const [text, setText] = useState('')
  const [photo, setPhoto] = useState<string | null>(null)
  const [said, setSaid] = useState('')
  const take = async (files: FileList | null) => {
    const file = files?.[0]
    if (!file) return
    const kept = await keepLogPhoto(identity.wallPath, file)
    setPhoto(kept)
    setSaid(kept === null ? logText.photoBad : logText.photoAdded)
    sendWaiting()
  }
  const keep = () => {
    outbox.record({
      id: newToken(),
      kind: 'noted',
      what,
      text: text.trim(),
      at: spot ? { x: nearestNanometer(spot.x), y: nearestNanometer(spot.y) } : null,
      photo,
      doneAt: Date.now(),
    })
    setText('')
    setPhoto(null)
    setSaid('')
    setWhat('note')
    onDone()
  }
  return (
    <Part aria-label={logText.note}>
      <h2>{logText.note}</h2>
      <Choice
        label={logText.noteWhat}
        value={what}
        options={NOTES.map((id) => ({ id, text: noteName(id) }))}
        onChange={setWhat}
      />
      <TextBox label={logText.noteLine} value={text} maxLength={LIMITS.note} onChange={setText} />
      <Row>
        <Button
          $kind="main"
          isDisabled={text.trim() === '' && photo === null && what === 'note'}
          why={whyNot.note}
          onPress={keep}
        >
          {logText.addNote}
        </Button>
        <FileTrigger
          acceptedFileTypes={['image/*']}
          defaultCamera="environment"
          onSelect={(files) => void take(files)}
        >
          <Button>{logText.photo}</Button>
        </FileTrigger>
      </Row>
      <p role="status">{said}</p>
    </Part>
  )
}

function UsedPart() {
  const outbox = useOutbox()
  const [product, setProduct] = useState('')
  const [color, setColor] = useState('')
  const [batch, setBatch] = useState('')
  const add = () => {
    outbox.record({
      id: newToken(),
      kind: 'used',
      product: product.trim(),
      color: color.trim(),
      batch: batch.trim(),
      doneAt: Date.now(),
    })
    setProduct('')
    setColor('')
    setBatch('')
  }
  return (
    <Part aria-label={logText.used}>
      <h2>{logText.used}</h2>
      <TextBox label={logText.product} value={product} maxLength={LIMITS.name} onChange={setProduct} />
      <TextBox label={logText.color} value={color} maxLength={LIMITS.name} onChange={setColor} />
      <TextBox label={logText.batch} value={batch} maxLength={LIMITS.name} onChange={setBatch} />
      <Row>
        <Button isDisabled={product.trim() === ''} why={whyNot.product} onPress={add}>
          {logText.addUsed}
        </Button>
      </Row>
    </Part>
  )
}
