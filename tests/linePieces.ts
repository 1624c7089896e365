import { inches } from '~/length'
import type { Move } from '~/model'
import { computePlan } from '~/core/computePlan'
import type { EndCut, Piece } from '~/core/pieces'
import { ring } from './areas'
import { lineWall, STRIP } from './lineWalls'

export const saw = (cut: EndCut) =>
  cut.kind === 'miter' ? cut.sawSettingDeg : cut.kind === 'square' ? 0 : cut.kind
export const area = (pieces: readonly Piece[]) =>
  pieces.reduce((sum, { polygon }) => sum + Math.abs(ring(polygon).area()), 0)
export const long = ({ longLength }: Piece) => longLength / inches(1)
export const short = ({ shortLength }: Piece) => shortLength / inches(1)
export const lines = (...of: Parameters<typeof lineWall>) =>
  computePlan(lineWall(...of)).pieces.filter(({ role }) => role === 'line')
/** How long a piece's upper and lower edge are, in inches. */
export function edges({ polygon, directionDeg, faceWidth }: Piece): {
  upper: number
  lower: number
  overall: number
} {
  const turn = (directionDeg * Math.PI) / 180
  const own = polygon.map(({ x, y }) => ({
    along: (x * Math.cos(turn) + y * Math.sin(turn)) / inches(1),
    left: (y * Math.cos(turn) - x * Math.sin(turn)) / inches(1),
  }))
  const most = Math.max(...own.map(({ left }) => left))
  const on = (at: number) => {
    const all = own.filter(({ left }) => Math.abs(left - at) < 1e-5).map(({ along }) => along)
    return Math.max(...all) - Math.min(...all)
  }
  const all = own.map(({ along }) => along)
  return {
    upper: on(most),
    lower: on(most - faceWidth / inches(1)),
    overall: Math.max(...all) - Math.min(...all),
  }
}

export const base = { on: true, material: STRIP } as const
export const strike = (more: Partial<Extract<Move, { kind: 'strike' }>>): Move => ({
  ...base,
  id: 'm1',
  kind: 'strike',
  from: { at: 'corner', corner: 'bottomLeft' },
  heading: { to: 'angle', deg: 45 },
  until: { kind: 'frame' },
  lies: 'center',
  ...more,
})
