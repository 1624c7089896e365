import { Check, ChevronLeft, ChevronRight } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { styled } from 'styled-components'
import {
  type Datum,
  type Edge,
  headLessFoot,
  type Hook,
  hookSaid,
  runningMarks,
  spacerBlock,
} from '~/core/marks/runningMarks'
import { useAwake } from '~/editor/useAwake'
import { useSelected, useWallEditor } from '~/editor/WallEditor'
import { tickOf } from '~/length'
import { hookName, markMovedText, markText, say, stripName, walkText } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { Far, Huge, ThumbBar, ThumbDim, ThumbNext, WalkCard, WalkSoft } from '~/ui/walk'
import { low, space, type } from '~/ui/theme'
import type { MarkHabits } from './useMarkHabits'
import { useMarked } from './useMarked'

const Card = styled(WalkCard)`
  ${low} {
    grid-template-columns: auto minmax(0, 1fr);
    align-items: center;
  }
`
const Number = styled(Huge)`
  ${low} {
    grid-row: 1 / span 5;
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

/** At the wall: one mark at a time, readable from two meters, next and back by thumb. */
export function MarkWalk({
  datum,
  edge,
  hook,
  at: keptAt,
  keep,
}: {
  datum: Datum
  edge: Edge
  hook: Hook
  at: string | null
  keep: (patch: Partial<MarkHabits>) => void
}) {
  const { plan, workpiece, wording, select } = useWallEditor()
  const selected = useSelected()
  const { marks: onWall, isMarked, setMarked } = useMarked()
  const awake = useAwake()
  const [ended, setEnded] = useState(false)
  const { tape } = workpiece.settings
  const marks = runningMarks(plan.layout, datum, tape, hook)
  // the strip in hand, else where the walk was left, else the first that is not marked yet
  const indexOf = (strip: string | null) => marks.findIndex(({ stripId }) => stripId === strip)
  const open = marks.findIndex(({ stripId }) => !isMarked(stripId))
  const at = Math.max(0, [indexOf(selected), indexOf(keptAt), open].find((found) => found >= 0) ?? 0)
  const mark = marks[at]
  if (!mark) return null
  const check = spacerBlock(plan.layout, datum, tape, hook)?.checks.some(
    ({ stripId }) => stripId === mark.stripId,
  )
  const otherHook: Hook = hook === 'head' ? 'foot' : 'head'
  const leans = Math.abs(headLessFoot(plan.layout, datum)) > tickOf(tape)
  const other = leans ? runningMarks(plan.layout, datum, tape, otherHook)[at] : undefined
  const done = marks.filter(({ stripId }) => isMarked(stripId)).length
  const moved = onWall.get(mark.stripId)
  const goTo = (index: number) => {
    const strip = marks[(index + marks.length) % marks.length]?.stripId ?? null
    select(strip)
    keep({ at: strip })
    setEnded(false)
  }
  const next = () => {
    setMarked(mark.stripId, true)
    const left = marks.findIndex(({ stripId }) => stripId !== mark.stripId && !isMarked(stripId))
    // at the end it goes back to what was left out, or says that nothing was
    if (at + 1 < marks.length) goTo(at + 1)
    else if (left >= 0) goTo(left)
    else setEnded(true)
  }
  const line = hookName(hook, hookSaid(plan.layout, datum, hook), wording)
  return (
    <Card aria-label="One mark at a time">
      {ended && done === marks.length ? (
        <Done role="status">
          <b>{markText.allDone(marks.length)}</b>
          <span>
            {markText.next} <Link to="../cut">Cut list</Link>
          </span>
        </Done>
      ) : (
        <>
          <Far data-testid="walk-where">
            {walkText.corner(datum)}
            <small>{walkText.place(at + 1, marks.length)}</small>
          </Far>
          <Far data-testid="walk-edge">{walkText.edge(edge, stripName(mark.stripId, wording))}</Far>
          <Number data-testid="huge-mark" aria-live="polite">
            <Fractions text={say(mark[edge].tick, wording)} />
          </Number>
          <Far data-testid="walk-side">{walkText.side[mark[edge].side]}</Far>
          <WalkSoft>
            <Fractions
              text={walkText.otherEdge(say((edge === 'far' ? mark.near : mark.far).tick, wording), line)}
            />
          </WalkSoft>
          <Aside as="div">
            {moved && !moved.holds ? <Fractions text={`${markMovedText(moved.left, wording)}. `} /> : null}
            {other ? (
              <span data-testid="other-line">
                <Fractions
                  text={walkText.leans(
                    hookName(otherHook, hookSaid(plan.layout, datum, otherHook), wording),
                    say(other[edge].tick, wording),
                  )}
                />{' '}
              </span>
            ) : null}
            {check ? `${walkText.check} ` : null}
            {isMarked(mark.stripId) ? (
              <ThumbDim onPress={() => setMarked(mark.stripId, false)}>
                <Check size={20} aria-hidden /> {walkText.wipe}
              </ThumbDim>
            ) : null}
          </Aside>
          <WalkSoft role="status">{markText.count(done, marks.length)}</WalkSoft>
        </>
      )}
      {awake === 'none' ? <WalkSoft>{markText.awake}</WalkSoft> : null}
      <ThumbBar data-thumb-bar $columns="88px 1fr">
        <ThumbDim aria-label="Mark before" onPress={() => goTo(ended ? marks.length - 1 : at - 1)}>
          <ChevronLeft size={30} aria-hidden />
        </ThumbDim>
        <ThumbNext onPress={ended ? () => goTo(0) : next}>
          {ended ? walkText.again : isMarked(mark.stripId) ? 'Next' : 'Marked, next'}{' '}
          <ChevronRight size={28} aria-hidden />
        </ThumbNext>
      </ThumbBar>
    </Card>
  )
}
