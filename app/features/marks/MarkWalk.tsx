import { Check, ChevronLeft, ChevronRight } from 'lucide-react'
import { styled } from 'styled-components'
import {
  type Datum,
  type Edge,
  headLessFoot,
  type Hook,
  hookHeight,
  runningMarks,
  spacerBlock,
} from '~/core/marks/runningMarks'
import { useSelected, useWallEditor } from '~/editor/WallEditor'
import { tickOf } from '~/length'
import { hookName, say, stripName } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { narrow, space, type } from '~/ui/theme'
import { useMarked } from './useMarked'

const Card = styled.section`
  display: none;
  ${narrow} {
    display: grid;
    gap: ${space.s};
    margin: ${space.m} 0;
    padding: ${space.l};
    border-radius: 12px;
    background: var(--bar);
    color: var(--bar-ink);
  }
`
const Huge = styled.p`
  font-size: clamp(72px, 24vw, 128px);
  line-height: 1;
  font-weight: 750;
  letter-spacing: -0.02em;
`
const Soft = styled.p`
  font-size: ${type.lead};
  color: var(--bar-soft);
  & b {
    color: var(--bar-ink);
  }
`
const Way = styled.div`
  display: grid;
  grid-template-columns: 88px 1fr;
  gap: ${space.m};
  margin-top: ${space.m};
  & button {
    min-height: 72px;
    font-size: ${type.title};
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

const EDGE_WORDS: Readonly<Record<Edge, string>> = { near: 'near edge', center: 'center', far: 'far edge' }
const SIDE_WORDS = { on: 'on the tick', over: 'and a little over', under: 'and a little under' } as const

/** At the wall: one mark at a time, readable from two metres, next and back by thumb. */
export function MarkWalk({ datum, edge, hook }: { datum: Datum; edge: Edge; hook: Hook }) {
  const { plan, workpiece, wording, select } = useWallEditor()
  const selected = useSelected()
  const { marked, setMarked } = useMarked()
  const { tape } = workpiece.settings
  const marks = runningMarks(plan.layout, datum, tape, hook)
  // without a strip in hand the walk goes on where it was left: at the first that is not marked yet
  const inHand = marks.findIndex(({ stripId }) => stripId === selected)
  const open = marks.findIndex(({ stripId }) => !marked.has(stripId))
  const at = Math.max(0, inHand >= 0 ? inHand : open)
  const mark = marks[at]
  if (!mark) return null
  const check = spacerBlock(plan.layout, datum, tape, hook)?.checks.some(
    ({ stripId }) => stripId === mark.stripId,
  )
  const otherHook: Hook = hook === 'head' ? 'foot' : 'head'
  const leans = Math.abs(headLessFoot(plan.layout, datum)) > tickOf(tape)
  const other = leans ? runningMarks(plan.layout, datum, tape, otherHook)[at] : undefined
  const done = marks.filter(({ stripId }) => marked.has(stripId)).length
  const go = (by: number) => select(marks[(at + by + marks.length) % marks.length]?.stripId ?? null)
  return (
    <Card aria-label="One mark at a time">
      <Soft>
        <Fractions
          text={`${at + 1} of ${marks.length}, from the ${datum} corner along ${hookName(hook, hookHeight(plan.layout, datum, hook), wording)}`}
        />
      </Soft>
      <Soft>
        Draw the <b>{EDGE_WORDS[edge]}</b> of <b>{stripName(mark.stripId, wording).toLowerCase()}</b> at
      </Soft>
      <Huge data-testid="huge-mark">
        <Fractions text={say(mark[edge].tick, wording)} />
      </Huge>
      <Soft>{SIDE_WORDS[mark[edge].side]}</Soft>
      {other ? (
        <Soft data-testid="other-line">
          <Fractions
            text={`This end leans: along ${hookName(otherHook, hookHeight(plan.layout, datum, otherHook), wording)} it is ${say(other[edge].tick, wording)}`}
          />
        </Soft>
      ) : null}
      <Soft>
        <Fractions text={`its other edge ${say(edge === 'far' ? mark.near.tick : mark.far.tick, wording)}`} />
      </Soft>
      {check ? (
        <Soft>Check before you nail: the spacer should have brought you here. Trust the mark.</Soft>
      ) : null}
      <Way>
        <Back aria-label="Mark before" onPress={() => go(-1)}>
          <ChevronLeft size={30} aria-hidden />
        </Back>
        <Next
          onPress={() => {
            setMarked(mark.stripId, true)
            go(1)
          }}
        >
          {marked.has(mark.stripId) ? 'Next' : 'Marked, next'} <ChevronRight size={28} aria-hidden />
        </Next>
      </Way>
      <Soft role="status">
        {done === marks.length ? (
          `✓ All ${marks.length} are on the wall.`
        ) : (
          <>
            <b>{done}</b> of {marks.length} on the wall
          </>
        )}
      </Soft>
      {marked.has(mark.stripId) ? (
        <Back onPress={() => setMarked(mark.stripId, false)}>
          <Check size={20} aria-hidden /> This one is marked: wipe it off
        </Back>
      ) : null}
    </Card>
  )
}
