import { isRaw, type Raw } from './upgrade'

const PLAIN = ['battenMaterial', 'foot', 'topRail', 'cap', 'height']
const UPRIGHT = [...PLAIN, 'spacing', 'sections']
const OPTIONS: Readonly<Record<string, readonly string[]>> = {
  battens: UPRIGHT,
  slats: UPRIGHT,
  grid: [...UPRIGHT, 'border', 'rows'],
  boxes: [...PLAIN, 'boxes'],
  rails: PLAIN,
}
const FRAME = ['rails', 'through', 'railJoint', 'proud', 'fixing']
const PLACED = ['sectionOwn', 'shift', 'fillers']
const OWN = ['extent', 'corners', 'meets', 'levelRule', 'locked', 'apart', 'judgement']

/** The boxes every wall had in version 1, whether it had boxes or not. */
const UNTOUCHED_BOXES =
  '{"moulding":"panel-moulding","margin":101600000,"above":null,"below":null,"upper":false,"wish":711200000,"least":355600000,"most":1219200000,"count":null}'

function picked(from: Raw, keys: readonly string[]): Raw {
  return Object.fromEntries(keys.flatMap((key) => (key in from ? [[key, from[key]]] : [])))
}

/** Boxes or rows that were set before the wall was turned to another pattern; version 1 kept them beside its own. */
function ofOthers(design: Raw): Raw {
  const { boxes, border, rows } = design
  const touchedBoxes = isRaw(boxes) && JSON.stringify(boxes) !== UNTOUCHED_BOXES
  const touchedGrid =
    (border !== undefined && border !== 'butt') || (rows !== undefined && JSON.stringify(rows) !== '[1,1]')
  return {
    ...(touchedBoxes ? { boxes: picked(design, OPTIONS.boxes ?? []) } : {}),
    ...(touchedGrid ? { grid: picked(design, OPTIONS.grid ?? []) } : {}),
  }
}

/**
 * A design of version 1, one flat record with every pattern's options, as version 2: each pattern keeps its own. A key
 * nobody knows stays, so that the schema can name it.
 */
export function designFrom1(design: Raw): Raw {
  const { version: _version, pattern, ...flat } = design
  const known = new Set([...Object.values(OPTIONS).flat(), ...FRAME, ...PLACED, ...OWN])
  const name = typeof pattern === 'string' ? pattern : ''
  const placed = picked(flat, PLACED)
  return {
    ...Object.fromEntries(Object.entries(flat).filter(([key]) => !known.has(key))),
    version: 2,
    pattern,
    patterns: { ...ofOthers(design), [name]: picked(flat, OPTIONS[name] ?? UPRIGHT) },
    frame: picked(flat, FRAME),
    own: {
      ...picked(flat, OWN),
      placed: Object.keys(placed).length > 0 ? { [name]: placed } : {},
    },
  }
}
