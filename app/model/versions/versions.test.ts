import { readFileSync } from 'node:fs'
import { inches } from '~/length'
import { parseBody, parseJobFile, readBody } from '.'
import {
  FRAME_KEYS,
  inForce,
  OWN_KEYS,
  PLACED_KEYS,
  startingDesign,
  storedDesign,
  withDesign,
} from '../design'
import { NO_COMPANIONS } from '../companions'
import { NO_PAINT } from '../paint'
import { STARTING_LINES } from '../lines'
import { OPTION_KEYS } from '../patternOptions'
import { PATTERNS, STARTING_BOXES, STARTING_JUDGEMENT } from '../pattern'
import { designFrom1 } from './designFrom1'

const fileOf1 = JSON.parse(readFileSync('tests/versions/job-1.regla.json', 'utf8'))

/** A design as version 1 stored it, every key there is. */
const stored1 = {
  version: 1,
  pattern: 'grid',
  battenMaterial: 'pine-1x4',
  spacing: { school: 'equalByCount', strips: 6, ends: 'strip' },
  foot: { kind: 'floor' },
  topRail: null,
  cap: null,
  height: { rule: 'typed', value: inches(71) },
  rails: [],
  through: 'uprights',
  sections: 'beside',
  sectionOwn: { first: { strips: 4, shift: 0 } },
  extent: { left: inches(3), right: inches(90) },
  fillers: null,
  border: 'miter',
  rows: [1, 2],
  boxes: STARTING_BOXES,
  corners: { left: 'cope', right: 'run' },
  judgement: STARTING_JUDGEMENT,
  locked: true,
  apart: false,
  railJoint: 'butt',
  levelRule: 'floor',
  shift: inches(0.5),
  meets: { outlet: 'notch' },
  proud: 'leave',
  fixing: 'dabs',
}

const readDesign = (raw: unknown) => readBody('design', raw)

describe('documents of version 1', () => {
  test('a design has in force what it had: every key, to the letter', () => {
    const design = readDesign(stored1)
    const { version: _, ...had } = stored1
    // what has come since starts as it does in a new design
    expect(inForce(design)).toEqual({
      ...had,
      schools: [],
      stand: { kind: 'plumb' },
      unflat: 'proposed',
      paint: NO_PAINT,
      lines: STARTING_LINES,
      companions: NO_COMPANIONS,
      joints: {},
      backer: null,
      tops: 'ceiling',
      sides: { left: 'caulk', right: 'caulk' },
      smallPieces: 'cut',
    })
    expect(Object.keys(design.patterns)).toEqual(['grid'])
  })

  test('what was set of other patterns is kept by them; what was never touched is not', () => {
    const boxes = { ...STARTING_BOXES, margin: inches(3) }
    const design = readDesign({ ...stored1, pattern: 'slats', boxes })
    expect(Object.keys(design.patterns).sort()).toEqual(['boxes', 'grid', 'slats'])
    expect(design.patterns.boxes?.boxes).toEqual(boxes)
    expect(design.patterns.grid).toMatchObject({ border: 'miter', rows: [1, 2] })
  })

  test('a file goes on being read', () => {
    const read = parseJobFile(fileOf1)
    expect(read.success).toBe(true)
    const wall = read.data?.rooms[0]?.walls[0]
    expect(read.data?.version).toBe(2)
    expect(wall && inForce(wall.design)).toMatchObject({
      battenMaterial: 'mdf-60',
      spacing: { school: 'nearWish', measure: 'pitch' },
      railJoint: 'butt',
    })
  })

  test('a key nobody knows is told, not dropped', () => {
    const read = parseBody('design', { ...stored1, colour: 'green' })
    expect(read.error?.issues[0]).toMatchObject({ code: 'unrecognized_keys', keys: ['colour'] })
  })

  test('the step changes nothing of what it is given', () => {
    const before = JSON.stringify(stored1)
    designFrom1(stored1)
    expect(JSON.stringify(stored1)).toBe(before)
  })
})

describe('a version of a later day', () => {
  test.each([3, 99, '2', null])('%s is told by its place', (version) => {
    const read = parseBody('design', { ...startingDesign(), version })
    expect(read.error?.issues[0]?.path).toEqual(['version'])
  })

  test.each([[null], ['x'], [[]], [{ rooms: 4 }], [{ version: 1, rooms: [null, { walls: 3 }] }]])(
    '%j is no job, and no exception',
    (raw) => expect(parseJobFile(raw).success).toBe(false),
  )
})

describe('a design with the options of each pattern', () => {
  test('the pattern in force has options, or the document is refused', () => {
    const read = parseBody('design', { ...startingDesign(), pattern: 'grid' })
    expect(read.error?.issues[0]).toMatchObject({ path: ['patterns'] })
  })

  test('a change goes to the pattern in force, to the frame, or to the wall, and to nothing else', () => {
    const start = withDesign(startingDesign(), { pattern: 'grid', rows: [1, 1, 1] })
    const next = withDesign(start, {
      rows: [2, 1],
      through: 'rails',
      extent: { left: inches(1), right: inches(50) },
      shift: inches(2),
    })
    expect(next.patterns.grid?.rows).toEqual([2, 1])
    expect(next.patterns.battens).toBe(start.patterns.battens)
    expect(next.frame.through).toBe('rails')
    expect(next.own.extent?.right).toBe(inches(50))
    expect(next.own.placed).toEqual({
      grid: { sectionOwn: {}, shift: inches(2), schools: [], fillers: null },
    })
    const back = withDesign(next, { pattern: 'battens' })
    expect(inForce(back).shift).toBe(0)
    expect(inForce(withDesign(back, { pattern: 'grid' })).shift).toBe(inches(2))
  })

  test('what is in force stays the same view while the document does', () => {
    const design = startingDesign()
    expect(inForce(design)).toBe(inForce(design))
    expect(inForce(withDesign(design, {}))).toEqual(inForce(design))
  })

  test('the names of what a design has are those of its schema', () => {
    const { patterns, frame, own } = storedDesign.shape
    const keys = (shape: object) => Object.keys(shape).sort()
    expect([...FRAME_KEYS].sort()).toEqual(keys(frame.shape))
    expect([...OWN_KEYS, 'placed'].sort()).toEqual(keys(own.shape))
    expect([...PLACED_KEYS].sort()).toEqual(
      keys(own.shape.placed.def.innerType.shape.grid.def.innerType.shape),
    )
    for (const pattern of PATTERNS)
      expect([...OPTION_KEYS[pattern]].sort()).toEqual(keys(patterns.shape[pattern].def.innerType.shape))
  })

  test('turned through all patterns, each has its own options and no other', () => {
    let design = startingDesign()
    for (const pattern of PATTERNS) design = withDesign(design, { pattern })
    for (const pattern of PATTERNS)
      expect(Object.keys(design.patterns[pattern] ?? {}).sort()).toEqual([...OPTION_KEYS[pattern]].sort())
  })
})
