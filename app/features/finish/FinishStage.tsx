import { Check } from 'lucide-react'
import { useMemo, useState, useSyncExternalStore } from 'react'
import { styled } from 'styled-components'
import { useStore } from 'zustand'
import { pulledOff } from '~/core/asbuilt/pulledOff'
import { type FinishItem, finishList } from '~/core/finish/finishList'
import { type FinishDone, finishDone, waitsFor } from '~/core/finish/finishState'
import type { Frame } from '~/drawing/view/frame'
import { StageClock } from '~/editor/StageClock'
import { newToken } from '~/editor/saving/browserSaver'
import { useAwake } from '~/editor/useAwake'
import { useOutbox, useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import { clockText, finishHow, finishText, finishWords } from '~/messages'
import { LIMITS } from '~/model'
import { Button } from '~/ui/Button'
import { CommitText } from '~/ui/CommitText'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { Toggle } from '~/ui/Toggle'
import { narrow, space, type } from '~/ui/theme'
import { FinishMarks } from './FinishMarks'

const Line = styled.li`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: ${space.xs} ${space.m};
  align-items: center;
  padding: ${space.xs} 0;
  border-bottom: 1px solid var(--line);
  list-style: none;
  &[data-done='true'] > div > button {
    color: var(--ink-soft);
    text-decoration: line-through;
  }
`
const What = styled(Button)`
  @media print {
    display: block;
    border: 0;
  }
  justify-content: flex-start;
  text-align: left;
  padding-left: 0;
  &[data-on='true'] {
    color: var(--chalk);
    font-weight: 700;
  }
`
const Small = styled.p`
  font-size: ${type.small};
  color: var(--ink-soft);
`
/** On a phone what is done comes before the drawing of it. */
const AtWall = styled(Split)`
  ${narrow} {
    & > section {
      order: 2;
    }
  }
`

const never = () => () => undefined

/** Stage: the finish list, each item drawn on the wall, ticked with what was found there. */
export function FinishStage() {
  const { plan, workpiece, wording } = useWallEditor()
  const outbox = useOutbox()
  const acts = useStore(outbox.store, (state) => state.acts)
  const pulled = useMemo(() => pulledOff(acts), [acts])
  const items = useMemo(() => finishList(workpiece, plan, pulled), [workpiece, plan, pulled])
  const done = useMemo(() => finishDone(acts), [acts])
  useAwake()
  const toDo = items.filter(({ told }) => !told)
  const next = toDo.find(({ id }) => !done.has(id))
  const [picked, setPicked] = useState<string | null>(null)
  const shown = items.find(({ id }) => id === (picked ?? next?.id))
  const textOf = (item: FinishItem) => finishText(item.what, wording, workpiece.settings.paints)
  const set = (item: FinishItem, is: boolean, note = done.get(item.id)?.note ?? '') => {
    setPicked(null)
    const common = { id: newToken(), item: item.id, doneAt: Date.now() }
    outbox.record(is ? { ...common, kind: 'finishDone', note } : { ...common, kind: 'finishOpen' })
  }
  const ready = toDo.filter(({ id }) => done.has(id)).length
  return (
    <AtWall>
      <Drawn>
        <Heading>
          <h1>{finishWords.list}</h1>
          <p role="status" data-testid="finish-count">
            {toDo.length === 0
              ? finishWords.none
              : ready === toDo.length
                ? finishWords.allDone
                : finishWords.done(ready, toDo.length)}
          </p>
        </Heading>
        <WallStage
          rods={false}
          findings={false}
          over={(frame: Frame) => (shown ? <FinishMarks item={shown} frame={frame} /> : null)}
        />
        {shown ? (
          <Soft data-testid="finish-shown">
            <Fractions text={finishWords.shown(textOf(shown))} />
          </Soft>
        ) : null}
      </Drawn>
      <Side aria-label={finishWords.list}>
        <StageClock stage="finish" />
        <Small>{finishWords.caution}</Small>
        <ol>
          {items.map((item) => (
            <FinishLine
              key={item.id}
              item={item}
              text={textOf(item)}
              done={done}
              nameOf={(id) => {
                const found = items.find((each) => each.id === id)
                return found ? textOf(found) : id
              }}
              on={shown?.id === item.id}
              onShow={() => setPicked(item.id)}
              onSet={(is, note) => set(item, is, note)}
            />
          ))}
        </ol>
      </Side>
    </AtWall>
  )
}

function FinishLine({
  item,
  text,
  done,
  nameOf,
  on,
  onShow,
  onSet,
}: {
  readonly item: FinishItem
  readonly text: string
  readonly done: ReadonlyMap<string, FinishDone>
  readonly nameOf: (id: string) => string
  readonly on: boolean
  readonly onShow: () => void
  readonly onSet: (is: boolean, note?: string) => void
}) {
  const own = done.get(item.id)
  const here = useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
  // a server's clock may hang elsewhere
  const waits = own || !here ? null : waitsFor(item, done, Date.now())
  const how = finishHow(item.what)
  return (
    <Line data-finish={item.id} data-done={own !== undefined}>
      {item.told ? (
        <Small as="span">{finishWords.told}</Small>
      ) : (
        <Toggle
          aria-label={finishWords.tick(text)}
          isSelected={own !== undefined}
          onChange={(is) => onSet(is)}
        >
          {own ? <Check size={26} aria-hidden /> : null}
        </Toggle>
      )}
      <div>
        <What $kind="quiet" data-on={on} aria-label={finishWords.show(text)} onPress={onShow}>
          <span>
            <Fractions text={text} />
          </span>
        </What>
        {waits ? (
          <Small data-testid="waits">
            {waits.kind === 'item'
              ? finishWords.waitsItem(nameOf(waits.id))
              : finishWords.waitsUntil(clockText(waits.at))}
          </Small>
        ) : null}
        {how && on ? <Small>{how}</Small> : null}
        {own && on ? (
          <Row>
            <CommitText
              label={finishWords.note}
              value={own.note}
              most={LIMITS.note}
              onDone={(note) => onSet(true, note)}
            />
          </Row>
        ) : null}
        {own && own.note !== '' && !on ? <Small>{finishWords.found(own.note)}</Small> : null}
      </div>
    </Line>
  )
}
