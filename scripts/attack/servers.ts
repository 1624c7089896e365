import { importJob } from '~/server/jobs.server'
import { checkpoint, openDatabase, sqliteOf } from '~/server/db/database.server'
import { blankSurvey, type JobFile, startingDesign, startingSettings } from '~/model'
import { ask, lookInto, newFile, newWall, openWall, startTarget } from './target'

/** A second server on the same file: it says who has it, and every save to the first goes through. */
export async function twoServers(saves: number) {
  const first = await startTarget()
  const { wall } = await newWall(first)
  const second = await startTarget(first.file)
  const client = await openWall(first, wall)
  const found = { saves, saved: 0, secondRefuses: 0, secondServes: 0, saysWho: false }
  for (let i = 0; i < saves; i++) {
    const [saved, other] = await Promise.all([
      client.send((survey) => ({ ...survey, width: 2_540_000_000 + i * 1_000_000 })),
      ask(second.port, '/'),
    ])
    if (saved.kind === 'done') found.saved += 1
    if (other.status === 503) found.secondRefuses += 1
    else found.secondServes += 1
  }
  found.saysWho = /process \d+ on /.test(second.said())
  await first.kill('SIGTERM')
  // when the first lets go the second goes on, without being started anew
  const after = await ask(second.port, wall + '/layout')
  await second.kill('SIGTERM')
  return { ...found, takesOver: after.status === 200 }
}

/** A disk that fills up while a wall is saved: it says so, and loses nothing it said was saved. */
export async function fullDisk() {
  const file = newFile()
  const first = await startTarget(file)
  const { wall } = await newWall(first)
  await first.kill('SIGTERM')
  const target = await startTarget(file, {}, 1_200)
  const client = await openWall(target, wall)
  const found = { saved: 0, told: 0, other: 0, lost: 0, sound: true }
  let said = 0
  for (let i = 0; i < 400 && found.told < 10; i++) {
    const width = 2_540_000_000 + i * 1_000_000
    const answer = await client.send((survey) => ({ ...survey, width }))
    if (answer.kind === 'done') {
      found.saved += 1
      said = width
    } else if (answer.status === 507 || answer.status === 503) found.told += 1
    else found.other += 1
  }
  await target.kill('SIGKILL')
  const { sound, width } = lookInto(file)
  return { ...found, sound, lost: width < said ? 1 : 0 }
}

/** Twenty clients save to one wall at once, each its own reading: every save is told as done, or asked about and pressed again. */
export async function manyClients(clients: number, saves: number) {
  const target = await startTarget()
  const { wall } = await newWall(target)
  const found = { clients, sent: 0, done: 0, asked: 0, other: 0, missing: 0 }
  const all = await Promise.all(Array.from({ length: clients }, () => openWall(target, wall)))
  await Promise.all(
    all.map(async (client, n) => {
      for (let i = 0; i < saves; i++) {
        const reading = {
          id: `c${n}-${i}`,
          kind: 'width',
          place: 0,
          value: 3_000_000_000 + n,
          method: 'tape',
          takenAt: '2030-01-01T00:00:00.000Z',
        }
        for (let tries = 0; tries < 5; tries++) {
          found.sent += 1
          const answer = await client.send((survey) => ({
            ...survey,
            readings: [...(survey.readings as unknown[]), reading],
          }))
          if (answer.kind === 'done') found.done += 1
          else if (answer.kind === 'clash') found.asked += 1
          else found.other += 1
          if (answer.kind === 'done') break
        }
      }
    }),
  )
  const last = await openWall(target, wall)
  const held = new Set((last.survey().readings as { id: string }[]).map(({ id }) => id))
  for (let n = 0; n < clients; n++)
    for (let i = 0; i < saves; i++) if (!held.has(`c${n}-${i}`)) found.missing += 1
  await target.kill('SIGTERM')
  return found
}

const wallsOf = (count: number, from = 0) =>
  Array.from({ length: count }, (_, i) => ({
    id: `w${from + i}`,
    name: `Wall ${from + i + 1}`,
    survey: blankSurvey(),
    design: startingDesign(),
  }))
const jobOf = (name: string, rooms: number, walls: number): JobFile => ({
  format: 'regla-job',
  version: 2,
  name,
  client: 'Client',
  settings: startingSettings('inches', '1/16'),
  rooms: Array.from({ length: rooms }, (_, r) => ({
    id: `r${r}`,
    name: `Room ${r + 1}`,
    walls: wallsOf(walls, r * walls),
  })),
})

/** Many jobs and large ones: what their pages take, median of five. */
export async function largePages(jobs: number, rooms: number) {
  const file = newFile()
  const db = openDatabase(file)
  for (let i = 0; i < jobs; i++) importJob(db, jobOf(`Job ${i + 1}`, 1, 1))
  importJob(db, jobOf('Sixty walls', 1, 60), 'sixty')
  importJob(db, jobOf('Many rooms', rooms, 60), 'many')
  checkpoint(db)
  sqliteOf(db).close()
  const target = await startTarget(file)
  const median = async (path: string) => {
    const times: number[] = []
    let bytes = 0
    await ask(target.port, path)
    for (let i = 0; i < 5; i++) {
      const { ms, body } = await ask(target.port, path)
      times.push(ms)
      bytes = Buffer.byteLength(body)
    }
    return { ms: Math.round(times.sort((a, b) => a - b)[2] ?? NaN), kB: Math.round(bytes / 1000) }
  }
  const list = await median('/')
  const sixty = await median('/jobs/sixty')
  const many = await median('/jobs/many')
  await target.kill('SIGTERM')
  return { jobs: { count: jobs, ...list }, sixtyWalls: sixty, manyWalls: { count: rooms * 60, ...many } }
}
