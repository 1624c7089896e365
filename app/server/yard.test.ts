import { copyFileSync, mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { readJobFile } from '~/core/files/readJobFile'
import { rackOf } from '~/core/yard/yardState'
import { inches } from '~/length'
import { actsOf } from './acts.server'
import { openDatabase, sqliteOf } from './db/database.server'
import { addDemoYard } from './demoYard.server'
import { jobBoards } from './jobBoards.server'
import { exportJob, importJob, jobDetail } from './jobs.server'
import { keptSaws } from './saws.server'
import { moodOf, setMood, SUPPLIER_MOODS } from './supplierStandIn.server'
import { askSupplier, STAND_IN } from './suppliers.server'
import {
  addSupplier,
  bringList,
  changeLength,
  addLength,
  dropLength,
  recordYard,
  saveLength,
  saveMaterial,
  stockOf,
  takeList,
  waitingLists,
  yardActsOf,
} from './yard.server'

function withJob() {
  const db = openDatabase(':memory:')
  const file = readJobFile(readFileSync('examples/metric-study.regla.json', 'utf8'))
  if (!file.ok) throw new Error('the example is broken')
  importJob(db, file.value, 'job')
  return db
}

describe('the crew’s stock', () => {
  test('begins with the usual sizes; lengths are changed, added, dropped; what can’t be read or stands twice is refused', () => {
    const db = openDatabase(':memory:')
    const [first] = stockOf(db).lengths
    if (!first) throw new Error('no stock')
    expect(saveLength(db, { ...first, price: 1234, trueLength: inches(96.25) })).toBe(true)
    expect(stockOf(db).lengths.find(({ id }) => id === first.id)).toMatchObject({ price: 1234 })
    const fresh = { ...first, id: 'fresh', length: inches(168) }
    expect(saveLength(db, fresh)).toBe(true)
    expect(saveLength(db, { ...fresh, id: 'again' })).toBe(false)
    expect(saveLength(db, { ...fresh, price: -1 })).toBe(false)
    expect(saveLength(db, { ...fresh, supplier: 'nobody' })).toBe(false)
    expect(saveLength(db, { ...fresh, material: 'nothing' })).toBe(false)
    // another window that adds it too finds it there, as it is
    expect(addLength(db, { ...fresh, id: 'other', price: null })).toBe(true)
    const added = stockOf(db).lengths.find(({ id }) => id === 'fresh')
    expect(added).toEqual(fresh)
    expect(dropLength(db, fresh)).toBeNull()
    expect(stockOf(db).lengths.some(({ id }) => id === 'fresh')).toBe(false)
    const [kept] = stockOf(db).materials
    // one that is there already stays as the crew has it
    expect(saveMaterial(db, { ...kept, kind: 'eased' })).toBe(true)
    expect(stockOf(db).materials[0]).toEqual(kept)
    expect(saveMaterial(db, { kind: 'plank' })).toBe(false)
  })

  // before, the second window's least order of 4 brought the price of before back
  test('two windows that change one length each keep what they changed; of one field both are asked', () => {
    const db = openDatabase(':memory:')
    const [was] = stockOf(db).lengths
    if (!was) throw new Error('no stock')
    const now = () => stockOf(db).lengths.find(({ id }) => id === was.id)
    expect(changeLength(db, { was, row: { ...was, price: 777 } })).toBe(true)
    expect(changeLength(db, { was, row: { ...was, leastOrder: 4 } })).toBe(true)
    expect(now()).toEqual({ ...was, price: 777, leastOrder: 4 })
    const clash = changeLength(db, { was, row: { ...was, price: 525, trueLength: inches(95) } })
    expect(clash).toMatchObject({ fields: ['price'], now: { price: 777 }, mine: { price: 525 } })
    // nothing of it was kept, nor was what did not clash
    expect(now()).toEqual({ ...was, price: 777, leastOrder: 4 })
    const mine = { ...was, price: 777, leastOrder: 4 }
    expect(changeLength(db, { was: mine, row: { ...mine, price: 525 } })).toBe(true)
    expect(now()?.price).toBe(525)
    // one that was dropped meanwhile does not come back by a change of it, nor is nonsense kept
    // taken out by a window that shows an older price: it is asked first
    expect(dropLength(db, was)).toMatchObject({
      fields: ['price', 'leastOrder'],
      now: { leastOrder: 4 },
    })
    const last = now()
    expect(last).toBeDefined()
    expect(dropLength(db, last)).toBeNull()
    expect(changeLength(db, { was, row: { ...was, price: 1 } })).toBe(false)
    expect([now(), changeLength(db, { row: was }), changeLength(db, null)]).toEqual([undefined, false, false])
  })

  // before, two phones that each put an offcut on the rack both called it R1
  test('two offcuts that come with one label have two: the later one the next; sent twice it keeps its own', () => {
    const { material, length } = stockOf(openDatabase(':memory:')).lengths[0] ?? {}
    const db = openDatabase(':memory:')
    const racked = (id: string, label: string) => ({
      id,
      kind: 'racked',
      doneAt: 1_000,
      material,
      length,
      label,
      job: null,
      of: null,
    })
    expect(recordYard(db, [racked('phone-one', 'R1')])).toBe(true)
    expect(
      recordYard(db, { sentAt: 1_000, acts: [racked('phone-two', 'R1'), racked('phone-2-2', 'R2')] }),
    ).toBe(true)
    expect(recordYard(db, [racked('phone-two', 'R1'), racked('phone-one', 'R1')])).toBe(true)
    const labels = () => Object.fromEntries(rackOf(yardActsOf(db)).map(({ id, label }) => [id, label]))
    expect(labels()).toEqual({ 'phone-one': 'R1', 'phone-two': 'R2', 'phone-2-2': 'R3' })
    // a name somebody gave stands as it is
    expect(recordYard(db, [racked('spare-one', 'A3 spare'), racked('spare-two', 'A3 spare')])).toBe(true)
    expect(labels()).toMatchObject({ 'spare-one': 'A3 spare', 'spare-two': 'A3 spare' })
  })

  test('a list waits until it is taken, whole; the next of the same supplier takes its place', () => {
    const db = openDatabase(':memory:')
    const supplier = addSupplier(db, { name: 'Some yard', address: null }) ?? ''
    expect(addSupplier(db, { name: ' ', address: null })).toBeNull()
    expect(bringList(db, 'nobody', 'x')).toBe(false)
    expect(bringList(db, supplier, 'first')).toBe(true)
    expect(bringList(db, supplier, 'second')).toBe(true)
    const [list, ...more] = waitingLists(db)
    if (!list) throw new Error('no list waits')
    expect([list.text, more]).toEqual(['second', []])
    const row = {
      line: 2,
      code: 'c',
      material: 'pine-1x3',
      length: inches(96),
      trueLength: null,
      price: 555,
      leastOrder: 3,
      state: 'out' as const,
      there: null,
    }
    takeList(db, list, [row, { ...row, length: inches(84), price: null }])
    expect(waitingLists(db)).toEqual([])
    const of = (long: number) =>
      stockOf(db).lengths.find(({ material, length }) => material === 'pine-1x3' && length === inches(long))
    expect(of(96)).toMatchObject({ id: 'pine-1x3-8', price: 555, leastOrder: 3, state: 'out', supplier })
    expect(of(84)).toMatchObject({ price: null })
  })
})

describe('what happens to boards', () => {
  const racked = (id: string, job: string | null) => ({
    id,
    kind: 'racked',
    doneAt: 5,
    material: 'pine-1x3',
    length: inches(30),
    label: 'R1',
    job,
    of: null,
  })

  test('is kept once, of a job there is, and read back as it was', () => {
    const db = withJob()
    const acts = [racked('act-0000001', null), { ...racked('act-0000002', 'job'), label: 'R2' }]
    expect(recordYard(db, acts)).toBe(true)
    expect(recordYard(db, acts)).toBe(true)
    expect(yardActsOf(db)).toEqual(acts)
    expect(recordYard(db, [racked('act-0000003', 'no-such-job')])).toBe(false)
    expect(recordYard(db, [{ ...racked('act-0000004', null), length: -1 }])).toBe(false)
    expect(recordYard(db, 'rubbish')).toBe(false)
    expect(rackOf(yardActsOf(db))).toHaveLength(2)
  })

  test('a job’s boards bring all its walls; a job there is not is null', () => {
    const db = withJob()
    expect(jobBoards(db, 'job')?.walls.length).toBeGreaterThan(0)
    expect(jobBoards(db, 'nobody')).toBeNull()
  })

  test('the demo’s yard is whole: a list with good and bad rows, a rack, boards bought and cut, a budget', () => {
    const db = openDatabase(':memory:')
    const file = readJobFile(readFileSync('examples/tern-cottage.regla.json', 'utf8'))
    if (!file.ok) throw new Error('the demo is broken')
    importJob(db, file.value, 'demo')
    addDemoYard(db, 'demo', 'Chimney breast')
    expect(new Set(yardActsOf(db).map(({ kind }) => kind))).toEqual(
      new Set(['counted', 'bought', 'boardCut', 'racked', 'budget', 'wished']),
    )
    expect(waitingLists(db)).toHaveLength(1)
  })
})

describe('the supplier on this machine', () => {
  const asked = (db: ReturnType<typeof openDatabase>, address: string | null = STAND_IN) =>
    askSupplier((work) => work(db), { id: STAND_IN, name: 'Stand-in', address })
  const prices = (db: ReturnType<typeof openDatabase>) => stockOf(db).lengths.map(({ price }) => price)

  test('has everything, is sold out, dearer, late; away or garbled nothing changes and it says why', async () => {
    const db = openDatabase(':memory:')
    addSupplier(db, { name: 'Stand-in', address: STAND_IN }, STAND_IN)
    expect(await asked(db)).toMatchObject({ kind: 'taken', out: 0, later: 0, unknown: 0 })
    const usual = prices(db)
    expect(await asked(db)).toMatchObject({ kind: 'taken', changed: 0 })
    await setMood('soldOut')
    const out = await asked(db)
    expect(out.kind === 'taken' && out.out).toBeGreaterThan(0)
    expect(stockOf(db).lengths.some(({ state }) => state === 'out')).toBe(true)
    await setMood('later')
    const late = await asked(db)
    expect(late.kind === 'taken' && late.later).toBeGreaterThan(0)
    await setMood('dearer')
    await asked(db)
    const dear = prices(db)
    expect(dear.every((price, i) => (price ?? 0) > (usual[i] ?? 0))).toBe(true)
    for (const mood of ['away', 'garbled'] as const) {
      await setMood(mood)
      expect(await asked(db)).toEqual({ kind: mood === 'away' ? 'unreachable' : 'garbled' })
      expect(prices(db)).toEqual(dear)
    }
    await setMood('usual')
    expect([moodOf(), SUPPLIER_MOODS.length]).toEqual(['usual', 6])
    expect((await asked(db)).kind).toBe('taken')
    expect(prices(db)).toEqual(usual)
  })

  test('only this machine is asked, and a supplier without an address is not', async () => {
    const db = openDatabase(':memory:')
    expect(await asked(db, null)).toEqual({ kind: 'noAddress' })
    for (const address of ['http://example.org', 'https://127.0.0.1', 'file:///etc/passwd', 'nonsense'])
      expect(await asked(db, address)).toEqual({ kind: 'notHere' })
    expect(await asked(db, 'http://127.0.0.1:9')).toEqual({ kind: 'unreachable' })
  })
})

test('a database from before the yard opens with nothing lost, and has a yard', () => {
  const file = join(mkdtempSync(join(tmpdir(), 'regla-')), 'regla.db')
  copyFileSync('tests/versions/database-2.sqlite', file)
  const db = openDatabase(file)
  const wall = jobDetail(db, 'job-then')?.rooms[0]?.walls[0]
  expect(wall?.name).toBe('Desk wall')
  expect(actsOf(db, wall?.id ?? '').map(({ id }) => id)).toEqual(['then-mark-1', 'then-cut-01'])
  expect(keptSaws(db).map(({ name }) => name)).toEqual(['Old saw'])
  const then = readJobFile(readFileSync('examples/metric-study.regla.json', 'utf8'))
  if (!then.ok) throw new Error('the example is broken')
  const { settings } = exportJob(db, 'job-then') ?? {}
  expect(settings).toEqual(then.value.settings)
  expect(stockOf(db).lengths.length).toBeGreaterThan(0)
  expect(jobBoards(db, 'job-then')?.walls).toHaveLength(
    then.value.rooms.reduce((sum, { walls }) => sum + walls.length, 0),
  )
  const sqlite = sqliteOf(db)
  expect(sqlite.pragma('foreign_key_check')).toEqual([])
  expect(sqlite.pragma('integrity_check', { simple: true })).toBe('ok')
})
