import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import * as fontkit from 'fontkit'

const FOLDER = 'node_modules/@expo-google-fonts/archivo'
const FILES = {
  regular: '400Regular/Archivo_400Regular.ttf',
  bold: '700Bold/Archivo_700Bold.ttf',
} as const
export type Weight = keyof typeof FILES

const read = new Map<Weight, Buffer>()

/** The type of a weight as a file's bytes: one that is static, as PDF wants it. */
export function typeFile(weight: Weight): Buffer {
  const held = read.get(weight) ?? readFileSync(resolve(FOLDER, FILES[weight]))
  read.set(weight, held)
  return held
}

const made = new Map<Weight, fontkit.Font>()

/** The type of a weight, to set words as outlines. */
export function typeOf(weight: Weight): fontkit.Font {
  const known = made.get(weight)
  if (known) return known
  const font = fontkit.create(typeFile(weight))
  if (!('layout' in font)) throw new Error('a collection is no single font')
  made.set(weight, font)
  return font
}

/**
 * A text as it is set: 15/16 with the stroke that type makes a fraction of (Archivo has no glyphs of its own for eighths), and what the
 * type has no sign for in its plainest form, or as a question mark: a box would look like a tick.
 */
export function setForType(text: string): string {
  const font = typeOf('regular')
  const has = (sign: string) => font.hasGlyphForCodePoint(sign.codePointAt(0) ?? 0)
  const plain = [...text.replace(/[\u2009\u202f\u00a0]/g, ' ')]
    .map((sign) => (sign === '\n' || has(sign) ? sign : ([...sign.normalize('NFKD')].find(has) ?? '?')))
    .join('')
  return plain.replace(/(\d+)\/(\d+)/g, '$1\u2044$2')
}
