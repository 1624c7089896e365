import { spawnSync } from 'node:child_process'
import { readdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import SqliteDatabase from 'better-sqlite3'
import { backUp, backupFolder, copiesOf } from '~/server/db/backups.server'
import { checkpoint, openDatabase, sqliteOf } from '~/server/db/database.server'
import { createJob, listJobs } from '~/server/jobs.server'
import { ask, newFile, startTarget } from './target'

/** Every step at which a process that makes or puts back a copy can be killed. */
const STEPS = [
  ...['made', 'rename'].flatMap((step) => [['backup', step] as const, ['update', step] as const]),
  ...['look', 'copy', 'keep', 'clear', 'rename', 'done'].map((step) => ['restore', step] as const),
]

function withJob(file: string, name: string): void {
  const db = openDatabase(file)
  createJob(db, { name, client: '', units: 'inches', tape: '1/16' })
  checkpoint(db)
  sqliteOf(db).close()
}

function jobsIn(file: string): string[] {
  const db = openDatabase(file)
  const names = listJobs(db, { archived: false, search: '' }).jobs.map(({ name }) => name)
  sqliteOf(db).close()
  return names.sort()
}

/** Kills a process at each step of making a copy, of copying before an update and of putting one back, then starts the server on what is left. */
export async function killAtSteps(rounds: number) {
  const found = { kills: 0, lost: 0, unsound: 0, halves: 0, steps: STEPS.length }
  for (let round = 0; round < rounds; round++)
    for (const [what, step] of STEPS) {
      const file = newFile()
      withJob(file, 'Barn')
      const copy = what === 'restore' ? await backUp(file, join(dirname(newFile()), 'elsewhere.db')) : ''
      if (what === 'restore') withJob(file, 'Shed')
      const ended = spawnSync(
        process.execPath,
        ['--import', 'tsx', 'tests/endedAt.ts', what, file, step, copy],
        { env: { ...process.env, TSX_TSCONFIG_PATH: 'tsconfig.json', NODE_OPTIONS: '' } },
      )
      if (ended.signal !== 'SIGKILL')
        throw new Error(`not killed at ${what} ${step}: ${String(ended.stderr)}`)
      found.kills += 1
      const target = await startTarget(file)
      const up = await ask(target.port, '/')
      await target.kill('SIGTERM')
      const wanted = what === 'restore' && step !== 'done' ? 'Barn,Shed' : 'Barn'
      if (up.status !== 200 || jobsIn(file).join() !== wanted) found.lost += 1
      const sqlite = new SqliteDatabase(file, { readonly: true })
      if (sqlite.pragma('integrity_check', { simple: true }) !== 'ok') found.unsound += 1
      sqlite.close()
      // every copy that has its name is whole
      if (copiesOf(file).some(({ holds }) => holds === null)) found.unsound += 1
      const left = [dirname(file), backupFolder(file)].flatMap((folder) => {
        try {
          return readdirSync(folder)
        } catch {
          return []
        }
      })
      if (left.some((name) => name.includes('.half'))) found.halves += 1
    }
  return found
}
