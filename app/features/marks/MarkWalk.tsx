import { Check, ChevronLeft, ChevronRight } from 'lucide-react'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { styled } from 'styled-components'
import { type LevelFrom, markWalk } from '~/core/marks/markWalk'
import type { Datum, Edge, Hook } from '~/core/marks/runningMarks'
import { StageClock } from '~/editor/StageClock'
import { useAwake } from '~/editor/useAwake'
import { useVoice } from '~/editor/useVoice'
import { VoiceRow } from '~/editor/VoiceRow'
import { useSelected, useWallEditor } from '~/editor/WallEditor'
import { markMovedText, markText, walkText } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { Far, Huge, ThumbBar, ThumbDim, ThumbNext, WalkCard, WalkSoft, WalkState } from '~/ui/walk'
import { low, space, type } from '~/ui/theme'
import { stepWords } from './stepWords'
import type { MarkHabits } from './useMarkHabits'
import { useMarked } from './useMarked'

const Card = styled(WalkCard)`
  ${low} {
    grid-template-columns: auto minmax(0, 1fr);
    align-items: center;
  }
`
const Number = styled(Huge)`
  white-space: nowrap;
  ${low} {
    grid-row: 1 / span 5;
  }
`
/** Room for two lines: the number below it never jumps. */
const Where = styled(Far)`
  min-height: 2.5em;
  ${low} {
    min-height: 0;
  }
`
/** Its room is there whether there is something to say or not: the number never jumps. */
const Aside = styled(WalkSoft)`
  min-height: 3.9em;
  line-height: 1.3;
  & button {
    min-height: 48px;
  }
`
const Done = styled.div`
  display: grid;
  gap: ${space.s};
  font-size: ${type.title};
  & a {
    color: var(--bar-ink);
  }
`

/** At the wall: one thing to mark at a time, readable from two meters, next and back by thumb. */
export function MarkWalk({
  datum,
  edge,
  hook,
  laser,
  levelFrom,
  at: keptAt,
  keep,
}: {
  datum: Datum
  edge: Edge
  hook: Hook
  /** The laser's height where heights go by it. */
  laser: number | null
  levelFrom: LevelFrom
  at: string | null
  keep: (patch: Partial<MarkHabits>) => void
}) {
  const { plan, workpiece, wording, select } = useWallEditor()
  const selected = useSelected()
  const steps = useMemo(
    () => markWalk(plan, workpiece, { datum, hook, laser, from: levelFrom }),
    [plan, workpiece, datum, hook, laser, levelFrom],
  )
  const { marks: onWall, isMarked, setMarked } = useMarked(steps)
  const awake = useAwake()
  const [ended, setEnded] = useState(false)
  const [lastId, setLastId] = useState<string | null>(null)
  // the strip in hand, else where the walk was left, else the first that is not marked yet
  const indexOf = (id: string | null) => steps.findIndex((step) => step.id === id)
  const open = steps.findIndex(({ id }) => !isMarked(id))
  const lit = steps.find(({ id }) => id === keptAt)?.stripId === selected ? keptAt : selected
  const at = Math.max(0, [indexOf(lit), indexOf(keptAt), open].find((found) => found >= 0) ?? 0)
  const step = steps[at]
  const goTo = (index: number) => {
    const to = steps[(index + steps.length) % steps.length]
    select(to?.stripId ?? null)
    keep({ at: to?.id ?? null })
    setEnded(false)
  }
  const next = () => {
    if (!step) return
    if (!isMarked(step.id)) setLastId(step.id)
    setMarked(step.id, true)
    const left = steps.findIndex(({ id }) => id !== step.id && !isMarked(id))
    // at the end it goes back to what was left out, or says that nothing was
    if (at + 1 < steps.length) goTo(at + 1)
    else if (left >= 0) goTo(left)
    else setEnded(true)
  }
  const lastStep = steps.find(({ id }) => id === lastId && isMarked(id))
  const last = lastStep && {
    text: walkText.undo(steps.indexOf(lastStep) + 1),
    undo: () => {
      setMarked(lastStep.id, false)
      setLastId(null)
      goTo(steps.indexOf(lastStep))
    },
  }
  const words = step ? stepWords(step, { datum, edge, hook, layout: plan.layout, wording }) : null
  const voice = useVoice(words ? `${words.what}: ${words.number}` : '', next)
  if (!step || !words) return null
  const isCheck = step.what.kind === 'upright' && step.what.check
  const done = steps.filter(({ id }) => isMarked(id)).length
  const moved = onWall.get(step.id)
  return (
    <Card aria-label="One mark at a time">
      {ended && done === steps.length ? (
        <Done role="status">
          <b>{markText.allDone(steps.length)}</b>
          <span>
            {markText.next} <Link to="../cut">Cut list</Link>
          </span>
        </Done>
      ) : (
        <>
          <Where data-testid="walk-where">
            {words.where}
            <small>{walkText.place(at + 1, steps.length)}</small>
          </Where>
          <Far data-testid="walk-edge">{words.what}</Far>
          <Number data-testid="huge-mark" data-step={step.id} aria-live="polite">
            <Fractions text={words.number} />
          </Number>
          <Far data-testid="walk-side">{words.side}</Far>
          <WalkSoft>
            <Fractions text={words.more} />
          </WalkSoft>
          <Aside as="div">
            {moved && !moved.holds ? <Fractions text={`${markMovedText(moved.left, wording)}. `} /> : null}
            {words.leans ? (
              <span data-testid="other-line">
                <Fractions text={words.leans} />{' '}
              </span>
            ) : null}
            {isCheck ? `${walkText.check} ` : null}
            {isMarked(step.id) ? (
              <ThumbDim onPress={() => setMarked(step.id, false)}>
                <Check size={20} aria-hidden /> {walkText.wipe}
              </ThumbDim>
            ) : null}
          </Aside>
        </>
      )}
      <WalkState last={last ?? null}>{ended ? null : markText.count(done, steps.length)}</WalkState>
      <VoiceRow voice={voice} />
      <StageClock stage="mark" dark />
      {awake === 'none' ? <WalkSoft>{markText.awake}</WalkSoft> : null}
      <ThumbBar data-thumb-bar $columns="88px 1fr">
        <ThumbDim aria-label="Mark before" onPress={() => goTo(ended ? steps.length - 1 : at - 1)}>
          <ChevronLeft size={30} aria-hidden />
        </ThumbDim>
        <ThumbNext onPress={ended ? () => goTo(0) : next}>
          {ended ? walkText.again : isMarked(step.id) ? 'Next' : 'Marked, next'}{' '}
          <ChevronRight size={28} aria-hidden />
        </ThumbNext>
      </ThumbBar>
    </Card>
  )
}
