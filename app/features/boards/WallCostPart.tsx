import { lazy, useMemo } from 'react'
import { costByWall } from '~/core/yard/costByWall'
import { boardsText, materialName, money } from '~/messages'
import { Fold } from '~/ui/Fold'
import { Table } from '~/ui/Table'
import { Wide } from '~/ui/Wide'
import { Charted } from '~/ui/Charted'
import type { JobBoards } from './useJobBoards'

const WallCostChart = lazy(() => import('./WallCostChart'))

/** What the boards of each wall cost by stuff, as a chart and as the same numbers. */
export function WallCostPart({ job }: { readonly job: JobBoards }) {
  const { boards, walls, wording, settings } = job
  const costs = useMemo(
    () => costByWall(boards.materials.flatMap(({ result }) => (result.ok ? [result.value] : []))),
    [boards],
  )
  const stuff = [...new Set(costs.map(({ material }) => material))]
  const shown = walls.filter(({ id }) => costs.some(({ wall }) => wall === id))
  const of = (material: string, wall: string) =>
    costs.find((each) => each.material === material && each.wall === wall)?.cost ?? 0
  const sumOf = (wall: string) => stuff.reduce((sum, material) => sum + of(material, wall), 0)
  const cash = (cents: number) => money(Math.round(cents), settings.currency)
  if (shown.length < 2 || stuff.length === 0) return null
  return (
    <Fold title={boardsText.byWall} open>
      <Charted>
        <WallCostChart
          label={boardsText.byWallChart}
          walls={shown.map(({ name }) => name)}
          stuff={stuff.map((material) => ({
            name: materialName(material, wording),
            costs: shown.map(({ id }) => Math.round(of(material, id)) / 100),
          }))}
        />
      </Charted>
      <Wide label={`${boardsText.byWall}, ${boardsText.sum}`}>
        <Table aria-label={boardsText.byWall}>
          <thead>
            <tr>
              <th scope="col">{boardsText.wallColumn}</th>
              {stuff.map((material) => (
                <th key={material} scope="col">
                  {materialName(material, wording)}
                </th>
              ))}
              <th scope="col">{boardsText.sum}</th>
            </tr>
          </thead>
          <tbody>
            {shown.map(({ id, name }) => (
              <tr key={id}>
                <th scope="row">{name}</th>
                {stuff.map((material) => (
                  <td key={material}>{of(material, id) === 0 ? '–' : cash(of(material, id))}</td>
                ))}
                <td className="number">{cash(sumOf(id))}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Wide>
    </Fold>
  )
}
