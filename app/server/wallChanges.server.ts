import { z } from 'zod'
import { materialsOf } from '~/core/files/readJobFile'
import type { Result } from '~/length'
import { fail, ok } from '~/length'
import { storedSettings, storedWallDocument, upgradeWall } from '~/model'
import type { Database } from './db/database.server'
import { stepRefusal } from './steps.server'
import { saveWall, stepWall, type WallState } from './walls.server'

const revision = z.number().int().positive()

const change = z.discriminatedUnion('intent', [
  z.object({
    intent: z.literal('save'),
    base: z.object({ wall: revision, settings: revision }),
    // a page that was open through an update still speaks the version before
    wall: z.preprocess(upgradeWall, storedWallDocument),
    settings: storedSettings,
    overwrite: z.boolean(),
  }),
  z.object({ intent: z.literal('undo') }),
  z.object({ intent: z.literal('redo') }),
])

export type ChangeAnswer =
  | { readonly kind: 'saved' | 'conflict'; readonly state: WallState }
  | { readonly kind: 'refused'; readonly problems: readonly string[] }

/** Carries out one posted change of a wall page. Fails with null when there is no such wall. */
export function changeWall(
  db: Database,
  ids: { jobId: string; wallId: string },
  posted: unknown,
): Result<ChangeAnswer, null> {
  const parsed = change.safeParse(posted)
  if (!parsed.success)
    return ok({
      kind: 'refused',
      problems: parsed.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`),
    })
  const request = parsed.data
  if (request.intent !== 'save') {
    const outcome = stepWall(db, ids, request.intent)
    if (!outcome) return fail(null)
    if (outcome.kind === 'saved') return ok(outcome)
    return ok({ kind: 'refused', problems: [stepRefusal(outcome.wallNames)] })
  }
  const known = new Set(request.settings.materials.map(({ id }) => id))
  const missing = materialsOf(request.wall.design).filter(({ material }) => !known.has(material))
  if (missing.length > 0)
    return ok({
      kind: 'refused',
      problems: missing.map(
        ({ at, material }) => `design.${at}: there is no material "${material}" in the job.`,
      ),
    })
  const outcome = saveWall(db, ids, request)
  return outcome ? ok(outcome) : fail(null)
}
