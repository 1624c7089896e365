import { newToken } from '~/editor/saving/browserSaver'
import type { DesignDocument, Settings } from '~/model'
import type { JobData } from './useJobBoards'

type Wall = JobData['walls'][number]

/** Saves a wall's design or the job's settings as one change of that wall's page: undone there, by name. False where it was refused. */
export async function saveWall(
  job: JobData,
  { id, survey, design }: Wall,
  change: { readonly design?: DesignDocument; readonly settings?: Settings },
): Promise<boolean> {
  const documents = [
    { id: survey.id, base: survey.revision },
    { id: design.id, base: design.revision, ...(change.design ? { body: change.design } : {}) },
    {
      id: job.settings.id,
      base: job.settings.revision,
      ...(change.settings ? { body: change.settings } : {}),
    },
  ]
  try {
    const answer = await fetch(`/jobs/${job.id}/walls/${id}/document`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ intent: 'save', documents, clashing: 'ask', token: newToken(), after: [] }),
    })
    const said = (await answer.json()) as { kind?: string }
    return answer.ok && said.kind === 'done'
  } catch {
    return false
  }
}
