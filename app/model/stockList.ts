import { inches } from '~/length'
import type { Make, Material } from './material'

/** Dressed boards: raw, square, with the sharp edges of the planer. Common practice, no source, as is what the others are. */
const RAW_PINE: Make = {
  stuff: 'softwood',
  surface: 'raw',
  profile: 'square',
  edges: 'sharp',
  came: 'bought',
}
const POPLAR: Make = { ...RAW_PINE, stuff: 'hardwood' }
const RIPPED_MDF: Make = { ...RAW_PINE, stuff: 'mdf', came: 'ripped' }
const PRIMED_MOLDING: Make = { ...RAW_PINE, surface: 'primed', profile: 'molded', edges: 'eased' }

function softwood(nominalWidth: number, actualWidth: number): Material {
  return {
    id: `pine-1x${nominalWidth}`,
    nominal: `1x${nominalWidth}`,
    name: 'pine',
    width: inches(actualWidth),
    thickness: inches(3 / 4),
    make: RAW_PINE,
  }
}

/**
 * The built-in strip materials. Pine boards: dry dressed sizes of Voluntary Product Standard PS 20
 * (American Softwood Lumber Standard). Lattice, moulding and MDF strip sizes: common practice, no source.
 */
export const STOCK_LIST: readonly Material[] = [
  softwood(2, 1.5),
  softwood(3, 2.5),
  softwood(4, 3.5),
  softwood(5, 4.5),
  softwood(6, 5.5),
  softwood(8, 7.25),
  softwood(10, 9.25),
  softwood(12, 11.25),
  {
    id: 'lattice',
    nominal: '1/4 lattice',
    name: 'poplar',
    width: inches(1.5),
    thickness: inches(0.25),
    make: POPLAR,
  },
  {
    id: 'mdf-half',
    nominal: '1/2 MDF strip',
    name: 'MDF',
    width: inches(2.5),
    thickness: inches(0.5),
    make: RIPPED_MDF,
  },
  {
    id: 'panel-moulding',
    nominal: '1 1/4 panel molding',
    name: 'pine',
    width: inches(1.25),
    thickness: inches(0.5),
    make: PRIMED_MOLDING,
  },
  {
    id: 'chair-rail',
    nominal: '2 1/2 chair rail',
    name: 'pine',
    width: inches(2.5),
    thickness: inches(0.75),
    make: PRIMED_MOLDING,
  },
  {
    id: 'mdf-3q',
    nominal: '3/4 MDF strip',
    name: 'MDF',
    width: inches(3.5),
    thickness: inches(0.75),
    make: RIPPED_MDF,
  },
]

/** The material of trim that was taken off and goes back: it is no one's stock, and its name can be no material's of a job. */
export const TAKEN_OFF = '@taken-off'

/** Quarter-round that carries battens on a thinner baseboard: a usual size, common practice, no source. */
export const QUARTER_ROUND: Material = {
  id: 'quarter-round',
  nominal: '3/4 quarter-round',
  name: 'pine',
  width: inches(0.75),
  thickness: inches(0.75),
  make: PRIMED_MOLDING,
}
