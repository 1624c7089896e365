import fc from 'fast-check'
import { inches, toInches } from '~/length'
import { STARTING_BOXES } from '~/model'
import { anyMeetingWall, met, runs } from '../../../tests/anyWall'
import { keptBase, reading, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { boundsOf } from '../geometry'
import { blockCards } from './blocks'

const lengths = (cards: ReturnType<typeof blockCards>) =>
  cards.map(({ datum, blocks }) => [
    datum.kind === 'band' ? datum.bandId : datum.kind,
    blocks.map(({ kind, length }) => `${kind} ${toInches(length.exact)}`),
  ])

describe('blocks that hold heights', () => {
  test('a prop block for each rail, from what lies next below it', () => {
    const { layout } = computePlan(
      wallOf(
        { baseboard: keptBase(5) },
        {
          foot: { kind: 'baseboard' },
          height: { rule: 'typed', value: inches(60) },
          rails: [
            {
              id: 'rail-1',
              use: 'rail',
              material: 'pine-1x4',
              lay: 'edge',
              top: { rule: 'typed', value: inches(30) },
            },
          ],
        },
      ),
    )
    // 30 - 3 1/2 - 5, then 60 - 3 1/2 - 30
    expect(lengths(blockCards(layout, '1/16'))).toEqual([
      ['baseboard', ['prop 21.5']],
      ['rail-1', ['prop 26.5']],
    ])
  })

  test('of boxes the margin block and a leg on it as a gauge', () => {
    const { layout } = computePlan(
      wallOf(
        {},
        {
          pattern: 'boxes',
          boxes: { ...STARTING_BOXES, margin: inches(4) },
          foot: { kind: 'rail', material: 'pine-1x4' },
          height: { rule: 'typed', value: inches(36) },
        },
      ),
    )
    const card = blockCards(layout, '1/16').find(
      ({ datum }) => datum.kind === 'band' && datum.bandId === 'bottomRail',
    )
    expect(card?.blocks.map(({ kind }) => kind)).toEqual(['prop', 'margin', 'leg'])
    const [prop, margin, leg] = (card?.blocks ?? []).map(({ length }) => length.exact)
    // margin, leg and margin fill what the prop block holds open
    expect((margin ?? 0) * 2 + (leg ?? 0)).toBeCloseTo(prop ?? NaN, 0)
  })

  test('from a floor that falls it is right at its highest place alone, and says by how much', () => {
    const wall = wallOf({ readings: [reading('floorFall', 131, 0.5)] }, { foot: { kind: 'floor' } })
    const [card] = blockCards(computePlan(wall).layout, '1/16')
    expect(card?.datum.kind).toBe('floor')
    expect(toInches(card?.blocks[0]?.falls ?? NaN)).toBeCloseTo(0.5, 6)
  })

  test('law: a card has one datum, and every prop block fits between the faces it stands between', () => {
    let seen = 0
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const { layout } = computePlan(workpiece)
        const cards = blockCards(layout, '1/16')
        const data = cards.map(({ datum }) => JSON.stringify(datum))
        expect(new Set(data).size).toBe(data.length)
        for (const { datum, blocks } of cards)
          for (const { kind, bandId, row, length } of blocks) {
            expect(length.exact).toBeGreaterThan(0)
            seen += 1
            const from =
              datum.kind === 'band'
                ? layout.bands.find(({ id }) => id === datum.bandId)?.top
                : layout.lines.baseTop
            if (kind === 'prop')
              expect(length.exact).toBe(
                (layout.bands.find(({ id }) => id === bandId)?.bottom ?? NaN) - (from ?? NaN),
              )
            if (kind !== 'leg') continue
            const frame = layout.frames.find(
              (each) => each.row === (row ?? 0) - 1 && each.outline.length === 4,
            )
            const { bottom, top } = boundsOf(frame?.outline ?? [])
            expect(length.exact).toBe(top - bottom)
          }
      }),
      { numRuns: runs(80) },
    )
    expect(seen).toBeGreaterThan(met(40))
  })
})
