import { houseEntriesOf, sameEntry } from '~/core/agree/house'
import { computePlan } from '~/core/computePlan'
import { workpieceOf } from '~/model'
import { houseBookOf, keepHouseNote, keepLayout } from './books.server'
import type { Database } from './db/database.server'
import { wallPage } from './walls.server'

interface Ids {
  readonly jobId: string
  readonly wallId: string
  readonly optionId?: string
}

/** Keeps an option's layout in the pattern book. False where it can't be read. */
export function keepLayoutOf(db: Database, ids: Ids, name: string, now: number): boolean {
  const page = wallPage(db, ids)
  if (!page) return false
  const { wall, settings } = workpieceOf(page.documents)
  keepLayout(db, name, wall.design, settings, now)
  return true
}

/** Writes what a wall has into its house's book; how much of it was new. Null where it can't be read. */
export function writeHouse(db: Database, ids: Ids, now: number): number | null {
  const page = wallPage(db, ids)
  if (!page) return null
  const workpiece = workpieceOf(page.documents)
  const entries = houseEntriesOf(workpiece, computePlan(workpiece), page.name)
  const has = houseBookOf(db, ids.jobId)
  const fresh = entries.filter((entry) => !has.some((each) => sameEntry(each, entry)))
  fresh.forEach((entry) => keepHouseNote(db, ids.jobId, entry, now))
  return fresh.length
}
