import { nanometers } from '~/length'
import {
  type DesignDocument,
  type Edit,
  type houseNoteSchema,
  inForce,
  type Paint,
  type Settings,
  withDesign,
  type Workpiece,
} from '~/model'
import type { z } from 'zod'
import type { Plan } from '../computePlan'
import { materialsOf } from '../patterns/materialsOf'
import { colorsOf } from './wallColors'

/** Something a house has already: a height, a gap, a width of trim, a paint. */
export type HouseEntry = z.output<ReturnType<typeof houseNoteSchema>>

/** What a planned wall has that the next room may want as well: its height, its gap, its widths of trim, its paints. */
export function houseEntriesOf(
  { wall, settings }: Workpiece,
  { layout }: Plan,
  wallName: string,
): HouseEntry[] {
  const gap = layout.sections.flatMap(({ placement }) => placement?.gaps ?? [])[0]
  const widths = new Map(
    materialsOf(wall.design).flatMap(({ material }) => {
      const stuff = settings.materials.find(({ id }) => id === material)
      return stuff
        ? [[stuff.width as number, [stuff.nominal, stuff.name].filter((word) => word !== '').join(' ')]]
        : []
    }),
  )
  const { trim, field, above, plates } = colorsOf(inForce(wall.design), settings)
  const paints = [trim, field, above, plates].filter((paint): paint is Paint => paint !== null)
  return [
    ...(layout.height > 0
      ? [{ name: wallName, note: '', what: { kind: 'height', length: layout.height } } as const]
      : []),
    ...(gap !== undefined && gap > 0
      ? [{ name: wallName, note: '', what: { kind: 'gap', length: gap } } as const]
      : []),
    ...[...widths].map(([length, name]) => ({ name, note: '', what: { kind: 'width', length } }) as const),
    ...[...new Set(paints)].map(
      (paint) => ({ name: paint.name, note: paint.batch, what: { kind: 'paint', paint } }) as const,
    ),
  ]
}

/** The same thing of the house, whatever it was called. */
export function sameEntry(a: HouseEntry, b: HouseEntry): boolean {
  if (a.what.kind === 'paint' || b.what.kind === 'paint')
    return (
      a.what.kind === 'paint' &&
      b.what.kind === 'paint' &&
      a.what.paint.hex === b.what.paint.hex &&
      a.what.paint.name === b.what.paint.name &&
      a.what.paint.batch === b.what.paint.batch
    )
  return a.what.kind === b.what.kind && a.what.length === b.what.length
}

/** The edits that give a wall what the house has; none where it has it already, or has no stuff of that width. */
export function houseEdits({ what }: HouseEntry, { wall, settings }: Workpiece): Edit[] {
  const design = inForce(wall.design)
  switch (what.kind) {
    case 'height':
      return [{ type: 'patchDesign', patch: { height: { rule: 'typed', value: nanometers(what.length) } } }]
    case 'gap':
      return [{ type: 'setGap', gap: nanometers(what.length) }]
    case 'width': {
      const stuff = settings.materials.find(({ width }) => width === what.length)
      return stuff && stuff.id !== design.battenMaterial
        ? [{ type: 'patchDesign', patch: { battenMaterial: stuff.id } }]
        : []
    }
    case 'paint': {
      const { paint } = what
      const edits: Edit[] = []
      if (!settings.paints.some(({ id }) => id === paint.id))
        edits.push({ type: 'patchSettings', patch: { paints: [...settings.paints, paint] } })
      edits.push({ type: 'patchDesign', patch: { paint: { ...design.paint, [paint.use]: paint.id } } })
      return edits
    }
  }
}

/** Where a new wall starts in a house whose book has something: its height, its gap as a wish, its colors, the last written first. */
export function startInHouse(
  design: DesignDocument,
  entries: readonly HouseEntry[],
  { paints }: Pick<Settings, 'paints'>,
): DesignDocument {
  const last = (kind: 'height' | 'gap') => {
    const found = entries.findLast(({ what }) => what.kind === kind)?.what
    return found && 'length' in found ? nanometers(found.length) : null
  }
  const [height, gap] = [last('height'), last('gap')]
  const { spacing, paint } = inForce(design)
  const colors = Object.fromEntries(
    entries.flatMap(({ what }) =>
      what.kind === 'paint' && paints.some(({ id }) => id === what.paint.id)
        ? [[what.paint.use, what.paint.id]]
        : [],
    ),
  )
  return withDesign(design, {
    ...(height !== null ? { height: { rule: 'typed', value: height } } : {}),
    ...(gap !== null && spacing.school === 'nearWish'
      ? { spacing: { ...spacing, wish: gap, measure: 'gap' } }
      : {}),
    ...(Object.keys(colors).length > 0 ? { paint: { ...paint, ...colors } } : {}),
  })
}
