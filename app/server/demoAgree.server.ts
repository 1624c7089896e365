import { readFileSync } from 'node:fs'
import { photoMarksSchema } from '~/model'
import type { Database } from './db/database.server'
import { makeLink, recordClientAct } from './clientLinks.server'
import { jobDetail } from './jobs.server'
import { keepLayoutOf, writeHouse } from './keepLayout.server'
import { optionsOf } from './options.server'
import { keepPhoto } from './photos.server'
import { sign } from './signatures.server'

/** A picture drawn by scripts/demo-photo.ts, with what is put on it. */
const PICTURE = 'examples/pictures/tern-cottage-window-wall'
const PICTURED = 'Window wall'
const SIGNED = 'Bed wall'
const SHOWN: ('photo' | 'colors' | 'price' | 'hours' | 'notes')[] = ['photo', 'colors', 'price']
/** A line drawn by nobody: two strokes of a wave. */
const DRAWN = [0, 1].map((stroke) =>
  Array.from({ length: 24 }, (_, i) => [
    0.1 + stroke * 0.42 + i * 0.015,
    0.5 + 0.3 * Math.sin(i / 2 + stroke),
  ]),
)
const SIZE = { width: 1600, height: 1200 }

/** The demo's wall on its photograph. */
export function addDemoAgreement(db: Database, jobId: string): void {
  const walls = jobDetail(db, jobId)?.rooms.flatMap((room) => room.walls) ?? []
  const wallId = walls.find(({ name }) => name === PICTURED)?.id
  if (!wallId) return
  const marks = photoMarksSchema().parse(JSON.parse(readFileSync(`${PICTURE}.json`, 'utf8')))
  const ids = { jobId, wallId }
  keepPhoto(db, ids, 'From the door', { bytes: readFileSync(`${PICTURE}.jpg`), ...SIZE }, marks)
  keepLayoutOf(db, ids, 'Rail and battens, moss', Date.now())
  writeHouse(db, ids, Date.now())
  askClient(db, jobId, wallId)
}

/** What a client wrote and signed: the bed wall as it was then, the window wall still open. */
function askClient(db: Database, jobId: string, wallId: string): void {
  const now = Date.now()
  const options = optionsOf(db, wallId)
  const shown = { words: 'The back bedroom: which one, and in which green?', parts: SHOWN }
  const walls = [{ wallId, options: options.map(({ id }) => id) }]
  const open = makeLink(db, jobId, { ...shown, walls }, 90, now)
  const [chosen] = options
  if (chosen) recordClientAct(db, open, { kind: 'picked', wall: wallId, option: chosen.id }, now)
  recordClientAct(
    db,
    open,
    { kind: 'remark', wall: wallId, option: null, at: null, text: 'Could the rail line up with the window?' },
    now + 1,
  )
  const bed = jobDetail(db, jobId)
    ?.rooms.flatMap((room) => room.walls)
    .find(({ name }) => name === SIGNED)
  if (!bed) return
  const signed = makeLink(
    db,
    jobId,
    { ...shown, walls: [{ wallId: bed.id, options: [bed.id] }] },
    90,
    now - 1,
  )
  sign(db, signed, { name: 'R. Halvorsen-Pike', line: DRAWN, ticks: [] }, now)
}
