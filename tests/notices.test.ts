import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'

test('the notices name every package that ships, as the lock file has it, with its license', () => {
  const said = readFileSync('THIRD-PARTY-NOTICES.md', 'utf8')
  const made = spawnSync(
    process.execPath,
    [
      '--input-type=module',
      '-e',
      "import { readFileSync } from 'node:fs'; import { noticesOf } from './scripts/notices.mjs'; process.stdout.write(noticesOf(JSON.parse(readFileSync('package-lock.json', 'utf8'))))",
    ],
    { encoding: 'utf8' },
  )
  expect(made.stderr).toBe('')
  expect(said.trim()).toBe(made.stdout.trim())
  const { dependencies } = JSON.parse(readFileSync('package.json', 'utf8')) as {
    dependencies: Record<string, string>
  }
  for (const name of Object.keys(dependencies)) expect(said).toContain(`- ${name} `)
  expect(said).not.toContain('not stated')
  expect(said).toMatch(/LGPL[^\n]*\n\n- @img\/sharp-libvips/)
})
