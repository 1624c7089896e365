import { asc, desc, eq, isNull } from 'drizzle-orm'
import { z } from 'zod'
import { type PriceRow, priceListCsv, readPriceList } from '~/core/yard/priceList'
import type { Units } from '~/length'
import { nextLabel } from '~/core/yard/yardState'
import { startStock } from '~/core/yard/startStock'
import {
  changeRow,
  type LengthClash,
  LIMITS,
  type StockLength,
  stockLengthSchema,
  type StockMaterial,
  stockMaterialSchema,
  storedLength,
  type Supplier,
  type YardAct,
  yardActSchema,
} from '~/model'
import { bundleOf, doneAtOf, inOrderDone, whenCame } from './bundles.server'
import { type Database, inTransaction } from './db/database.server'
import { priceLists, stockLengths, stockMaterials, suppliers, yardActs } from './db/schema.server'
import { newId } from './ids.server'
import { jobExists } from './jobs.server'

const MATERIAL = stockMaterialSchema(storedLength)
const LENGTH = stockLengthSchema(storedLength)
const ACT = yardActSchema()
const ACTS = z.array(ACT).min(1).max(200)
const BUNDLE = bundleOf(ACTS)

/** What the crew keeps of materials, lengths and suppliers. */
export interface Stock {
  readonly materials: readonly StockMaterial[]
  readonly lengths: readonly StockLength[]
  readonly suppliers: readonly Supplier[]
}

/** The crew's stock; the usual sizes at invented prices where nothing was kept yet. */
export function stockOf(db: Database): Stock {
  const rows = db.select().from(stockMaterials).orderBy(asc(stockMaterials.position)).all()
  if (rows.length === 0) {
    inTransaction(db, seed)
    return stockOf(db)
  }
  return {
    materials: rows.flatMap(({ body }) => {
      const read = MATERIAL.safeParse(JSON.parse(body))
      return read.success ? [read.data] : []
    }),
    lengths: db
      .select()
      .from(stockLengths)
      .orderBy(asc(stockLengths.length))
      .all()
      .flatMap(({ materialId, supplierId, ...row }) => {
        const read = LENGTH.safeParse({ ...row, material: materialId, supplier: supplierId })
        return read.success ? [read.data] : []
      }),
    suppliers: db.select().from(suppliers).orderBy(asc(suppliers.name)).all(),
  }
}

function seed(db: Database): void {
  const { materials, lengths } = startStock()
  materials.forEach((kept, position) => keepMaterial(db, kept, position))
  for (const length of lengths) keepLength(db, length)
}

function keepMaterial(db: Database, kept: StockMaterial, position: number): void {
  const body = JSON.stringify(kept)
  db.insert(stockMaterials)
    .values({ id: kept.material.id, body, position })
    .onConflictDoUpdate({ target: stockMaterials.id, set: { body } })
    .run()
}

function keepLength(db: Database, { material, supplier, ...row }: StockLength): void {
  const values = { ...row, materialId: material, supplierId: supplier }
  db.insert(stockLengths).values(values).onConflictDoUpdate({ target: stockLengths.id, set: values }).run()
}

const CHANGE = z.strictObject({ was: LENGTH, row: LENGTH })

/**
 * Changes a length that is kept: what the page changed of it, of which it says how it was, on top of what others have changed since. Where both
 * changed the same field nothing is kept, and both are told. False where it can't be read, or is not there any more.
 */
export function changeLength(db: Database, posted: unknown): boolean | LengthClash {
  const read = CHANGE.safeParse(posted)
  if (!read.success) return false
  const { was, row } = read.data
  return inTransaction(db, (tx) => {
    const now = stockOf(tx).lengths.find(({ id }) => id === row.id)
    if (!now) return false
    const changed = changeRow<StockLength>(was, row, now)
    return 'clash' in changed ? changed.clash : saveLength(tx, changed.row)
  })
}

/** Keeps a length in the place of one of its id; false where it can't be read, or nobody knows its material or supplier. */
export function saveLength(db: Database, posted: unknown): boolean {
  const read = LENGTH.safeParse(posted)
  if (!read.success) return false
  const { materials, suppliers: known, lengths } = stockOf(db)
  const { id, material, supplier, length } = read.data
  const twice = lengths.some((each) => each.id !== id && each.material === material && each.length === length)
  if (twice || lengths.length >= LIMITS.offers * 2) return false
  if (!materials.some((each) => each.material.id === material)) return false
  if (supplier !== null && !known.some((each) => each.id === supplier)) return false
  keepLength(db, read.data)
  return true
}

/** Adds a length; one that another window has added meanwhile stays as it made it. False where it can't be kept. */
export function addLength(db: Database, posted: unknown): boolean {
  const read = LENGTH.safeParse(posted)
  if (!read.success) return false
  const { material, length } = read.data
  const isThere = stockOf(db).lengths.some((each) => each.material === material && each.length === length)
  return isThere || saveLength(db, read.data)
}

/** Takes a length out, as it was read: where others have changed it since, nothing happens and what they changed is told. */
export function dropLength(db: Database, posted: unknown): LengthClash | null {
  const read = LENGTH.safeParse(posted)
  if (!read.success) return null
  return inTransaction(db, (tx) => {
    const now = stockOf(tx).lengths.find(({ id }) => id === read.data.id)
    if (!now) return null
    const fields = (Object.keys(now) as (keyof StockLength)[]).filter((key) => now[key] !== read.data[key])
    if (fields.length > 0) return { fields, now, mine: read.data }
    tx.delete(stockLengths).where(eq(stockLengths.id, now.id)).run()
    return null
  })
}

/** Keeps a material of the crew; one it has already stays as it is. False where it can't be read or there are too many. */
export function saveMaterial(db: Database, posted: unknown): boolean {
  const read = MATERIAL.safeParse(posted)
  const { materials } = stockOf(db)
  if (!read.success) return false
  if (materials.some(({ material }) => material.id === read.data.material.id)) return true
  if (materials.length >= LIMITS.materials * 2) return false
  keepMaterial(db, read.data, materials.length)
  return true
}

const SUPPLIER = z.strictObject({
  name: z.string().trim().min(1).max(LIMITS.name),
  address: z.string().trim().max(200).nullable(),
})

/** A new supplier; its id, or null where it can't be read. */
export function addSupplier(db: Database, posted: unknown, id = newId()): string | null {
  const read = SUPPLIER.safeParse(posted)
  if (!read.success) return null
  db.insert(suppliers)
    .values({ id, ...read.data })
    .onConflictDoNothing()
    .run()
  return id
}

/** A price list that waits; null where there is no such supplier. */
export interface WaitingList {
  readonly id: string
  readonly supplier: string
  readonly text: string
  readonly createdAt: number
}

export function waitingLists(db: Database): WaitingList[] {
  return db
    .select()
    .from(priceLists)
    .where(isNull(priceLists.doneAt))
    .orderBy(desc(priceLists.createdAt))
    .all()
    .map(({ id, supplierId, text, createdAt }) => ({ id, supplier: supplierId, text, createdAt }))
}

/** Puts a list down to be looked at, in the place of one of that supplier that still waits. */
export function bringList(db: Database, supplierId: string, text: string): boolean {
  if (!db.select().from(suppliers).where(eq(suppliers.id, supplierId)).get()) return false
  inTransaction(db, (tx) => {
    for (const { id, supplier } of waitingLists(tx)) if (supplier === supplierId) endList(tx, id)
    tx.insert(priceLists).values({ id: newId(), supplierId, text, createdAt: Date.now() }).run()
  })
  return true
}

export function endList(db: Database, id: string): void {
  db.update(priceLists).set({ doneAt: Date.now() }).where(eq(priceLists.id, id)).run()
}

/** Takes the good rows of a list in, all or none, and ends the list. */
export function takeList(db: Database, list: WaitingList, rows: readonly PriceRow[]): void {
  inTransaction(db, (tx) => {
    takeRows(tx, list.supplier, rows)
    endList(tx, list.id)
  })
}

/** Brings a supplier's rows into the stock: lengths known get what the row says, new ones are added. */
export function takeRows(db: Database, supplier: string, rows: readonly PriceRow[]): void {
  const { lengths } = stockOf(db)
  for (const row of rows) {
    const known = lengths.find((each) => each.material === row.material && each.length === row.length)
    keepLength(db, {
      id: known?.id ?? newId(),
      material: row.material,
      length: row.length,
      trueLength: row.trueLength ?? known?.trueLength ?? null,
      price: row.price ?? known?.price ?? null,
      leastOrder: row.leastOrder,
      supplier,
      code: row.code,
      state: row.state,
      there: row.there,
    })
  }
}

/** Everything that happened to boards, oldest first. */
export function yardActsOf(db: Database): YardAct[] {
  return db
    .select()
    .from(yardActs)
    .orderBy(...inOrderDone(yardActs))
    .all()
    .map((row) => {
      const { id, kind, jobId, body } = row
      const job = jobId === null ? {} : { job: jobId }
      return ACT.parse({ id, kind, doneAt: doneAtOf(row), ...job, ...JSON.parse(body) })
    })
}

/** Offcuts with a label that another one has already get the next: two phones that count by themselves give the same one twice. */
function ownLabels(coming: readonly YardAct[], before: readonly YardAct[]): YardAct[] {
  const all = [...before]
  const known = new Set(before.map(({ id }) => id))
  return coming.map((act) => {
    if (act.kind !== 'racked' || known.has(act.id)) return act
    const isTaken = all.some((each) => each.kind === 'racked' && each.label === act.label)
    const own = isTaken && /^R\d+$/.test(act.label) ? { ...act, label: nextLabel(all) } : act
    all.push(own)
    return own
  })
}

/** Keeps what happened to boards; what it has already is left as it is. False where it can't be read, or of no job there is. */
export function recordYard(db: Database, posted: unknown, member: string | null = null): boolean {
  const parsed = BUNDLE.safeParse(posted)
  if (!parsed.success) return false
  const jobs = new Set(parsed.data.acts.flatMap((act) => ('job' in act && act.job !== null ? [act.job] : [])))
  if (![...jobs].every((job) => jobExists(db, job))) return false
  const came = whenCame(parsed.data)
  const rows = ownLabels(parsed.data.acts, yardActsOf(db)).map(({ id, kind, doneAt, ...rest }) => {
    const { job, ...body } = { job: null, ...rest }
    // a rack's row names its job in its body too: one that is of no job says so
    const whole = kind === 'racked' ? { ...body, job } : body
    return { id, kind, doneAt, ...came, member, jobId: job, body: JSON.stringify(whole) }
  })
  db.insert(yardActs).values(rows).onConflictDoNothing().run()
  return true
}

/** The lists that wait, as they are read now: what of each can be taken in, and what not. */
export function listsRead(db: Database, units: Units) {
  const { materials } = stockOf(db)
  return waitingLists(db).map(({ id, supplier, text }) => ({
    id,
    supplier,
    ...readPriceList(text, materials, units),
  }))
}

/** Takes the good rows of a waiting list in; false where it does not wait any more. */
export function takeWaiting(db: Database, id: string, units: Units): boolean {
  const list = waitingLists(db).find((each) => each.id === id)
  if (!list) return false
  takeList(db, list, readPriceList(list.text, stockOf(db).materials, units).rows)
  return true
}

/** The crew's lengths and prices as a file. */
export function pricesCsv(db: Database): string {
  return priceListCsv(stockOf(db).lengths)
}

const KEPT = z.strictObject({ material: MATERIAL, lengths: z.array(LENGTH).max(40) })

/** Keeps a material of a job for the crew, with the lengths and prices the job has. */
export function keepForCrew(db: Database, posted: unknown): boolean {
  const read = KEPT.safeParse(posted)
  if (!read.success) return false
  return inTransaction(db, (tx) => {
    if (!saveMaterial(tx, read.data.material)) return false
    for (const length of read.data.lengths) addLength(tx, length)
    return true
  })
}
