import { inches } from '~/length'
import {
  type Design,
  type Edit,
  type Pattern,
  STOCK_LIST,
  usualOffers,
  type Workpiece,
  inForce,
} from '~/model'
import { rulesOf } from '../patterns/rules'

/** Adds a built-in material the job lacks, in its usual lengths. */
function haveMaterial({ settings }: Workpiece, id: string): Edit[] {
  const material = STOCK_LIST.find((each) => each.id === id)
  if (!material || settings.materials.some((each) => each.id === id)) return []
  return [
    { type: 'addMaterial', material },
    ...usualOffers(id, settings.units).map((offer): Edit => ({ type: 'setOffer', offer })),
  ]
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
 * Turns a wall to another pattern: as the wall had it before, or, for the first time, from where that pattern usually
 * starts. What the pattern that is left has stays in the design.
 */
export function choosePattern(workpiece: Workpiece, pattern: Pattern): Edit[] {
  const { survey, design: document } = workpiece.wall
  const design = inForce(document)
  const rules = rulesOf({ pattern })
  const left = rulesOf(design).leaves(design)
  const brought = { ...left, ...rules.brings({ ...design, ...left }) }
  const known = document.patterns[pattern]
  const patch = { ...(known ? {} : rules.usual({ survey })), ...brought, pattern }
  const own = rules.materials(design).map(({ material }) => material)
  return [
    ...[...materialsIn(patch), ...own].flatMap((id) => haveMaterial(workpiece, id)),
    { type: 'patchDesign', patch },
  ]
}

/** A horizontal to start with, of its use, with an id of its own. */
export function newRail(workpiece: Workpiece, use: Design['rails'][number]['use']): Edit[] {
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const taken = new Set(design.rails.map(({ id }) => id))
  const free = design.rails.findIndex((_, i) => !taken.has(`${use}-${i + 1}`))
  const id = `${use}-${(free < 0 ? design.rails.length : free) + 1}`
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
