import { readFileSync } from 'node:fs'
import { photoMarksSchema } from '~/model'
import type { Database } from './db/database.server'
import { jobDetail } from './jobs.server'
import { keepPhoto } from './photos.server'

/** A picture drawn by scripts/demo-photo.ts, with what is put on it. */
const PICTURE = 'examples/tern-cottage-window-wall'
const PICTURED = 'Window wall'
const SIZE = { width: 1600, height: 1200 }

/** The demo's wall on its photograph. */
export function addDemoAgreement(db: Database, jobId: string): void {
  const walls = jobDetail(db, jobId)?.rooms.flatMap((room) => room.walls) ?? []
  const wallId = walls.find(({ name }) => name === PICTURED)?.id
  if (!wallId) return
  const marks = photoMarksSchema().parse(JSON.parse(readFileSync(`${PICTURE}.json`, 'utf8')))
  keepPhoto(db, { jobId, wallId }, 'From the door', { bytes: readFileSync(`${PICTURE}.jpg`), ...SIZE }, marks)
}
