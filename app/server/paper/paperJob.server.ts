import { type PaperAsked, paperAskedSchema } from '~/model'
import type { PaperJob } from '~/paper/paperJob'
import { actsOf } from '../acts.server'
import { crewKnown } from '../crewLog.server'
import type { Database } from '../db/database.server'
import { jobBoards } from '../jobBoards.server'
import { jobDetail } from '../jobs.server'
import { workActsOf } from '../work.server'

const ASKED = paperAskedSchema()

/** What an address asks for; null where there is no such file. */
export function paperAsked(file: string, query: Readonly<Record<string, string>>): PaperAsked | null {
  return ASKED.safeParse({ ...query, file }).data ?? null
}

/**
 * A job as it goes on paper, with what happened at its walls; null where there is no such job. What can't be read is left out and named.
 * `made` and `clock` are the reader's: when, and minutes off UTC.
 */
export function paperJob(
  db: Database,
  jobId: string,
  made: number,
  clock: number,
): { readonly job: PaperJob; readonly unreadable: readonly string[] } | null {
  const detail = jobDetail(db, jobId)
  const found = jobBoards(db, jobId)
  if (!detail || !found?.settings) return null
  const { walls, settings, stock, acts, unreadable } = found
  return {
    unreadable,
    job: {
      id: jobId,
      name: detail.name,
      client: detail.client,
      settings: settings.body,
      rooms: found.rooms,
      walls: walls.map(({ id, name, room, survey, design }) => ({
        id,
        name,
        room,
        survey: survey.body,
        design: design.body,
        acts: actsOf(db, id),
      })),
      stock: { lengths: stock.lengths, suppliers: stock.suppliers },
      yardActs: acts,
      workActs: workActsOf(db, jobId),
      learned: crewKnown(db).rates.map(({ rate, median }) => ({ rate, median })),
      // the newest of its documents' revisions: a number that only grows
      revision: Math.max(
        settings.revision,
        ...walls.flatMap(({ survey, design }) => [survey.revision, design.revision]),
      ),
      made,
      clock,
    },
  }
}
