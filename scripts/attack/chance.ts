/** Chance that comes out the same for the same seed (mulberry32, public domain). */
export function chanceOf(seed: number) {
  let state = seed >>> 0
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
  return {
    next,
    below: (most: number) => Math.floor(next() * most),
    of: <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T,
  }
}
export type Chance = ReturnType<typeof chanceOf>

/** Values that programs trip over. */
export const ODD: readonly unknown[] = [
  null,
  true,
  '',
  ' ',
  'x'.repeat(5000),
  0,
  -1,
  1e308,
  1e12,
  1e11,
  0.1,
  [],
  {},
  [[]],
  '9'.repeat(400),
  '1/0',
  '__proto__',
  '\u0000',
  '😀',
  { toString: 1 },
  1,
  2,
  20,
  340,
  25_400_000,
  2_540_000_000,
  '-0',
  '%00',
  '../..',
]

type Path = (string | number)[]
function placesIn(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path]
  return [path, ...Object.entries(value).flatMap(([key, each]) => placesIn(each, [...path, key]))]
}

/** A copy of a document with one place of it changed, taken away or doubled. */
export function mutated(value: unknown, chance: Chance): unknown {
  const copy = structuredClone(value)
  const places = placesIn(copy).filter((path) => path.length > 0)
  const path = chance.of(places)
  let at = copy as Record<string, unknown>
  for (const key of path.slice(0, -1)) at = at[key] as Record<string, unknown>
  const last = String(path.at(-1))
  const how = chance.below(4)
  if (how === 0) delete at[last]
  else if (how === 1 && Array.isArray(at)) at.push(structuredClone(at[Number(last)]))
  else if (how === 2) at[`${last}x`] = at[last]
  else at[last] = chance.of(ODD)
  return copy
}
