import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

/** Spellings that are not American, and words nobody in the trade says; whole words only. */
const NOT_SAID =
  /\b(?:moulding|mouldings|mitre|mitres|mitred|mitring|centre|centres|centred|colour|colours|grey|metre|metres|millimetre|millimetres|behaviour|organise|organised|cheque|tyre|aluminium|invalid)\b/i

function filesIn(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) return filesIn(path)
    return /\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name) ? [path] : []
  })
}

/** What of a source a user can come to read: its strings and the text between its tags. */
function readable(source: string): string[] {
  const code = source.replace(/\/\*[\s\S]*?\*\//g, '').replace(/^\s*\/\/.*$/gm, '')
  const strings = [...code.matchAll(/'((?:[^'\\\n]|\\.)*)'|"((?:[^"\\\n]|\\.)*)"|`((?:[^`\\]|\\.)*)`/g)].map(
    ([, a, b, c]) => a ?? b ?? c ?? '',
  )
  const texts = [...code.matchAll(/>([^<>{}]+)</g)].map(([, text]) => text ?? '')
  // ids of materials and names of fields are no words: they have no space and are kept in files
  // nor are styles
  return [...strings, ...texts].filter((text) => /\s/.test(text.trim()) && !/;\s*\n/.test(text))
}

test.each(['app/messages', 'app/features', 'app/editor', 'app/ui', 'app/routes', 'app/model'])(
  'what is read from %s is spelled the American way, in the trade’s words',
  (folder) => {
    const found = filesIn(folder).flatMap((path) =>
      readable(readFileSync(path, 'utf8'))
        .map((text) => text.replace(/\$\{[^}]*\}/g, ''))
        .filter((text) => NOT_SAID.test(text))
        .map((text) => `${path}: ${text.trim().slice(0, 80)}`),
    )
    expect(found).toEqual([])
  },
)

test('the search finds what is wrong', () => {
  expect(readable("const a = 'a mitred corner' // the colour")).toEqual(['a mitred corner'])
  expect(NOT_SAID.test('a mitred corner')).toBe(true)
  expect(readable('<p>the wall’s centre line</p>').some((text) => NOT_SAID.test(text))).toBe(true)
})
