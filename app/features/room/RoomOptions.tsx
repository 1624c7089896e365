import { useMemo, useState } from 'react'
import { useFetcher } from 'react-router'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { count, money, roomOptionText, whyNot } from '~/messages'
import { type DesignDocument, LIMITS } from '~/model'
import { useMay } from '~/ui/rights'
import { Button } from '~/ui/Button'
import { Alert, Row, Sheet, Soft } from '~/ui/page'
import { Table } from '~/ui/Table'
import { TextBox } from '~/ui/TextBox'
import { Wide } from '~/ui/Wide'
import { findFigures } from '~/workers/boardsClient'
import type { PlannedWall } from './useRoom'

export interface RoomOptionRow {
  readonly name: string
  readonly chosen: number
  readonly has: number
  readonly designs: Readonly<Record<string, DesignDocument>>
}

/** Options of the whole room: the walls' options of one name, what they come to together, chosen in one press. */
export function RoomOptions({
  options,
  walls,
  currency,
}: {
  readonly options: readonly RoomOptionRow[]
  readonly walls: readonly PlannedWall[]
  readonly currency: string
}) {
  const fetcher = useFetcher<{ said: string | null }>()
  const [name, setName] = useState('')
  const may = useMay()
  const asked = useMemo(
    () => ({
      options: options.flatMap(({ designs }) =>
        walls.map(({ id, workpiece }) => {
          const design = designs[id]
          return design ? { ...workpiece, wall: { ...workpiece.wall, design } } : workpiece
        }),
      ),
    }),
    [options, walls],
  )
  const { answer, searching } = useWorkerAnswer(asked, findFigures, options.length > 1)
  const sumsOf = (index: number) => {
    const own = answer?.slice(index * walls.length, (index + 1) * walls.length) ?? []
    if (searching || own.length < walls.length || own.length === 0) return null
    const costs = own.map(({ cost }) => (cost?.whole ? cost.sum : null))
    return {
      pieces: own.reduce((sum, { pieces }) => sum + pieces, 0),
      hours: own.reduce((sum, { weigh }) => sum + weigh.hours, 0),
      wrong: own.reduce((sum, { wrong }) => sum + wrong, 0),
      cost: costs.includes(null) ? null : costs.reduce((sum: number, each) => sum + (each ?? 0), 0),
    }
  }
  // whoever only works at the wall chooses nothing here, and sees no sums
  if (walls.length === 0 || !may('jobs')) return null
  return (
    <Sheet aria-label={roomOptionText.title}>
      <h2>{roomOptionText.title}</h2>
      <Soft>{roomOptionText.help}</Soft>
      {fetcher.data?.said ? <Alert role="alert">{fetcher.data.said}</Alert> : null}
      {options.length > 1 ? (
        <Wide label={roomOptionText.title}>
          <Table aria-label={roomOptionText.title}>
            <thead>
              <tr>
                {roomOptionText.heads.map((head) => (
                  <th key={head} scope="col">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {options.map((option, i) => {
                const sums = sumsOf(i)
                return (
                  <tr key={option.name} data-room-option={option.name}>
                    <th scope="row">{option.name}</th>
                    <td>{roomOptionText.walls(option.has, walls.length)}</td>
                    <td className="number">{sums?.pieces ?? '…'}</td>
                    <td className="number">
                      {sums
                        ? sums.cost === null
                          ? roomOptionText.notKnown
                          : money(sums.cost, currency)
                        : '…'}
                    </td>
                    <td className="number">{sums ? Math.round(sums.hours * 10) / 10 : '…'}</td>
                    <td className="number">{sums?.wrong ?? '…'}</td>
                    <td>
                      {option.chosen === option.has ? (
                        roomOptionText.chosen
                      ) : (
                        <Button
                          onPress={() =>
                            void fetcher.submit({ intent: 'choose', name: option.name }, { method: 'post' })
                          }
                        >
                          {roomOptionText.choose(option.name)}
                        </Button>
                      )}
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </Table>
        </Wide>
      ) : null}
      <Row>
        <TextBox label={roomOptionText.name} value={name} maxLength={LIMITS.name} onChange={setName} />
        <Button
          isDisabled={name.trim() === ''}
          why={whyNot.name}
          onPress={() => {
            void fetcher.submit({ intent: 'copy', name }, { method: 'post' })
            setName('')
          }}
        >
          {roomOptionText.make(count(walls.length, 'wall'))}
        </Button>
      </Row>
      <Soft>{roomOptionText.note}</Soft>
    </Sheet>
  )
}
