import { inches, type Length, toInches } from '~/length'
import {
  blankSurvey,
  type Design,
  type Judgement,
  type LengthReadingKind,
  type Reading,
  type Thing,
  type Settings,
  STARTING_JUDGEMENT,
  startingDesign,
  startingSettings,
  type Survey,
  withDesign,
  type Workpiece,
} from '~/model'

/** Builds a wall for a test: a plain one, changed where the test says so. */
export function wallOf(
  survey: Partial<Survey> = {},
  design: Partial<Design> = {},
  settings: Partial<Settings> = {},
): Workpiece {
  return {
    wall: {
      survey: { ...blankSurvey(), width: inches(131), height: inches(95), ...survey },
      design: withDesign(startingDesign(), design),
    },
    settings: { ...startingSettings('inches', '1/16'), ...settings },
  }
}

export const keptBase = (height: number) =>
  ({ height: inches(height), thickness: inches(0.5), fate: 'keep' }) as const

/** A reading for a test, taken with the tape. */
export function reading(kind: LengthReadingKind, place: number, value: number): Reading {
  return {
    id: `${kind}-${place}-${value}`.replace(/[^A-Za-z0-9._-]/g, '_'),
    method: 'tape',
    takenAt: '2026-03-02T09:00:00Z',
    kind,
    place: inches(place),
    value: inches(value),
  } as Reading
}

/** A thing on the wall for a test, in inches. */
export function thing(
  kind: Thing['kind'],
  left: number,
  bottom: number,
  width: number,
  height: number,
  more: Partial<Thing> = {},
): Thing {
  return {
    id: `${kind}-${left}`.replace(/[^A-Za-z0-9._-]/g, '_'),
    kind,
    left: inches(left),
    bottom: inches(bottom),
    width: inches(width),
    height: inches(height),
    thickness: inches(0.5),
    casing: inches(0),
    fate: 'keep',
    clear: null,
    slope: null,
    fromRight: null,
    fromTop: null,
    ...more,
  }
}

/** How many pieces of each length, by long point in inches. */
export function pieceCounts(pieces: readonly { longLength: Length }[]): Record<string, number> {
  const counts: Record<string, number> = {}
  for (const { longLength } of pieces) {
    const key = String(toInches(longLength))
    counts[key] = (counts[key] ?? 0) + 1
  }
  return counts
}

/** A batten wall near a wish of 15 with outlets at these distances, in inches. */
export function battenWall(
  width: number,
  plates: readonly number[],
  judgement: Partial<Judgement> = {},
  design: Partial<Design> = {},
): Workpiece {
  return wallOf(
    { width: inches(width), things: plates.map((left) => thing('outlet', left, 12, 2.75, 4.5)) },
    {
      spacing: {
        school: 'nearWish',
        wish: inches(15),
        measure: 'gap',
        least: inches(11),
        most: inches(20),
        ends: 'gap',
        strips: null,
      },
      judgement: { ...STARTING_JUDGEMENT, ...judgement },
      ...design,
    },
  )
}
