import { cutElsewhere } from '~/core/yard/cutElsewhere'
import { actsOf } from './acts.server'
import { houseBookOf, patternBookOf } from './books.server'
import { askedOfWall } from './clientDesk.server'
import { crewKnown, memberNames } from './crewLog.server'
import type { Database } from './db/database.server'
import { troublesOf } from './mending.server'
import { pageOfWall } from './pages.server'
import { wallsBeside } from './rooms.server'
import { wallNamed, wallPage } from './walls.server'
import { yardActsOf } from './yard.server'

/** All that is shown of a wall and one of its options, or what keeps it from being shown; null where there is no such wall. */
export function wallView(
  db: Database,
  ids: { jobId: string; wallId: string; optionId?: string },
  me: string | null = null,
) {
  const [named, page] = [wallNamed(db, ids), pageOfWall(db, ids)]
  if (!named || !page) return null
  const problems = troublesOf(db, page)
  if (problems.length > 0) return { ...named, problems, shown: null }
  const found = wallPage(db, ids)
  if (!found) return null
  const { job, id, name, ...shown } = found
  const beside = wallsBeside(db, shown.room.id, id)
  const elsewhere = cutElsewhere(yardActsOf(db), job.id, id)
  const agreed = {
    asked: askedOfWall(db, job.id, id),
    book: patternBookOf(db),
    house: houseBookOf(db, job.id),
  }
  const crew = { ...crewKnown(db), names: memberNames(db), me }
  return {
    job,
    id,
    name,
    problems,
    shown: { ...shown, ...agreed, beside, elsewhere, crew, acts: actsOf(db, id) },
  }
}
export type WallView = NonNullable<ReturnType<typeof wallView>>
