import { inches } from '~/length'
import { type Paper, STARTING_BOXES, withDesign, STOCK_LIST, USUAL_SPREAD, type Workpiece } from '~/model'
import { paperDrops } from '../agree/paperDrops'
import { computePlan } from '../computePlan'
import { keptBase, thing, wallOf } from '../../../tests/namedWalls'
import { areasOf } from './areas'
import { heldBy, placesAlong } from './fixings'
import { packsFor } from './packs'
import { cutDrops, muralFit } from './papering'
import { seamsOf } from './seams'
import { beadSection, feetPerPack, fluidOunces, squareFeet } from './volumes'

const sum = (lengths: readonly { readonly length: number }[]) =>
  lengths.reduce((all, { length }) => all + length, 0) / inches(1)
const outline = (polygon: readonly { x: number; y: number }[]) =>
  polygon.reduce((all, p, i) => {
    const q = polygon[(i + 1) % polygon.length] ?? p
    return all + Math.hypot(q.x - p.x, q.y - p.y)
  }, 0) / inches(1)

/** H1: battens on a kept base under a rail, as worked by hand (what is caulked: common practice, no source). */
function battens(survey: Partial<Workpiece['wall']['survey']> = {}): Workpiece {
  return wallOf(
    {
      width: inches(150),
      height: inches(96),
      baseboard: { ...keptBase(6), thickness: inches(0.75) },
      ...survey,
    },
    {
      pattern: 'battens',
      battenMaterial: 'pine-1x3',
      foot: { kind: 'baseboard' },
      topRail: { material: 'pine-1x4' },
      height: { rule: 'typed', value: inches(60) },
      spacing: { school: 'equalByCount', strips: 6, ends: 'gap' },
      sections: 'across',
    },
  )
}
const seamsIn = (workpiece: Workpiece, role?: string) => {
  const plan = computePlan(workpiece)
  const pieces = role ? plan.pieces.filter((piece) => piece.role.startsWith(role)) : plan.pieces
  return { plan: { ...plan, pieces }, ...seamsOf(workpiece, { ...plan, pieces }) }
}

describe('seams', () => {
  it('H1: battens on a base under a rail', () => {
    const { plan, seams, joints } = seamsIn(battens())
    const of = (against: string) => sum(seams.filter((seam) => seam.against === against))
    expect(of('wall')).toBeCloseTo(891, 3)
    expect(of('sideWall')).toBeCloseTo(7, 3)
    expect(of('base')).toBeCloseTo(15, 3)
    expect(sum(seams)).toBeCloseTo(913, 3)
    expect(sum(joints)).toBeCloseTo(15, 3)
    expect(plan.pieces.reduce((all, { polygon }) => all + outline(polygon), 0)).toBeCloseTo(943, 3)
  })

  it('H2: a grid whose border is butted, stiles through', () => {
    const { seams, joints, plan } = seamsIn(
      wallOf(
        { width: inches(130), height: inches(102), baseboard: keptBase(6) },
        {
          pattern: 'grid',
          battenMaterial: 'pine-1x4',
          foot: { kind: 'rail', material: 'pine-1x4' },
          topRail: { material: 'pine-1x4' },
          height: { rule: 'typed', value: inches(90) },
          border: 'butt',
          through: 'uprights',
          rows: [1, 1, 1],
          spacing: { school: 'equalByCount', strips: 5, ends: 'strip' },
        },
      ),
    )
    // the border's rails are cut between the uprights here: joints are more, what is caulked is the same
    expect(plan.pieces.reduce((all, { polygon }) => all + outline(polygon), 0)).toBeCloseTo(
      sum(seams) + 2 * sum(joints),
      3,
    )
    expect(sum(joints)).toBeCloseTo(32 * 3.5, 3)
    expect(sum(seams)).toBeCloseTo(1663, 3)
    const of = (against: string) => sum(seams.filter((seam) => seam.against === against))
    expect(of('sideWall')).toBeCloseTo(168, 3)
    expect(of('base')).toBeCloseTo(130, 3)
  })

  it('H3: mitered boxes, their miters told as such', () => {
    const narrow = {
      id: 'narrow',
      nominal: '',
      name: 'molding',
      width: inches(1.125),
      thickness: inches(0.5),
    }
    const workpiece = wallOf(
      { width: inches(145), height: inches(96), baseboard: keptBase(6) },
      {
        pattern: 'boxes',
        topRail: { material: 'pine-1x3' },
        foot: { kind: 'baseboard' },
        height: { rule: 'typed', value: inches(36.5) },
        boxes: { ...STARTING_BOXES, moulding: 'narrow', margin: inches(5), count: 4, wish: inches(30) },
      },
      { materials: [...STOCK_LIST, narrow] },
    )
    const { seams, joints } = seamsIn(workpiece, 'box')
    expect(sum(seams)).toBeCloseTo(732, 3)
    expect(joints).toHaveLength(16)
    expect(joints.every(({ miter }) => miter)).toBe(true)
    expect(sum(joints)).toBeCloseTo(25.455844, 3)
  })
})

describe('areas', () => {
  it('H7: trim, field and above, a window left out', () => {
    const workpiece = battens({
      things: [thing('window', 50, 65, 30, 24, { casing: inches(2.5) })],
    })
    const plan = computePlan(workpiece)
    const areas = areasOf(workpiece, plan, seamsOf(workpiece, plan))
    const feetOf = (key: keyof typeof areas) => squareFeet(areas[key])
    expect(feetOf('faces')).toBeCloseTo(8.9062, 3)
    expect(feetOf('edges')).toBeCloseTo(4.6406, 3)
    expect(feetOf('field')).toBeCloseTo(47.3438, 3)
    expect(feetOf('above')).toBeCloseTo(30.4514, 3)
    expect(feetOf('whole')).toBeCloseTo(13_500 / 144, 6)
    const gallons = (2 * (feetOf('faces') + feetOf('edges') + feetOf('field'))) / 400
    expect(gallons * 4).toBeCloseTo(1.2178, 3)
    expect(
      packsFor(gallons * 128, [
        { size: 32, price: null },
        { size: 128, price: null },
      ]),
    ).toEqual([{ size: 32, price: null, count: 2 }])
  })
  it('of a wall that is covered in part no more than that part is painted', () => {
    const workpiece = battens()
    const { design } = workpiece.wall
    const extent = { left: inches(30), right: inches(120) }
    const wall = { ...workpiece.wall, design: withDesign(design, { extent }) }
    const plan = computePlan({ ...workpiece, wall })
    const areas = areasOf({ ...workpiece, wall }, plan, seamsOf({ ...workpiece, wall }, plan))
    // 90 in wide between the base's top at 6 and the ceiling at 96; 36 of it above the rail
    expect(squareFeet(areas.whole)).toBeCloseTo((90 * 90) / 144, 6)
    expect(squareFeet(areas.above)).toBeCloseTo((90 * 36) / 144, 6)
    expect(squareFeet(areas.field + areas.faces)).toBeCloseTo((90 * 54) / 144, 6)
  })
})

describe('how far things go', () => {
  it('H4: feet a cartridge of 10.1 fl oz does, by NIST Handbook 44, App. C (gallon of 231 cubic inches)', () => {
    const of = (shape: 'round' | 'fillet' | 'square') =>
      [1 / 8, 3 / 16, 1 / 4].map((bead) => feetPerPack(10.1, inches(bead), shape))
    const close = (found: number[], wanted: number[]) =>
      found.forEach((value, i) => expect(value).toBeCloseTo(wanted[i] ?? NaN, 2))
    close(of('round'), [123.775, 55.011, 30.944])
    close(of('fillet'), [194.425, 86.411, 48.606])
    close(of('square'), [97.212, 43.206, 24.303])
    expect(feetPerPack(10.3, inches(3 / 16), 'round')).toBeCloseTo(56.1, 2)
    expect(184 / feetPerPack(10.1, inches(3 / 16), 'round')).toBeCloseTo(3.345, 3)
  })

  it.each([
    [50.5, 16, 2, 4],
    [50, 16, 2, 4],
    [52, 16, 2, 4],
    [52.1, 16, 2, 5],
    [150, 16, 2, 11],
    [18, 16, 2, 2],
    [15, 12, 1, 3],
    [3, 12, 1, 2],
  ])('H5: nails in %p at %p, %p from the ends (common practice, no source)', (length, apart, end, count) => {
    expect(placesAlong(inches(length), inches(apart), inches(end))).toBe(count)
  })

  it('H1 and H11: nails in crossed pairs, beads and dabs of adhesive', () => {
    const fixed = (fixing: 'crossedNails' | 'adhesiveOnly' | 'dabs') => {
      const workpiece = battens()
      const { design } = workpiece.wall
      const wall = { ...workpiece.wall, design: { ...design, frame: { ...design.frame, fixing } } }
      const { pieces } = computePlan({ ...workpiece, wall })
      return heldBy(pieces, { ...workpiece, wall }, USUAL_SPREAD)
    }
    const nailed = fixed('crossedNails')
    expect(nailed.reduce((all, { nails }) => all + (nails?.places ?? 0), 0)).toBe(35)
    const [battensOnly, rail] = [
      nailed.filter(({ beads, nails }) => beads === 0 && nails?.places === 4),
      nailed.find(({ nails }) => nails?.places === 11),
    ]
    expect(
      battensOnly.reduce((all, { nails }) => all + (nails?.holes ?? 0), 0) + (rail?.nails?.places ?? 0),
    ).toBe(59)
    const glued = fixed('adhesiveOnly')
    expect(glued.reduce((all, { beads }) => all + beads, 0) / inches(1)).toBeCloseTo(453, 6)
    const ounces = glued.reduce((all, { glue }) => all + fluidOunces(glue), 0)
    expect(ounces / 10.1).toBeCloseTo(1.22, 2)
    const dabbed = fixed('dabs')
    expect(dabbed.reduce((all, { dabs }) => all + dabs, 0)).toBe(43)
    expect(dabbed.reduce((all, { glue }) => all + fluidOunces(glue), 0) / 10.1).toBeCloseTo(0.2316, 3)
  })
})

describe('paper', () => {
  const paper = (height: number, match: 'straight' | 'half' = 'straight') => ({
    roll: inches(396),
    height: inches(height),
    match,
    over: inches(2),
  })
  const rollsOf = (drops: number, high: number, repeat: number, match?: 'half') =>
    cutDrops(
      Array.from({ length: drops }, () => inches(high)),
      paper(repeat, match),
    ).drops.reduce<number[]>((counts, { roll }) => {
      counts[roll - 1] = (counts[roll - 1] ?? 0) + 1
      return counts
    }, [])
  it('H8: drops on rolls, straight and half drop (rule common practice, no source)', () => {
    expect(rollsOf(8, 36, 0)).toEqual([8])
    expect(rollsOf(8, 36, 21)).toEqual([8])
    expect(rollsOf(8, 36, 25)).toEqual([8])
    // hung one after the other it takes two rolls; those that begin alike cut one after the other, one
    expect(rollsOf(8, 36, 21, 'half')).toEqual([8])
    expect(rollsOf(17, 84, 0)).toEqual([4, 4, 4, 4, 1])
    expect(rollsOf(17, 84, 21)).toEqual([3, 3, 3, 3, 3, 2])
    expect(rollsOf(17, 84, 25)).toEqual([4, 4, 4, 4, 1])
    expect(rollsOf(17, 84, 21, 'half')).toEqual([4, 4, 4, 4, 1])
  })
  it('H9: from a seam or a drop in the middle, or from a corner', () => {
    const outline = [
      { x: 0, y: 0 },
      { x: inches(150), y: 0 },
      { x: inches(150), y: inches(36) },
      { x: 0, y: inches(36) },
    ]
    const widths = (from: Paper['from']) =>
      paperDrops(
        { ...paper(0), kind: 'repeat', name: '', width: inches(20.5), panels: 1, from, hex: '#d9d2c0' },
        outline,
      ).map(
        ({ polygon }) =>
          (Math.max(...polygon.map(({ x }) => x)) - Math.min(...polygon.map(({ x }) => x))) / inches(1),
      )
    expect(widths('middleDrop')).toEqual([3.25, ...Array<number>(7).fill(20.5), 3.25])
    expect(widths('middle')).toEqual([13.5, ...Array<number>(6).fill(20.5), 13.5])
    expect(widths('left')).toEqual([...Array<number>(7).fill(20.5), 6.5])
    expect(widths('right')).toEqual([...Array<number>(7).fill(20.5), 6.5])
  })
  it('H10: a mural over a wall, and what it is short of', () => {
    const mural = {
      kind: 'mural',
      name: '',
      width: inches(20),
      height: inches(100),
      panels: 8,
      from: 'middle',
      hex: '#d9d2c0',
      roll: inches(396),
      match: 'straight',
      over: inches(2),
    } as Paper
    const fit = muralFit(mural, inches(150), inches(96))
    expect([fit.left, fit.right, fit.up].map((each) => each / inches(1))).toEqual([5, 5, 2])
    expect(fit.seams.map((at) => at / inches(1))).toEqual([15, 35, 55, 75, 95, 115, 135])
    expect(fit.shortAcross).toBe(0)
    const wider = muralFit(mural, inches(157), inches(96))
    expect([wider.left, wider.shortAcross].map((each) => each / inches(1))).toEqual([1.5, 0.5])
  })
})

describe('filler', () => {
  it('H6: holes and joints (sizes common practice, no source)', () => {
    const hole = (Math.PI / 4) * inches(3 / 32) ** 2 * inches(1 / 16)
    const joints = 15 * inches(1) * beadSection(inches(1 / 16), 'square')
    expect(fluidOunces(2 * (59 * hole + joints))).toBeCloseTo(0.0931, 3)
  })
})
