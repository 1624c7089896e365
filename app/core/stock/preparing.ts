import { type Length, nearestNanometer } from '~/length'
import { type Make, type Material, STOCK_LIST, type Workpiece } from '~/model'
import type { Piece } from '../pieces'

/** What is done to stuff before and between coats. */
export type PrepStep =
  'sandSawn' | 'easeEdges' | 'sealKnots' | 'sealEdges' | 'primeAll' | 'primeCuts' | 'scuff' | 'sandRaised'

/** What a material is and how it came: as the job has it, else as the built-in list does; null where nobody said. */
export function makeOf(material: Pick<Material, 'id' | 'make'>): Make | null {
  return material.make ?? STOCK_LIST.find(({ id }) => id === material.id)?.make ?? null
}

/**
 * What follows from what a material is, in working order. Ripped edges are sanded, and eased where they are sharp; knots of raw softwood
 * are sealed with shellac, the cut edges of MDF with primer thinned or shellac; what is raw is primed all round, what came primed where it
 * was cut; primer is scuffed, and MDF, whose fibers the first coat raises, is sanded at 220. Common practice, no source.
 */
export function prepSteps({ stuff, surface, edges, came, profile }: Make): PrepStep[] {
  if (surface === 'finished') return came === 'ripped' ? ['sandSawn'] : []
  const ripped = came === 'ripped'
  return [
    ...(ripped ? (['sandSawn'] as const) : []),
    ...(edges === 'sharp' && profile === 'square' && (ripped || stuff === 'mdf')
      ? (['easeEdges'] as const)
      : []),
    ...(stuff === 'softwood' && surface === 'raw' ? (['sealKnots'] as const) : []),
    ...(stuff === 'mdf' ? (['sealEdges'] as const) : []),
    surface === 'raw' ? ('primeAll' as const) : ('primeCuts' as const),
    stuff === 'mdf' ? ('sandRaised' as const) : ('scuff' as const),
  ]
}

/** What one material of a wall needs, and how much of it there is. */
export interface Preparation {
  readonly materialId: string
  readonly make: Make | null
  readonly steps: readonly PrepStep[]
  /** All its pieces end to end, and how many cut ends they have. */
  readonly length: Length
  readonly ends: number
}

/** What the pieces of a wall need before they are painted, material by material. */
export function preparationsOf(pieces: readonly Piece[], { settings }: Workpiece): Preparation[] {
  return settings.materials.flatMap((material): Preparation[] => {
    const own = pieces.filter(({ materialId }) => materialId === material.id)
    if (own.length === 0) return []
    const make = makeOf(material)
    return [
      {
        materialId: material.id,
        make,
        steps: make ? prepSteps(make) : [],
        length: nearestNanometer(own.reduce((sum, { cutLength }) => sum + cutLength, 0)),
        ends: own.length * 2,
      },
    ]
  })
}

/** The first two square-edged materials of which one is eased and the other sharp; null where they are alike. */
export function edgesThatDiffer(
  pieces: readonly Piece[],
  { settings }: Workpiece,
): { readonly eased: string; readonly sharp: string } | null {
  const used = new Set(pieces.map(({ materialId }) => materialId))
  const square = settings.materials.filter((each) => used.has(each.id) && makeOf(each)?.profile === 'square')
  const eased = square.find((material) => makeOf(material)?.edges === 'eased')
  const sharp = square.find((material) => makeOf(material)?.edges === 'sharp')
  return eased && sharp ? { eased: eased.id, sharp: sharp.id } : null
}
