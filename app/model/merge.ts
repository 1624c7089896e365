/** What two changes of one document come to. Where both changed the same thing, `mine` stands and its path is named. */
export interface Merged {
  readonly merged: unknown
  readonly clashes: readonly string[]
}

type Fields = Readonly<Record<string, unknown>>
const GONE = Symbol('not there')

function isFields(value: unknown): value is Fields {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

/** Whether two values of a document say the same, whatever the order of their keys. */
export function sameValue(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((each, i) => sameValue(each, b[i]))
  if (!isFields(a) || !isFields(b)) return false
  const keys = Object.keys(a)
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => Object.hasOwn(b, key) && sameValue(a[key], b[key]))
  )
}

/** The keys that say which of several shapes a record has: records of different shapes are never mixed. */
const TAGS = ['kind', 'school', 'rule', 'type', 'version']

function sameShape(...all: readonly Fields[]): boolean {
  return TAGS.every((tag) => new Set(all.map((each) => each[tag])).size === 1)
}

function nameOf(entry: unknown): string | null {
  if (!isFields(entry)) return null
  const name = entry.id ?? entry.key
  return typeof name === 'string' ? name : null
}

/** A list of records that carry names, as a map; null where it is another kind of list, or a name comes twice. */
function named(list: unknown): Map<string, unknown> | null {
  if (!Array.isArray(list)) return null
  const entries = list.map((each) => [nameOf(each), each] as const)
  if (entries.some(([name]) => name === null)) return null
  const map = new Map(entries as [string, unknown][])
  return map.size === list.length ? map : null
}

interface Merging {
  readonly value: unknown
  readonly clashes: string[]
}

function mergeNamed(
  base: Map<string, unknown>,
  mine: Map<string, unknown>,
  theirs: Map<string, unknown>,
  path: string,
): Merging {
  const clashes: string[] = []
  const orderIn = (map: Map<string, unknown>, other: Map<string, unknown>) =>
    [...map.keys()].filter((name) => other.has(name)).join('\n')
  const [first, second] = orderIn(mine, base) === orderIn(base, mine) ? [theirs, mine] : [mine, theirs]
  const value = [...new Set([...first.keys(), ...second.keys()])].flatMap((name) => {
    const of = (map: Map<string, unknown>) => (map.has(name) ? map.get(name) : GONE)
    const entry = mergeAt(of(base), of(mine), of(theirs), `${path}[${name}]`)
    clashes.push(...entry.clashes)
    return entry.value === GONE ? [] : [entry.value]
  })
  return { value, clashes }
}

function mergeFields(base: Fields, mine: Fields, theirs: Fields, path: string): Merging {
  const clashes: string[] = []
  const entries = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])].flatMap((key) => {
    const of = (from: Fields) => (Object.hasOwn(from, key) ? from[key] : GONE)
    const entry = mergeAt(of(base), of(mine), of(theirs), path ? `${path}.${key}` : key)
    clashes.push(...entry.clashes)
    return entry.value === GONE ? [] : [[key, entry.value] as const]
  })
  return { value: Object.fromEntries(entries), clashes }
}

function mergeAt(base: unknown, mine: unknown, theirs: unknown, path: string): Merging {
  if (sameValue(mine, theirs) || sameValue(theirs, base)) return { value: mine, clashes: [] }
  if (sameValue(mine, base)) return { value: theirs, clashes: [] }
  if (isFields(base) && isFields(mine) && isFields(theirs) && sameShape(base, mine, theirs))
    return mergeFields(base, mine, theirs, path)
  const lists = [named(base), named(mine), named(theirs)] as const
  const [ofBase, ofMine, ofTheirs] = lists
  if (ofBase && ofMine && ofTheirs) return mergeNamed(ofBase, ofMine, ofTheirs, path)
  return { value: mine, clashes: [path] }
}

/**
 * Brings two changes of one document together: what only one of them touched is as that one left it. Records are merged
 * field by field, lists by the names of their entries; all else is one thing. Nothing given is changed.
 */
export function mergeDocuments(base: unknown, mine: unknown, theirs: unknown): Merged {
  const { value, clashes } = mergeAt(base, mine, theirs, '')
  return { merged: value, clashes }
}

/** What two windows both changed of a row: the fields, how it stands now, and what was asked for. */
export interface RowClash<Row> {
  readonly fields: readonly (keyof Row)[]
  readonly now: Row
  readonly mine: Row
}

/**
 * A change of a row that is kept whole: what was changed of it since it was read (`was` to `mine`), on top of what others have made of it
 * (`now`). Where both changed the same field to different things nothing is kept, and both are told.
 */
export function changeRow<Row extends object>(
  was: Row,
  mine: Row,
  now: Row,
): { readonly row: Row } | { readonly clash: RowClash<Row> } {
  const { merged, clashes } = mergeDocuments(was, mine, now)
  if (clashes.length > 0) return { clash: { fields: clashes as (keyof Row)[], now, mine } }
  return { row: merged as Row }
}
