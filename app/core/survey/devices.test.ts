import fc from 'fast-check'
import { inches, type Length, nanometers, toInches } from '~/length'
import { finderSweep, laserReading } from './standIn'
import { estimateStuds } from './studEstimate'

/** A fair chance that is the same at every run (mulberry32). */
function chanceFrom(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
}

const studsAt = (first: number, spacing: number, count: number): Length[] =>
  Array.from({ length: count }, (_, i) => inches(first + i * spacing))

test('the laser reads about the truth, never the same twice running', () => {
  const chance = chanceFrom(7)
  const read = Array.from({ length: 400 }, () => laserReading(inches(142.25), chance) - inches(142.25))
  const mean = read.reduce((sum, off) => sum + off, 0) / read.length
  const deviation = Math.sqrt(read.reduce((sum, off) => sum + (off - mean) ** 2, 0) / read.length)
  expect(Math.abs(mean)).toBeLessThan(0.15e6)
  expect(deviation).toBeGreaterThan(0.5e6)
  expect(deviation).toBeLessThan(1e6)
})

describe('studs from a sweep', () => {
  test('sixteen on center: spacing and centers within a quarter inch, whatever the noise', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.integer({ min: 16, max: 15 * 16 }),
        (seed, firstSixteenths) => {
          const truth = studsAt(firstSixteenths / 16, 16, 9)
          const edges = finderSweep(truth, chanceFrom(seed))
          const { spacing, centers, seen } = estimateStuds(edges, inches(firstSixteenths / 16 + 8 * 16 + 4))
          if (seen < 6) return
          expect(toInches(spacing ?? 0)).toBe(16)
          truth.forEach((stud) => {
            const nearest = Math.min(...centers.map((center) => Math.abs(center - stud)))
            expect(toInches(nearest)).toBeLessThan(0.25)
          })
        },
      ),
    )
  })

  test('twenty-four on center is told from sixteen', () => {
    expect(
      toInches(estimateStuds(finderSweep(studsAt(10, 24, 6), chanceFrom(3)), inches(140)).spacing ?? 0),
    ).toBe(24)
  })

  test('more seen and less scattered is surer; nothing seen is no confidence', () => {
    const clean = studsAt(10, 16, 8).flatMap((stud) => [
      { at: nanometers(stud - inches(0.75)), edge: 'begins' as const },
      { at: nanometers(stud + inches(0.75)), edge: 'ends' as const },
    ])
    const all = estimateStuds(clean, inches(130))
    expect(all.confidence).toBeCloseTo(1, 6)
    expect(estimateStuds(clean.slice(0, 8), inches(130)).confidence).toBeLessThan(all.confidence)
    expect(estimateStuds([], inches(130))).toMatchObject({ centers: [], confidence: 0 })
    expect(estimateStuds(clean.slice(0, 2), inches(130)).spacing).toBeNull()
  })
})
