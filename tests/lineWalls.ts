import { inches } from '~/length'
import {
  type Design,
  type Lines,
  type Material,
  type Move,
  NO_COMPANIONS,
  startingSettings,
  STOCK_LIST,
  type Workpiece,
} from '~/model'
import { wallOf } from './namedWalls'

/** A strip two inches wide, as worked lines have it. */
export const STRIP = 'two'

function stuff(id: string, width: number): Material {
  const like = STOCK_LIST.find((each) => each.id === 'pine-1x3') as Material
  return { ...like, id, name: id, nominal: '', width: inches(width) }
}

interface LineOptions extends Partial<Omit<Design, 'lines'>> {
  /** So many uprights within the field. */
  readonly uprights?: number
  readonly lines?: Partial<Lines>
}

/** A wall in lines, so wide and high in inches, without a frame where none is asked for; boards of one length for all stuff. */
export function lineWall(
  width: number,
  height: number,
  moves: readonly Move[],
  { uprights, lines, ...design }: LineOptions = {},
  board = 192,
): Workpiece {
  const settings = startingSettings('inches', '1/16')
  const materials = [...settings.materials, stuff(STRIP, 2), stuff('three', 3), stuff('wide', 3)]
  return wallOf(
    { width: inches(width), height: inches(height) },
    {
      pattern: 'lines',
      battenMaterial: 'pine-1x2',
      border: 'none',
      topRail: null,
      foot: { kind: 'floor' },
      height: { rule: 'full' },
      through: 'uprights',
      spacing: { school: 'equalByCount', strips: uprights ?? 2, ends: 'gap' },
      companions: NO_COMPANIONS,
      ...design,
      lines: {
        uprights: uprights !== undefined,
        moves: [...moves],
        crossings: [],
        off: [],
        nudge: { along: inches(0), up: inches(0) },
        ...lines,
      },
    },
    {
      materials,
      shop: {
        ...settings.shop,
        offers: materials.map(({ id }) => ({ id, material: id, length: inches(board), price: 700 })),
      },
    },
  )
}
