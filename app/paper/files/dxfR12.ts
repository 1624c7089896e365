import type { Traced } from './traced'

/** Fixed digits: a number written 1e-7 is read wrong by several programs. */
function real(value: number, digits: number): string {
  const text = value.toFixed(digits)
  return Number(text) === 0 ? (0).toFixed(digits) : text
}

/** ASCII alone, and no line break: either would break a file of this version. */
function plain(text: string): string {
  return text
    .replace(/\s+/g, ' ')
    .replace(
      /[^\x20-\x7e]/g,
      (sign) => `\\U+${(sign.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0')}`,
    )
}

/** A traced drawing as R12 (AC1009): POLYLINE, VERTEX, SEQEND and TEXT. Source of the form: the published DXF reference, release 12. */
export function writeR12(
  { unit, outlines, words }: Traced,
  layers: Readonly<Record<string, number>>,
  digits: number,
): string {
  const out: string[] = []
  const put = (code: number, value: string | number) => out.push(String(code).padStart(3), String(value))
  const at = (x: number, y: number) => {
    put(10, real(x, digits))
    put(20, real(y, digits))
    put(30, '0.0')
  }
  put(0, 'SECTION')
  put(2, 'HEADER')
  put(9, '$ACADVER')
  put(1, 'AC1009')
  put(9, '$INSUNITS')
  put(70, unit === 'mm' ? 4 : 1)
  put(9, '$MEASUREMENT')
  put(70, unit === 'mm' ? 1 : 0)
  put(0, 'ENDSEC')
  put(0, 'SECTION')
  put(2, 'TABLES')
  put(0, 'TABLE')
  put(2, 'LTYPE')
  put(70, 1)
  put(0, 'LTYPE')
  put(2, 'CONTINUOUS')
  put(70, 0)
  put(3, 'Solid line')
  put(72, 65)
  put(73, 0)
  put(40, '0.0')
  put(0, 'ENDTAB')
  put(0, 'TABLE')
  put(2, 'LAYER')
  put(70, Object.keys(layers).length)
  for (const [name, color] of Object.entries(layers)) {
    put(0, 'LAYER')
    put(2, name)
    put(70, 0)
    put(62, color)
    put(6, 'CONTINUOUS')
  }
  put(0, 'ENDTAB')
  put(0, 'ENDSEC')
  put(0, 'SECTION')
  put(2, 'ENTITIES')
  for (const { layer, closed, points } of outlines) {
    put(0, 'POLYLINE')
    put(8, layer)
    put(66, 1)
    at(0, 0)
    put(70, closed ? 1 : 0)
    for (const [x, y] of points) {
      put(0, 'VERTEX')
      put(8, layer)
      at(x, y)
    }
    put(0, 'SEQEND')
    put(8, layer)
  }
  for (const { layer, at: place, height, text } of words) {
    put(0, 'TEXT')
    put(8, layer)
    at(place[0], place[1])
    put(40, real(height, digits))
    put(1, plain(text))
  }
  put(0, 'ENDSEC')
  put(0, 'EOF')
  return `${out.join('\r\n')}\r\n`
}
