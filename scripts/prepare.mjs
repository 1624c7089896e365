import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** Runs a command with its output shown; ends this process when it fails. */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, { stdio: 'inherit', ...options })
  if (status !== 0) {
    console.error(`Regla stops here: ${command} ${args.join(' ')} ended with ${status}.`)
    process.exit(status ?? 1)
  }
}

function filesUnder(path) {
  if (!statSync(path).isDirectory()) return [path]
  return readdirSync(path)
    .sort()
    .flatMap((name) => filesUnder(join(path, name)))
}

function fingerprint(paths) {
  const hash = createHash('sha256')
  for (const path of paths.flatMap(filesUnder)) hash.update(path).update(readFileSync(path))
  return hash.digest('hex')
}

function changed(mark, paths) {
  const now = fingerprint(paths)
  return existsSync(mark) && readFileSync(mark, 'utf8') === now ? null : now
}

/** Installs and builds what is missing or out of date, and nothing else. */
export function prepare({ build }) {
  const installed = changed('node_modules/.regla-installed', ['package-lock.json'])
  if (installed) {
    console.log('Installing packages; the first time this takes a few minutes.')
    run('npm', ['ci', '--no-audit', '--no-fund'])
    writeFileSync('node_modules/.regla-installed', installed)
  }
  if (!build) return
  const sources = ['app', 'public', 'package-lock.json', 'vite.config.ts', 'react-router.config.ts']
  const built = changed('build/.regla-built', sources)
  if (built || !existsSync('build/server/index.js')) {
    console.log('Building.')
    run('npx', ['react-router', 'build'], { env: { ...process.env, NODE_ENV: 'production' } })
    mkdirSync('build', { recursive: true })
    writeFileSync('build/.regla-built', built ?? '')
  }
}
