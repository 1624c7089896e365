import { inches } from '~/length'
import { lineWall, STRIP } from '../../../../tests/lineWalls'
import { computePlan } from '../../computePlan'
import { snapHeading, snapPoint } from './snap'

const base = { on: true, material: STRIP } as const
const { layout } = computePlan(
  lineWall(96, 72, [
    {
      ...base,
      id: 'm1',
      kind: 'strike',
      from: { at: 'corner', corner: 'bottomLeft' },
      heading: { to: 'angle', deg: 45 },
      until: { kind: 'frame' },
      lies: 'center',
    },
    {
      ...base,
      id: 'm2',
      kind: 'strike',
      from: { at: 'corner', corner: 'bottomRight' },
      heading: { to: 'angle', deg: 135 },
      until: { kind: 'frame' },
      lies: 'center',
    },
  ]),
)
const at = (x: number, y: number) =>
  snapPoint(layout, { x: inches(x), y: inches(y) }, inches(1.5), inches(1 / 16))

describe('what was meant by a press on the drawing', () => {
  test('corners, middles, equal parts and crossings come before any place', () => {
    expect(at(0.6, 0.8)?.point).toEqual({ at: 'corner', corner: 'bottomLeft' })
    expect(at(48.4, 0.9)?.point).toEqual({ at: 'side', side: 'bottom', along: { by: 'middle' } })
    expect(at(24.5, 71.5)?.point).toEqual({ at: 'side', side: 'top', along: { by: 'mark', mark: 1, of: 3 } })
    expect(at(47.9, 48.1)?.point).toEqual({ at: 'crossing', of: ['m1.1', 'm2.1'] })
  })

  test('else a place on a side or a strip, on the tape’s tick; else a free one from the nearer side', () => {
    expect(at(13.03, 0.4)?.point).toEqual({
      at: 'side',
      side: 'bottom',
      along: { by: 'distance', from: 'start', distance: inches(13) + inches(0) },
    })
    expect(at(20.4, 20)?.what).toBe('strip')
    expect(at(80, 40.02)?.point).toEqual({ at: 'free', from: 'right', across: inches(16), up: inches(40) })
  })

  test('a pull goes toward a named place, square to the strip it starts on, at a usual angle, or as it is', () => {
    const side = at(13, 0.4)
    if (!side) throw new Error('no place')
    const pull = (from: typeof side, x: number, y: number) =>
      snapHeading(layout, from, { x: inches(x), y: inches(y) }, inches(1.5), inches(1 / 16))
    expect(pull(side, 95.6, 71.5)).toEqual({
      to: 'point',
      point: { at: 'corner', corner: 'topRight' },
      edge: 'same',
    })
    expect(pull(side, 33.3, 12)).toEqual({ to: 'angle', deg: 30 })
    expect(pull(side, 30, 6.5)).toEqual({ to: 'angle', deg: 22.5 })
    expect(pull(side, 37, 5)).toMatchObject({ to: 'angle', deg: 12 })
    const on = at(20.4, 20)
    if (!on) throw new Error('no place')
    expect(pull(on, 10.2, 30.5)).toEqual({ to: 'square', strip: 'm1.1', side: 'left' })
  })
})
