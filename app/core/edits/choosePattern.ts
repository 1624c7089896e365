import { inches } from '~/length'
import { type Design, type Edit, type Pattern, STOCK_LIST, usualOffers, type Workpiece } from '~/model'

/** Adds a built-in material the job lacks, in its usual lengths. */
export function haveMaterial({ settings }: Workpiece, id: string): Edit[] {
  const material = STOCK_LIST.find((each) => each.id === id)
  if (!material || settings.materials.some((each) => each.id === id)) return []
  return [
    { type: 'addMaterial', material },
    ...usualOffers(id, settings.units).map((offer): Edit => ({ type: 'setOffer', offer })),
  ]
}

/** What a wall of rails alone starts with. */
const FIRST_RAIL: Design['rails'][number] = {
  id: 'chairRail-1',
  use: 'chairRail',
  material: 'chair-rail',
  lay: 'edge',
  top: { rule: 'third' },
}

/** A rail that only came with the pattern, untouched since, goes with it. */
function railsAfter({ pattern, rails }: Design): Partial<Design> {
  const [only, ...others] = rails
  const untouched = others.length === 0 && JSON.stringify(only) === JSON.stringify(FIRST_RAIL)
  return pattern === 'rails' && untouched ? { rails: [] } : {}
}

/** What a pattern usually starts from on this wall: common practice, no source. */
function usualDesign(pattern: Pattern, { wall }: Workpiece): Partial<Design> {
  const { survey, design } = wall
  const onBase = survey.baseboard?.fate === 'keep'
  const foot: Design['foot'] = onBase ? { kind: 'baseboard' } : { kind: 'floor' }
  const railFoot: Design['foot'] = onBase ? { kind: 'baseboard' } : { kind: 'rail', material: 'pine-1x4' }
  const near = (wish: number, least: number, most: number, ends: 'gap' | 'strip') =>
    ({
      school: 'nearWish',
      wish: inches(wish),
      measure: 'gap',
      least: inches(least),
      most: inches(most),
      ends,
      strips: null,
    }) as const
  switch (pattern) {
    case 'battens':
      return {
        battenMaterial: 'pine-1x3',
        spacing: near(16, 10, 24, 'gap'),
        foot: railFoot,
        topRail: { material: 'pine-1x4' },
        height: { rule: 'twoThirds' },
      }
    case 'grid':
      return {
        battenMaterial: 'pine-1x4',
        spacing: near(24, 14, 40, 'strip'),
        foot,
        topRail: null,
        cap: null,
        height: { rule: 'full' },
        rows: [1, 1, 1],
      }
    case 'boxes':
      return {
        foot: railFoot,
        topRail: { material: 'chair-rail' },
        cap: null,
        height: { rule: 'third' },
      }
    case 'slats':
      return {
        battenMaterial: 'pine-1x2',
        spacing: near(1.5, 0.5, 4, 'gap'),
        foot,
        topRail: null,
        cap: null,
        height: { rule: 'full' },
      }
    case 'rails':
      return {
        foot,
        topRail: null,
        cap: null,
        rails: design.rails.length > 0 ? design.rails : [FIRST_RAIL],
      }
  }
}

/** Materials of a patch that may be missing in an older job. */
function materialsIn(patch: Partial<Design>): string[] {
  return [
    patch.battenMaterial,
    patch.topRail?.material,
    patch.foot?.kind === 'rail' ? patch.foot.material : undefined,
    ...(patch.rails ?? []).map(({ material }) => material),
  ].filter((id) => id !== undefined)
}

/**
 * Turns a wall to another pattern, from where that pattern usually starts. What belongs to other patterns alone
 * stays in the design, so that turning back loses nothing of it.
 */
export function choosePattern(workpiece: Workpiece, pattern: Pattern): Edit[] {
  const patch = usualDesign(pattern, workpiece)
  const moulding = pattern === 'boxes' ? [workpiece.wall.design.boxes.moulding] : []
  return [
    ...[...materialsIn(patch), ...moulding].flatMap((id) => haveMaterial(workpiece, id)),
    {
      type: 'patchDesign',
      patch: {
        ...railsAfter(workpiece.wall.design),
        ...patch,
        pattern,
        shift: inches(0),
        sectionOwn: {},
      },
    },
  ]
}

/** A horizontal to start with, of its use, with an id of its own. */
export function newRail(workpiece: Workpiece, use: Design['rails'][number]['use']): Edit[] {
  const { design, survey } = workpiece.wall
  const numbers = design.rails
    .filter(({ id }) => id.startsWith(`${use}-`))
    .map(({ id }) => Number(/-(\d+)$/.exec(id)?.[1] ?? 0))
  const id = `${use}-${Math.max(0, ...numbers) + 1}`
  const material = { rail: 'pine-1x4', chairRail: 'chair-rail', pictureRail: 'pine-1x2', shelf: 'pine-1x4' }[
    use
  ]
  const part = { rail: 0.5, chairRail: 1 / 3, pictureRail: 0.85, shelf: 0.7 }[use]
  const value = inches(Math.round((survey.height * part) / inches(0.5)) * 0.5)
  return [
    ...haveMaterial(workpiece, material),
    {
      type: 'patchDesign',
      patch: {
        rails: [
          ...design.rails,
          {
            id,
            use,
            material,
            lay: use === 'shelf' ? 'flat' : 'edge',
            top: use === 'chairRail' ? { rule: 'third' } : { rule: 'typed', value },
          },
        ],
      },
    },
  ]
}
