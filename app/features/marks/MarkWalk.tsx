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
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { low, narrow, space, type } from '~/ui/theme'
import type { MarkHabits } from './useMarkHabits'
import { useMarked } from './useMarked'

const Card = styled.section`
  display: none;
  ${narrow} {
    order: -1;
    display: grid;
    gap: 2px ${space.l};
    margin: 0 0 ${space.m};
    padding: ${space.m} ${space.l};
    border-radius: 12px;
    background: var(--bar);
    color: var(--bar-ink);
    & :focus-visible {
      outline-color: var(--bar-ink);
    }
  }
  ${low} {
    grid-template-columns: auto minmax(0, 1fr);
    align-items: center;
  }
`
const Huge = styled.p`
  font-size: clamp(80px, 24vw, 128px);
  line-height: 1.05;
  font-weight: 750;
  letter-spacing: -0.02em;
  ${low} {
    font-size: min(128px, 34vh);
    grid-row: 1 / span 5;
  }
`
/** Readable from two metres: corner, edge, and what the tape shows besides the tick. */
const Far = styled.p`
  font-size: 1.5rem;
  line-height: 1.25;
  font-weight: 600;
  & small {
    float: right;
    font-size: ${type.lead};
    font-weight: 500;
    color: var(--bar-soft);
  }
`
const Soft = styled.p`
  font-size: ${type.lead};
  color: var(--bar-soft);
`
/** Its room is there whether there is something to say or not: the number never jumps. */
const Aside = styled(Soft)`
  min-height: 3.9em;
  line-height: 1.3;
  & button {
    min-height: 48px;
  }
`
const Way = styled.div`
  ${narrow} {
    position: fixed;
    z-index: 6;
    inset: auto 0 0;
    display: grid;
    grid-template-columns: 88px 1fr;
    gap: ${space.m};
    padding: ${space.s} ${space.m} calc(${space.s} + env(safe-area-inset-bottom));
    background: var(--bar);
    border-top: 1px solid var(--bar-soft);
    & button {
      min-height: 72px;
      font-size: ${type.title};
    }
  }
  ${low} {
    & button {
      min-height: 56px;
    }
  }
`
const Next = styled(Button)`
  background: var(--rod);
  color: var(--rod-ink);
`
const Back = styled(Button)`
  background: none;
  color: var(--bar-ink);
`
const Done = styled.div`
  display: grid;
  gap: ${space.s};
  font-size: ${type.title};
  & a {
    color: var(--bar-ink);
  }
`

/** At the wall: one mark at a time, readable from two metres, next and back by thumb. */
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
          <Huge data-testid="huge-mark" aria-live="polite">
            <Fractions text={say(mark[edge].tick, wording)} />
          </Huge>
          <Far data-testid="walk-side">{walkText.side[mark[edge].side]}</Far>
          <Soft>
            <Fractions
              text={walkText.otherEdge(say((edge === 'far' ? mark.near : mark.far).tick, wording), line)}
            />
          </Soft>
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
              <Back onPress={() => setMarked(mark.stripId, false)}>
                <Check size={20} aria-hidden /> {walkText.wipe}
              </Back>
            ) : null}
          </Aside>
          <Soft role="status">{markText.count(done, marks.length)}</Soft>
        </>
      )}
      {awake === 'none' ? <Soft>{markText.awake}</Soft> : null}
      <Way data-thumb-bar>
        <Back aria-label="Mark before" onPress={() => goTo(ended ? marks.length - 1 : at - 1)}>
          <ChevronLeft size={30} aria-hidden />
        </Back>
        <Next onPress={ended ? () => goTo(0) : next}>
          {ended ? walkText.again : isMarked(mark.stripId) ? 'Next' : 'Marked, next'}{' '}
          <ChevronRight size={28} aria-hidden />
        </Next>
      </Way>
    </Card>
  )
}
