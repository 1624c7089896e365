// What the mutants left: each by its place and its reason, in docs/mutants-left.md.
import { existsSync, readFileSync, writeFileSync } from 'node:fs'

const REASONS = {
  boundary:
    'strict or not differs only where two figures agree to the nanometer, and either answer is right there',
  guard: 'a guard or a fallback that the types ask for; nothing comes by it',
  law: 'noticed by the laws over random walls (layout/meeting, patterns/anything), which the score leaves out',
  order: 'changes the order in which things are looked at, which decides nothing',
  text: 'a word that only a sentence, a card or another layer reads, which has its own tests',
  open: 'no test tells it yet: a wall on which it matters is still to be found',
}
const STRICT = { '<': '<=', '<=': '<', '>': '>=', '>=': '>' }

/** The reason that can be seen from the change alone; undefined where it has to be tried. */
export function plainReason({ was, now, how, status }) {
  if (how === 'EqualityOperator') {
    const [before] = /<=|>=|<|>/.exec(was) ?? []
    if (before && now === was.replace(before, STRICT[before])) return 'boundary'
  }
  if (/\?\?|\?\./.test(was) && !was.includes('&&') && was.length < 60) return 'guard'
  if (status === 'NoCoverage' && ['ArrayDeclaration', 'BooleanLiteral'].includes(how)) return 'guard'
  if (/^!\w+$/.test(was) || /^![\w.]+( \|\| ![\w.]+)+$/.test(was)) return 'guard'
  if (/\.sort\(|localeCompare/.test(was) || /^\(a, b\) =>/.test(was) || /^[ab]\.\w+ [-+] [ab]\./.test(was))
    return 'order'
  if (how === 'StringLiteral' || how === 'ObjectLiteral') return 'text'
  return undefined
}

const short = (text) => text.replace(/\s+/g, ' ').replaceAll('|', '\\|').replaceAll('`', '´').slice(0, 70)

/** Writes what is left of all groups that have a report. */
export function writeLeft(groups) {
  const reports = groups.flatMap((name) => {
    const path = `reports/mutants/${name}.json`
    return existsSync(path) ? [{ name, left: JSON.parse(readFileSync(path, 'utf8')) }] : []
  })
  const counts = {}
  for (const { left } of reports) for (const { why = 'open' } of left) counts[why] = (counts[why] ?? 0) + 1
  const lines = [
    '# What the mutants left',
    '',
    'Written by `npm run mutants`: each small change of the core that no test of the score noticed, with its reason. “law” was tried;',
    'boundary, guard, order and text are told from the form of the change; “open” is what is left, not looked into one by one.',
    '',
    ...Object.entries(REASONS).map(([why, says]) => `- **${why}** (${counts[why] ?? 0}): ${says}.`),
  ]
  for (const { name, left } of reports) {
    lines.push('', `## ${name}: ${left.length}`, '')
    for (const { at, was, now, why = 'open' } of left)
      lines.push(`- ${why} ${at.replace('app/core/', '')} \`${short(was)}\` → \`${short(now)}\``)
  }
  writeFileSync('docs/mutants-left.md', `${lines.join('\n')}\n`)
}
