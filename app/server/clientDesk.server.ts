import { differsFromSigned, pickOf, remarksOf } from '~/core/agree/clientWord'
import type { Settings, SignedWall } from '~/model'
import { actsOfLink, linksOf } from './clientLinks.server'
import type { Database } from './db/database.server'
import { readableDocument } from './documents.server'
import { jobDetail } from './jobs.server'
import { optionsOf } from './options.server'
import { wallsOfJob } from './pages.server'
import { signatureOf, signaturesOfJob } from './signatures.server'

/** All that the crew sees of a job's links: what they show, what came by them, and how what was signed differs from now. */
export function clientDesk(db: Database, jobId: string) {
  const job = jobDetail(db, jobId)
  const settings = job && readableDocument(db, 'settings', job.settingsId)?.body
  if (!job || !settings) return null
  const rows = new Map(wallsOfJob(db, jobId).map((row) => [row.id, row]))
  const walls = job.rooms.flatMap((room) =>
    room.walls
      .filter(({ archived }) => !archived)
      .map(({ id, name }) => ({
        id,
        name,
        room: room.name,
        options: optionsOf(db, id)
          .filter(({ archived }) => !archived)
          .map((option) => ({ id: option.id, name: option.name, chosen: option.chosen })),
      })),
  )
  const differences = (signed: SignedWall, of: Settings) => {
    const row = rows.get(signed.wallId)
    const chosen = optionsOf(db, signed.wallId).find((option) => option.chosen)
    const survey = row && readableDocument(db, 'survey', row.surveyId)?.body
    if (!chosen?.design || !survey) return null
    return differsFromSigned(signed, of, {
      option: chosen,
      wall: { survey, design: chosen.design },
      settings,
    })
  }
  const links = linksOf(db, jobId).map((link) => {
    const acts = actsOfLink(db, link.id)
    const signature = signatureOf(db, link.id)
    return {
      ...link,
      picks: link.body.walls.map(({ wallId }) => {
        const { option, colors } = pickOf(acts, link.body, wallId)
        return { wallId, option, colors: Object.values(colors) }
      }),
      remarks: remarksOf(acts),
      signature: signature && {
        name: signature.name,
        signedAt: signature.signedAt,
        fingerprint: signature.fingerprint,
        whole: signature.whole,
        walls: signature.body.walls.map((wall) => ({
          id: wall.wallId,
          name: wall.wall,
          difference: differences(wall, signature.body.settings),
        })),
      },
    }
  })
  return {
    job: { id: job.id, name: job.name, client: job.client },
    walls,
    paints: settings.paints.map(({ id, name }) => ({ id, name })),
    links,
  }
}
export type ClientDesk = NonNullable<ReturnType<typeof clientDesk>>

/** What clients ask for on one wall and what they signed of it, for its own page. */
export function askedOfWall(db: Database, jobId: string, wallId: string) {
  const remarks = linksOf(db, jobId).flatMap(({ id }) =>
    remarksOf(actsOfLink(db, id))
      .filter((remark) => remark.wall === wallId && remark.answer === null)
      .map((remark) => ({ ...remark, link: id })),
  )
  const signed = signaturesOfJob(db, jobId).flatMap(({ name, signedAt, body }) => {
    const wall = body.walls.find((each) => each.wallId === wallId)
    return wall ? [{ name, signedAt, wall, settings: body.settings }] : []
  })
  return { remarks, signed: signed[0] ?? null }
}
export type Asked = ReturnType<typeof askedOfWall>
