import sharp from 'sharp'
import { inches } from '~/length'
import { blankSurvey, type PhotoMarks, startingDesign, startingSettings } from '~/model'
import { checkpoint, openDatabase, sqliteOf } from '~/server/db/database.server'
import { importJob, jobDetail } from '~/server/jobs.server'
import { wallPage } from '~/server/walls.server'
import { keepPhoto, photosOf } from '~/server/photos.server'
import { stockOf } from '~/server/yard.server'
import { ask, form, json, newFile, openWall, startTarget } from './target'

const JOB = 'shared'
const SPOTS = 4

/** One that changes a field again and again, going by what it read first and what it wrote itself: it never hears of the others. */
interface Writer {
  readonly what: string
  /** Writes the n-th value; whether the server took it. */
  readonly write: (n: number) => Promise<boolean>
  /** What the field has to hold at the end, after so many. */
  readonly last: (n: number) => unknown
}

async function house() {
  const file = newFile()
  const db = openDatabase(file)
  const wall = { id: 'w', name: 'Wall', survey: blankSurvey(), design: startingDesign() }
  importJob(
    db,
    {
      format: 'regla-job',
      version: 2,
      name: 'Shared',
      client: 'Client',
      settings: startingSettings('inches', '1/16'),
      rooms: [{ id: 'r', name: 'Room', walls: [wall] }],
    },
    JOB,
  )
  const wallId = jobDetail(db, JOB)?.rooms[0]?.walls[0]?.id ?? ''
  const bytes = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#777' } })
    .jpeg()
    .toBuffer()
  const marks: PhotoMarks = {
    points: Array.from({ length: SPOTS }, (_, i) => ({
      id: `p${i}`,
      at: { x: 0.5, y: 0.5 },
      wall: { x: i, y: i },
    })),
    lens: false,
    lightDeg: null,
    cutOuts: [],
  }
  const photo =
    keepPhoto(db, { jobId: JOB, wallId }, 'Picture', { bytes, width: 40, height: 30 }, marks) ?? ''
  const [length] = stockOf(db).lengths
  if (!length) throw new Error('no stock')
  checkpoint(db)
  sqliteOf(db).close()
  return { file, wallId, photo, marks, length }
}

/** Windows that change fields of the same things at once, on every kind of page: each field ends as the last who touched it left it. */
export async function writersOnEveryPage(edits: number) {
  const { file, wallId, photo, marks, length } = await house()
  const target = await startTarget(file)
  const wall = `/jobs/${JOB}/walls/${wallId}`
  const posted = async (path: string, fields: Readonly<Record<string, string>>) =>
    (await ask(target.port, path, form(fields))).status < 300
  const named = (field: 'name' | 'client'): Writer => {
    let seen = { name: 'Shared', client: 'Client' }
    return {
      what: `the job’s ${field}`,
      last: (n) => `${field} ${n}`,
      async write(n) {
        const next = { ...seen, [field]: `${field} ${n}` }
        const was = { wasName: seen.name, wasClient: seen.client }
        const isTaken = await posted(`/jobs/${JOB}`, { intent: 'rename', ...next, ...was })
        seen = next
        return isTaken
      },
    }
  }
  const priced = (field: 'price' | 'leastOrder' | 'trueLength', valueOf: (n: number) => number): Writer => {
    let seen = length
    return {
      what: `a length’s ${field}`,
      last: valueOf,
      async write(n) {
        const row = { ...seen, [field]: valueOf(n) }
        const isTaken = await posted('/yard', {
          intent: 'changeLength',
          value: JSON.stringify({ was: seen, row }),
        })
        seen = row
        return isTaken
      },
    }
  }
  const placed = (i: number): Writer => {
    let seen = { revision: 1, marks }
    return {
      what: `point ${i + 1} of a photograph`,
      last: (n) => n / 10_000,
      async write(n) {
        const points = seen.marks.points.map((point, at) =>
          at === i ? { ...point, at: { x: n / 10_000, y: n / 10_000 } } : point,
        )
        const next = { ...seen.marks, points }
        const { status, body } = await ask(
          target.port,
          `${wall}/photos/${photo}/marks`,
          json({ revision: seen.revision, was: seen.marks, marks: next }),
        )
        const said = JSON.parse(body) as { revision?: number; marks?: PhotoMarks }
        seen = { revision: said.revision ?? seen.revision, marks: said.marks ?? next }
        return status === 200
      },
    }
  }
  const measured = async (field: 'width' | 'height'): Promise<Writer> => {
    const client = await openWall(target, wall)
    return {
      what: `the wall’s ${field}`,
      last: (n) => inches(80) + n * 1_000_000,
      write: async (n) =>
        (await client.send((survey) => ({ ...survey, [field]: inches(80) + n * 1_000_000 }))).kind === 'done',
    }
  }
  const writers: readonly Writer[] = [
    named('name'),
    named('client'),
    priced('price', (n) => 100 + n),
    priced('leastOrder', (n) => 1 + n),
    priced('trueLength', (n) => inches(90) + n * 1_000_000),
    ...Array.from({ length: SPOTS }, (_, i) => placed(i)),
    await measured('width'),
    await measured('height'),
  ]
  const each = Math.ceil(edits / writers.length)
  const found = { writers: writers.length, edits: each * writers.length, refused: 0, lost: [] as string[] }
  await Promise.all(
    writers.map(async ({ write }) => {
      for (let n = 1; n <= each; n++) if (!(await write(n))) found.refused += 1
    }),
  )
  await target.kill('SIGTERM')
  const db = openDatabase(file)
  const job = jobDetail(db, JOB)
  const row = stockOf(db).lengths.find(({ id }) => id === length.id)
  const points = photosOf(db, wallId)[0]?.marks.points
  const survey = wallPage(db, { jobId: JOB, wallId })?.documents.find(({ kind }) => kind === 'survey')
    ?.body as { width: number; height: number } | undefined
  const holds: readonly unknown[] = [
    job?.name,
    job?.client,
    row?.price,
    row?.leastOrder,
    row?.trueLength,
    ...Array.from({ length: SPOTS }, (_, i) => points?.[i]?.at.y),
    survey?.width,
    survey?.height,
  ]
  sqliteOf(db).close()
  writers.forEach(({ what, last }, i) => {
    if (holds[i] !== last(each)) found.lost.push(what)
  })
  return found
}
