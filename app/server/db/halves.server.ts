import { existsSync, readdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'

/** What a copy is called until it is whole, or has been sent: with the process that makes it. The last kinds are those of an earlier Regla. */
const HALF = /\.(?:half|sending|coming)(?:-(\d+)(?:-\d+)?)?(?:-(?:wal|shm|journal))?$/

/** A file of an earlier Regla has no process in its name: it is left for so long. */
const STILL_AT_IT_MS = 10 * 60_000

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
}

/** Whether whoever made a half copy is gone. */
function isLeft(folder: string, name: string): boolean {
  const [match, pid] = HALF.exec(name) ?? []
  if (match === undefined) return false
  if (pid !== undefined) return Number(pid) !== process.pid && !isAlive(Number(pid))
  return Date.now() - statSync(join(folder, name)).mtimeMs > STILL_AT_IT_MS
}

/** Takes away half copies that nobody is making any more; those whose name begins so in any case. Returns how many. */
export function sweepHalves(folder: string, own?: string): number {
  if (!existsSync(folder)) return 0
  const left = readdirSync(folder).filter((name) =>
    own === undefined ? isLeft(folder, name) : name.startsWith(own),
  )
  for (const name of left) rmSync(join(folder, name), { force: true })
  return left.length
}
