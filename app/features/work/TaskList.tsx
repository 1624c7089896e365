import { GripVertical } from 'lucide-react'
import { Button as AriaButton, GridList, GridListItem, useDragAndDrop } from 'react-aria-components'
import { styled } from 'styled-components'
import type { PlannedTask } from '~/core/sequence/planWork'
import { dayLong, durationText, orderText, timeText } from '~/messages'
import { narrow, space, touch, type } from '~/ui/theme'

const List = styled(GridList)`
  display: grid;
  outline-offset: 2px;
` as typeof GridList
const Item = styled(GridListItem)`
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) auto;
  align-items: center;
  gap: 0 ${space.s};
  min-height: 46px;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
  &[data-selected] {
    background: var(--chalk-wash);
    box-shadow: inset 4px 0 0 var(--chalk);
  }
  &[data-focus-visible] {
    outline: 3px solid var(--chalk);
    outline-offset: -3px;
  }
  &[data-dragging] {
    opacity: 0.4;
  }
  &[data-done='true'] b {
    text-decoration: line-through;
    color: var(--ink-soft);
  }
` as typeof GridListItem
const Day = styled.span`
  grid-column: 1 / -1;
  padding: ${space.m} 0 ${space.xs} ${space.s};
  font-size: ${type.small};
  font-weight: 650;
  color: var(--ink-soft);
`
const Grip = styled(AriaButton)`
  display: grid;
  place-items: center;
  width: 44px;
  height: 44px;
  border: 0;
  background: none;
  color: var(--ink-soft);
  cursor: grab;
  ${touch} {
    width: 48px;
    height: 48px;
  }
`
const Said = styled.span`
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  align-items: baseline;
  gap: 0 ${space.s};
  min-width: 0;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
    padding: ${space.xs} 0;
  }
`
const When = styled.span`
  font-size: ${type.body};
  white-space: nowrap;
  ${narrow} {
    font-size: ${type.small};
    color: var(--ink-soft);
  }
`
const What = styled.span`
  min-width: 0;
`
const Where = styled.span`
  font-size: ${type.small};
  color: var(--ink-soft);
  padding-left: ${space.s};
`
const Long = styled.span`
  font-size: ${type.small};
  color: var(--ink-soft);
  text-align: right;
  padding-right: ${space.s};
  white-space: nowrap;
  & em {
    display: block;
    font-style: normal;
    font-weight: 650;
    color: var(--red);
  }
`

export interface TaskRow {
  readonly planned: PlannedTask
  readonly name: string
  /** The same in two: what, and where. */
  readonly what: string
  readonly place: string
}

/** The tasks by when they begin; one is moved by its grip, with the pointer or the keys. */
export function TaskList({
  rows,
  chosen,
  onChoose,
  onMove,
}: {
  readonly rows: readonly TaskRow[]
  readonly chosen: string | null
  readonly onChoose: (id: string | null) => void
  readonly onMove: (moved: string, side: 'before' | 'after', target: string) => void
}) {
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) => [...keys].map((key) => ({ 'text/plain': String(key) })),
    onReorder: ({ keys, target }) => {
      const [moved] = [...keys]
      if (moved !== undefined && target.dropPosition !== 'on')
        onMove(String(moved), target.dropPosition, String(target.key))
    },
  })
  let day = ''
  return (
    <List
      aria-label={orderText.order}
      selectionMode="single"
      selectedKeys={chosen === null ? [] : [chosen]}
      onSelectionChange={(keys) => {
        const [key] = keys === 'all' ? [] : [...keys]
        onChoose(key === undefined ? null : String(key))
      }}
      dragAndDropHooks={dragAndDropHooks}
    >
      {rows.map(({ planned, name, what, place }) => {
        const { task, done, sessions, minutes, critical } = planned
        const begins = done ?? sessions[0]?.start ?? null
        const of = done !== null ? orderText.doneHead : begins === null ? '' : dayLong(begins)
        const isNew = of !== day
        day = of
        return (
          <Item key={task.id} id={task.id} textValue={name} data-task={task.id} data-done={done !== null}>
            {isNew ? <Day>{of}</Day> : null}
            <Grip slot="drag" aria-label={orderText.drag(name)}>
              <GripVertical size={18} aria-hidden />
            </Grip>
            <Said>
              <When>{begins === null ? '' : timeText(begins)}</When>
              <What>
                <b>{what}</b> <Where>{place}</Where>
              </What>
            </Said>
            <Long>
              {durationText(minutes)}
              {critical && done === null ? <em>{orderText.tight}</em> : null}
            </Long>
          </Item>
        )
      })}
    </List>
  )
}
