import fc from 'fast-check'
import sharp from 'sharp'
import { anyMeetingWall, runs } from '../../tests/anyWall'
import { wallWindow } from '../../tests/windows'
import { NOTHING_TYPED, type Typed } from '~/features/client/clientView'
import { renderClientPage } from '~/features/client/renderClient'
import { inches } from '~/length'
import { freshPaint, inForce, type PhotoMarks, withDesign, type Workpiece } from '~/model'
import { linkOfToken, makeLink, recordClientAct } from '~/server/clientLinks.server'
import { openLink } from '~/server/clientPage.server'
import { openDatabase } from '~/server/db/database.server'
import { createJob } from '~/server/jobs.server'
import { copyOption } from '~/server/options.server'
import { keepPhoto } from '~/server/photos.server'
import { renameWall } from '~/server/renaming.server'
import { fingerprintOf, signatureOf, signedPicture } from '~/server/signatures.server'
import { createWall } from '~/server/walls.server'
import { readPage, signPage } from './clientRead'

const MARKS: PhotoMarks = {
  points: (
    [
      [0.1, 0.9, 0, 0],
      [0.9, 0.9, 120, 0],
      [0.9, 0.1, 120, 90],
      [0.1, 0.1, 0, 90],
    ] as const
  ).map(([x, y, wx, wy], i) => ({ id: `p${i}`, at: { x, y }, wall: { x: inches(wx), y: inches(wy) } })),
  lens: false,
  lightDeg: null,
  cutOuts: [],
}
const PARTS = ['photo', 'colors', 'price', 'hours', 'notes'] as const
const PICTURE = sharp({ create: { width: 120, height: 90, channels: 3, background: '#9a8f7c' } })
  .jpeg()
  .toBuffer()

async function linkedWall(workpiece?: Workpiece) {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Alder mill', client: 'The Brays', units: 'inches', tape: '1/16' })
  const ids = { jobId, wallId: createWall(db, { jobId, roomName: 'Study', name: 'North wall' }) }
  const window = wallWindow(db, ids)
  if (workpiece) {
    const { wall, settings } = workpiece
    window.put('survey', () => wall.survey)
    window.put('design', () => wall.design)
    window.put('settings', () => settings)
  }
  await window.change('settings', (settings) => ({
    ...settings,
    paints: ['moss', 'sand'].map((id) => freshPaint({ id, name: id, hex: '#c9d2c4', use: 'field' })),
  }))
  keepPhoto(db, ids, 'From the door', { bytes: await PICTURE, width: 120, height: 90 }, MARKS)
  const other = copyOption(db, ids, ids.wallId, 'Low') ?? ''
  const body = { words: '', parts: [...PARTS], walls: [{ wallId: ids.wallId, options: [ids.wallId, other] }] }
  const link = makeLink(db, jobId, body, 7, 1_000)
  const page = () => {
    const opened = openLink(db, link.token, 2_000)
    if (opened.kind !== 'open') throw new Error(opened.kind)
    return opened.page
  }
  return { db, ids, other, link, page }
}
type At = Awaited<ReturnType<typeof linkedWall>>

/** What a reader sees, as the page is sent: without what is posted back. */
function seen(at: At): string {
  const page = at.page()
  const read = readPage(page)
  const photoUrl = (wall: string, option: string) =>
    read.parts.find((part) => part.kind === 'photo' && part.wall === wall && part.option === option)
      ?.digest ?? ''
  const view = { page, shown: read.shown, digests: '', photoUrl, changed: [], said: null, font: 'f' }
  return renderClientPage({ ...view, typed: NOTHING_TYPED }, 'n', 's')
}

const typedBy = (at: At, tick: string | null, more: Partial<Typed> = {}): Typed => ({
  name: 'N. Bray',
  line: '',
  remarks: new Map(),
  ticks: new Map([[at.ids.wallId, { option: tick, colors: {} }]]),
  ...more,
})
const signAs = (at: At, posted: string, typed: Typed) =>
  signPage((work) => work(at.db), at.page(), { typed, posted }, 3_000)

/** What another reader of the link, or the crew, does between reading and signing. */
const MEANWHILE: Readonly<Record<string, (at: At) => unknown>> = {
  pick: ({ db, link, ids, other }) =>
    recordClientAct(db, link, { kind: 'picked', wall: ids.wallId, option: other }, 5),
  color: ({ db, link, ids }) =>
    recordClientAct(db, link, { kind: 'color', wall: ids.wallId, use: 'field', paint: 'moss' }, 5),
  remark: ({ db, link, ids }) =>
    recordClientAct(
      db,
      link,
      { kind: 'remark', wall: ids.wallId, option: null, at: null, text: 'Lower?' },
      5,
    ),
  rename: ({ db, ids }) => renameWall(db, ids.wallId, { was: 'North wall', name: 'Long wall' }),
  height: ({ db, ids }) =>
    wallWindow(db, ids).change('design', (design) =>
      withDesign(design, { height: { rule: 'typed', value: inches(31) } }),
    ),
  ofOther: ({ db, ids, other }) =>
    wallWindow(db, { ...ids, optionId: other }).change('design', (design) =>
      withDesign(design, { height: { rule: 'typed', value: inches(29) } }),
    ),
  thereAndBack: async ({ db, ids }) => {
    const window = wallWindow(db, ids)
    await window.change('design', (design) => withDesign(design, { locked: !inForce(design).locked }))
    await window.saver.step('undo')
  },
  price: ({ db, ids }) =>
    wallWindow(db, ids).change('settings', (settings) => ({
      ...settings,
      shop: { ...settings.shop, offers: settings.shop.offers.map((offer) => ({ ...offer, price: 7_77 })) },
    })),
  paint: ({ db, ids }) =>
    wallWindow(db, ids).change('settings', (settings) => ({
      ...settings,
      paints: settings.paints.map((paint) => ({ ...paint, name: `${paint.name} 2` })),
    })),
  unseen: ({ db, ids }) =>
    wallWindow(db, ids).change('settings', (settings) => ({
      ...settings,
      work: { ...settings.work, days: { ...settings.work.days, wishedEnd: '2027-03-09' } },
    })),
}

describe('what a client signs', () => {
  // before, the kept option was signed with another one ticked, and whatever stood by then was sealed
  test('a law: it is signed exactly if the page still looks as it was read, and then what was ticked is signed', async () => {
    await fc.assert(
      fc.asyncProperty(
        anyMeetingWall,
        fc.subarray(Object.keys(MEANWHILE), { maxLength: 3 }),
        fc.constantFrom<'first' | 'other' | 'none'>('first', 'other', 'none'),
        fc.boolean(),
        async (workpiece, meanwhile, ticked, isKept) => {
          const at = await linkedWall(workpiece)
          if (isKept)
            recordClientAct(at.db, at.link, { kind: 'picked', wall: at.ids.wallId, option: at.ids.wallId }, 4)
          const [was, posted] = [seen(at), readPage(at.page()).digests]
          for (const name of meanwhile) await MEANWHILE[name]?.(at)
          const now = seen(at)
          const tick = { first: at.ids.wallId, other: at.other, none: null }[ticked]
          const done = await signAs(at, posted, typedBy(at, tick))
          const signature = signatureOf(at.db, at.link.id)
          if (was !== now) {
            expect(done).toMatchObject({ ok: false, problem: { code: 'changed' } })
            expect(signature).toBeNull()
            // no tick of a page that was not signed is kept
            expect(seen(at)).toBe(now)
            // read once more, it is signed
            const again = await signAs(at, readPage(at.page()).digests, typedBy(at, at.other))
            expect(again).toEqual({ ok: true })
            return
          }
          const option = tick ?? (isKept ? at.ids.wallId : null)
          expect(done.ok).toBe(option !== null)
          expect(signature?.body.walls[0]?.optionId ?? null).toBe(option)
          if (option === null) return
          expect(at.page().picks[at.ids.wallId]?.option).toBe(option)
          const before = readPage(at.page()).digests
          for (const name of Object.keys(MEANWHILE)) await MEANWHILE[name]?.(at)
          expect(at.page().signed?.fingerprint).toBe(signature?.fingerprint)
          const drawing = (digests: string) =>
            (JSON.parse(digests) as [string, string][]).filter(([key]) =>
              /^(drawing|price|hours|colors)/.test(key),
            )
          expect(drawing(readPage(at.page()).digests)).toEqual(drawing(before))
        },
      ),
      { numRuns: runs(24) },
    )
  })

  test('each thing that changes is told by where it is', async () => {
    const told = async (name: string) => {
      const at = await linkedWall()
      const posted = readPage(at.page()).digests
      await MEANWHILE[name]?.(at)
      const done = await signAs(at, posted, typedBy(at, at.other))
      if (done.ok || done.problem.code !== 'changed') return done.ok ? 'signed' : done.problem.code
      const places = done.problem.parts.map(({ kind, option }) =>
        `${kind} ${option === at.other ? 'Low' : ((option && 'first') ?? '')}`.trim(),
      )
      return [...new Set(places)].sort()
    }
    expect(await told('rename')).toEqual(['wall'])
    expect(await told('pick')).toEqual(['choice'])
    expect(await told('remark')).toEqual(['remarks'])
    expect(await told('ofOther')).toEqual(['drawing Low', 'hours Low', 'photo Low'])
    expect(await told('ofOther')).not.toContain('drawing first')
    // other prices, other boards: the hours go with them
    expect(await told('price')).toEqual(expect.arrayContaining(['price Low', 'price first']))
    expect(await told('thereAndBack')).toBe('signed')
    expect(await told('unseen')).toBe('signed')
  })

  test('the photograph is frozen as it was shown, in the option and the color that were ticked', async () => {
    const at = await linkedWall()
    const ticks = new Map([[at.ids.wallId, { option: at.other, colors: { field: 'moss' } }]])
    const posted = readPage(at.page()).digests
    expect(await signAs(at, posted, typedBy(at, null, { ticks }))).toEqual({ ok: true })
    const signature = signatureOf(at.db, at.link.id)
    const [wall] = signature?.body.walls ?? []
    expect(wall && inForce(wall.design).paint.field).toBe('moss')
    const bytes = signedPicture(at.db, signature?.id ?? '', at.ids.wallId)
    expect(bytes && (await sharp(bytes).metadata()).width).toBe(120)
    expect(wall?.picture?.fingerprint).toBe(bytes && fingerprintOf(bytes))
    // a newer photograph is not the signed one
    keepPhoto(at.db, at.ids, 'Later', { bytes: await PICTURE, width: 120, height: 90 }, MARKS)
    expect(at.page().walls[0]?.photo?.id).toBe(wall?.picture?.id)
  })

  test('two sign at once: one does, the other is told; a remark not sent, and a page without its digests, sign nothing', async () => {
    const at = await linkedWall()
    const posted = readPage(at.page()).digests
    const remarks = new Map([[at.ids.wallId, { text: 'Lower', x: '', y: '', option: '' }]])
    expect(await signAs(at, posted, typedBy(at, at.other, { remarks }))).toMatchObject({
      problem: { code: 'unsent', wall: 'North wall' },
    })
    for (const bad of ['', '{}', '7', 'null', '[7]', '[["drawing","x"]]'])
      expect((await signAs(at, bad, typedBy(at, at.other))).ok).toBe(false)
    const ticks = new Map([[at.ids.wallId, { option: at.other, colors: { field: '__proto__' } }]])
    expect(await signAs(at, posted, typedBy(at, null, { ticks }))).toMatchObject({
      problem: { code: 'notOffered' },
    })
    expect(at.page().picks[at.ids.wallId]).toEqual({ option: null, colors: {} })
    const both = await Promise.all([
      signAs(at, posted, typedBy(at, at.other)),
      signAs(at, posted, typedBy(at, at.ids.wallId, { name: 'P. Bray' })),
    ])
    expect(both.map(({ ok }) => ok).sort()).toEqual([false, true])
    expect(both.find(({ ok }) => !ok)).toMatchObject({ problem: { code: 'already' } })
    expect(linkOfToken(at.db, at.link.token)?.id).toBe(at.link.id)
  })
})
