// npm run notices: the packages that Regla ships, by license, from the lock file alone.
import { readFileSync, writeFileSync } from 'node:fs'

export const NOTICES = 'THIRD-PARTY-NOTICES.md'

/** What the lock file does not say: read from the package's own LICENSE. */
const STATED = { 'png-js': 'MIT' }

/** The packages of a lock file that are not for development alone, each with its version and license. */
export function shipped(lock) {
  return Object.entries(lock.packages)
    .filter(([path, { dev, link }]) => path !== '' && !dev && !link)
    .map(([path, { version, license, name: called }]) => {
      const name = called ?? path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length)
      return { name, version, license: license ?? STATED[name] ?? 'not stated: see the package' }
    })
}

/** The text of the notices: packages under each license, by name. */
export function noticesOf(lock) {
  const byLicense = new Map()
  for (const { name, version, license } of shipped(lock)) {
    const lines = byLicense.get(license) ?? new Set()
    byLicense.set(license, lines.add(`- ${name} ${version}`))
  }
  const parts = [...byLicense]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([license, lines]) => `## ${license}\n\n${[...lines].sort().join('\n')}\n`)
  return [
    '# Third-party notices\n',
    'Made by `npm run notices` from package-lock.json: every package that runs in Regla, by its license. Each package in\n`node_modules` comes with the text of its license.\n',
    ...parts,
  ].join('\n')
}

if (process.argv[1]?.endsWith('notices.mjs'))
  writeFileSync(NOTICES, noticesOf(JSON.parse(readFileSync('package-lock.json', 'utf8'))))
