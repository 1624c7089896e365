import { ZERO } from '~/length'
import {
  type BookLayout,
  type DesignDocument,
  type Edit,
  inForce,
  type Material,
  type Paint,
  sharedOf,
  usualOffers,
  type Workpiece,
} from '~/model'
import { designLike } from '../room/habit'

/** The same stuff to whoever cuts it. */
function isSame(a: Material, b: Material): boolean {
  return a.width === b.width && a.thickness === b.thickness
}

/** A design with other names for its stuff and its paints, wherever it names them. */
function renamed(design: DesignDocument, names: ReadonlyMap<string, string>): DesignDocument {
  return JSON.parse(JSON.stringify(design), (key, value: unknown) =>
    typeof value === 'string' && (/material$/i.test(key) || PAINTED.has(key))
      ? (names.get(value) ?? value)
      : value,
  ) as DesignDocument
}
const PAINTED: ReadonlySet<string> = new Set(['trim', 'field', 'above', 'plates'])

/**
 * The edits that lay a wall out as a kept layout: its pattern, strips, wishes and colors, solved anew on this wall. Stuff and
 * colors the job lacks come with it; stuff that the job has under the same name in another size comes under a name of its own.
 */
export function bookEdits({ design, materials, paints }: BookLayout, workpiece: Workpiece): Edit[] {
  const { settings, wall } = workpiece
  const names = new Map<string, string>()
  const ownName = <T extends { readonly id: string }>(
    wanted: T,
    has: readonly T[],
    same: (a: T, b: T) => boolean,
  ) => {
    const known = has.find(({ id }) => id === wanted.id)
    if (known && same(known, wanted)) return null
    const twin = known
      ? has.find((each) => each.id.startsWith(`${wanted.id}.`) && same(each, wanted))
      : undefined
    if (twin) {
      names.set(wanted.id, twin.id)
      return null
    }
    if (!known) return wanted
    const taken = new Set(has.map(({ id }) => id))
    let n = 2
    while (taken.has(`${wanted.id}.${n}`)) n += 1
    names.set(wanted.id, `${wanted.id}.${n}`)
    return { ...wanted, id: `${wanted.id}.${n}` }
  }
  const stuff = materials.flatMap((each) => ownName(each, settings.materials, isSame) ?? [])
  const colors = paints.flatMap(
    (each) =>
      ownName(each, settings.paints, (a: Paint, b: Paint) => a.hex === b.hex && a.name === b.name) ?? [],
  )
  const like = inForce(designLike(renamed(design, names), wall.survey))
  const edits: Edit[] = []
  if (stuff.length > 0)
    edits.push(
      { type: 'patchSettings', patch: { materials: [...settings.materials, ...stuff] } },
      // what was never bought for this job is sold in the usual lengths, at no price yet
      ...stuff
        .flatMap(({ id }) => usualOffers(id, settings.units))
        .map((offer): Edit => ({ type: 'setOffer', offer })),
    )
  if (colors.length > 0)
    edits.push({ type: 'patchSettings', patch: { paints: [...settings.paints, ...colors] } })
  edits.push({
    type: 'patchDesign',
    patch: { ...sharedOf(like), sectionOwn: {}, shift: ZERO, fillers: null },
  })
  return edits
}
