import sharp from 'sharp'
import { inches } from '~/length'
import { onHandOf } from '~/core/yard/yardState'
import {
  blankSurvey,
  bodyOf,
  type PhotoMarks,
  startingDesign,
  startingSettings,
  type WallOptions,
} from '~/model'
import { patternBookOf } from '~/server/books.server'
import { checkpoint, openDatabase, sqliteOf } from '~/server/db/database.server'
import { importJob, jobDetail } from '~/server/jobs.server'
import { wallPage } from '~/server/walls.server'
import { keepLayoutOf } from '~/server/keepLayout.server'
import { copyOption, optionsOf } from '~/server/options.server'
import { keepPhoto, marksOf, photosOf } from '~/server/photos.server'
import { stockOf, yardActsOf } from '~/server/yard.server'
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
  keepPhoto(db, { jobId: JOB, wallId }, 'Picture', { bytes, width: 40, height: 30 }, marks)
  copyOption(db, { jobId: JOB, wallId }, wallId, 'Second')
  const layout = keepLayoutOf(db, { jobId: JOB, wallId }, 'Layout', Date.now()) ? patternBookOf(db)[0] : null
  if (!layout) throw new Error('no layout in the book')
  const [length] = stockOf(db).lengths
  if (!length) throw new Error('no stock')
  checkpoint(db)
  sqliteOf(db).close()
  return { file, wallId, length, layout: layout.id }
}

/** Windows that change fields of the same things at once, on every kind of page: each field ends as the last who touched it left it. */
export async function writersOnEveryPage(edits: number) {
  const { file, wallId, length, layout } = await house()
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
  const placed = async (i: number): Promise<Writer> => {
    const client = await openWall(target, wall, 'photo')
    const at = (n: number) => ({ x: n / 10_000, y: n / 10_000 })
    return {
      what: `point ${i + 1} of a photograph`,
      last: (n) => n / 10_000,
      write: async (n) =>
        (
          await client.send((body) => ({
            ...body,
            points: (body as PhotoMarks).points.map((point, k) =>
              k === i ? { ...point, at: at(n) } : point,
            ),
          }))
        ).kind === 'done',
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
  const tolerance = async (field: 'closure' | 'fit', page: string): Promise<Writer> => {
    const isWork = page !== wall
    const holds = (kind: string) => !isWork || kind === 'settings'
    const client = await openWall(target, wall, 'settings', { page, holds })
    return {
      what: `the settings’ ${field}, on ${isWork ? 'the page of the work' : 'a wall’s page'}`,
      last: (n) => n * 1000,
      write: async (n) => (await client.send((body) => ({ ...body, [field]: n * 1000 }))).kind === 'done',
    }
  }
  const optionNamed = async (i: number): Promise<Writer> => {
    const client = await openWall(target, wall, 'options')
    const last = (n: number) => `Option ${i} of ${n}`
    return {
      what: `the name of option ${i + 1}`,
      last,
      write: async (n) =>
        (
          await client.send((body) => ({
            ...body,
            list: (body as WallOptions).list.map((each, at) =>
              at === i ? { ...each, name: last(n) } : each,
            ),
          }))
        ).kind === 'done',
    }
  }
  const inBook = (): Writer => {
    let was = 'Layout'
    return {
      what: 'the name of a layout in the book',
      last: (n) => `Layout of ${n}`,
      async write(n) {
        const name = `Layout of ${n}`
        const isTaken = await posted('/book', { intent: 'rename', layout, name, was })
        was = name
        return isTaken
      },
    }
  }
  /** Boards of a length counted again and again: what happened is a row each, and the last count stands. */
  const counted = (kind: 'counted', boards: number): Writer => ({
    what: `boards on hand, counted from ${boards}`,
    last: (n) => boards + n,
    async write(n) {
      const { material, length: long } = length
      const now = Date.now()
      const act = { id: `count-${boards}-${n}`, kind, material, length: long, count: boards + n, doneAt: now }
      return (await ask(target.port, '/yard/acts', json({ sentAt: now, acts: [act] }))).status === 200
    },
  })
  const writers: readonly Writer[] = [
    named('name'),
    named('client'),
    priced('price', (n) => 100 + n),
    priced('leastOrder', (n) => 1 + n),
    priced('trueLength', (n) => inches(90) + n * 1_000_000),
    ...(await Promise.all(Array.from({ length: SPOTS }, (_, i) => placed(i)))),
    await measured('width'),
    await measured('height'),
    await tolerance('closure', wall),
    await tolerance('fit', `/jobs/${JOB}/work`),
    await optionNamed(0),
    await optionNamed(1),
    inBook(),
    counted('counted', 0),
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
  const [picture] = photosOf(db, wallId)
  const points = picture && marksOf(db, picture).points
  const documents = wallPage(db, { jobId: JOB, wallId })?.documents ?? []
  const [survey, settings] = [bodyOf(documents, 'survey'), bodyOf(documents, 'settings')]
  const options = optionsOf(db, wallId)
  const onHand = onHandOf(yardActsOf(db)).find((each) => each.length === length.length)
  const holds: readonly unknown[] = [
    job?.name,
    job?.client,
    row?.price,
    row?.leastOrder,
    row?.trueLength,
    ...Array.from({ length: SPOTS }, (_, i) => points?.[i]?.at.y),
    survey.width,
    survey.height,
    settings.closure,
    settings.fit,
    options[0]?.name,
    options[1]?.name,
    patternBookOf(db)[0]?.name,
    onHand?.count,
  ]
  sqliteOf(db).close()
  writers.forEach(({ what, last }, i) => {
    if (holds[i] !== last(each)) found.lost.push(what)
  })
  return found
}
