import { type Length, nanometers } from '~/length'
import type { YardAct } from '~/model'

type ActOf<K extends YardAct['kind']> = Extract<YardAct, { kind: K }>
export type BoardCut = ActOf<'boardCut'>
export type Wish = Pick<ActOf<'wished'>, 'longest' | 'spares' | 'sparePercent' | 'rackFrom'>

/** An offcut on the rack: a length of stuff with a label written on it. */
export interface RackedOffcut {
  readonly id: string
  readonly label: string
  readonly material: string
  readonly length: Length
  /** The job it is left of; null where it was found by itself. */
  readonly job: string | null
  readonly rackedAt: number
}

/** Boards of one material and length, and how many. */
export interface BoardCount {
  readonly material: string
  readonly length: Length
  readonly count: number
}

/** Boards bought for a job: how many, what was paid where it was said, and for how many of them. */
export interface BoughtBoards extends BoardCount {
  readonly paid: number
  readonly paidFor: number
}

/** Kept from a foot on: shorter ones are in the way. Common practice, no source. */
const USUAL_RACK = nanometers(12 * 25_400_000)
export const USUAL_WISH: Wish = {
  longest: null,
  spares: {},
  sparePercent: null,
  rackFrom: USUAL_RACK,
}

function inOrder(acts: readonly YardAct[]): readonly YardAct[] {
  return [...acts].sort((a, b) => a.doneAt - b.doneAt)
}

/** Boards that are cut and were not taken back, oldest first. */
export function boardsCut(acts: readonly YardAct[]): BoardCut[] {
  const back = new Set(acts.flatMap((act) => (act.kind === 'boardUncut' ? [act.cut] : [])))
  return inOrder(acts).flatMap((act) => (act.kind === 'boardCut' && !back.has(act.id) ? [act] : []))
}

/** What lies on the rack now: put there, not taken, not gone, as long as it was last measured; the longest first. */
export function rackOf(acts: readonly YardAct[]): RackedOffcut[] {
  const cut = boardsCut(acts)
  const [stands, taken] = [new Set(cut.map(({ id }) => id)), new Set(cut.map(({ offcut }) => offcut))]
  const rack = new Map<string, RackedOffcut>()
  for (const act of inOrder(acts)) {
    if (act.kind === 'racked') {
      const { id, label, material, length, job, of } = act
      // what is left of a board that was not cut after all was never there
      if (of === null || stands.has(of))
        rack.set(id, { id, label, material, length, job, rackedAt: act.doneAt })
    } else if (act.kind === 'gone') rack.delete(act.offcut)
    else if (act.kind === 'measured') {
      const known = rack.get(act.offcut)
      if (known) rack.set(act.offcut, { ...known, length: act.length })
    }
  }
  return [...rack.values()]
    .filter(({ id }) => !taken.has(id))
    .sort((a, b) => a.material.localeCompare(b.material) || b.length - a.length || a.rackedAt - b.rackedAt)
}

/** The next label that was never used: R1, R2 ... so that what is written on a board stays its own. */
export function nextLabel(acts: readonly YardAct[]): string {
  const numbers = acts.flatMap((act) => {
    const number = act.kind === 'racked' ? /^R(\d+)$/.exec(act.label)?.[1] : undefined
    return number === undefined ? [] : [Number(number)]
  })
  return `R${Math.max(0, ...numbers) + 1}`
}

const keyOf = ({ material, length }: { material: string; length: number }) => `${material} ${length}`

/** Whole boards on hand: as they were last counted, less those cut since. */
export function onHandOf(acts: readonly YardAct[]): BoardCount[] {
  const counts = new Map<string, BoardCount>()
  const stands = new Set(boardsCut(acts).map(({ id }) => id))
  for (const act of inOrder(acts)) {
    if (act.kind === 'counted')
      counts.set(keyOf(act), { material: act.material, length: act.length, count: act.count })
    else if (act.kind === 'boardCut' && act.from === 'hand' && stands.has(act.id)) {
      const known = counts.get(keyOf(act))
      if (known) counts.set(keyOf(act), { ...known, count: Math.max(0, known.count - 1) })
    }
  }
  return [...counts.values()].filter(({ count }) => count > 0)
}

/** Boards bought for a job, cut or not. */
export function boughtOf(acts: readonly YardAct[], job: string): BoughtBoards[] {
  const bought = new Map<string, BoughtBoards>()
  for (const act of inOrder(acts)) {
    if (act.kind !== 'bought' || act.job !== job) continue
    const { material, length, count, paid } = act
    const known = bought.get(keyOf(act)) ?? { material, length, count: 0, paid: 0, paidFor: 0 }
    // of boards put back the paid ones go with what each of them cost
    const share = paid ?? (known.paidFor > 0 && count < 0 ? known.paid / known.paidFor : null)
    const paidFor = share === null ? 0 : Math.max(count, -known.paidFor)
    bought.set(keyOf(act), {
      ...known,
      count: Math.max(0, known.count + count),
      paid: Math.max(0, Math.round(known.paid + paidFor * (share ?? 0))),
      paidFor: Math.max(0, known.paidFor + paidFor),
    })
  }
  return [...bought.values()].filter(({ count }) => count > 0)
}

/** Boards bought for a job that are not cut yet. */
export function uncutOf(acts: readonly YardAct[], job: string): BoardCount[] {
  const cut = boardsCut(acts).filter((each) => each.job === job && each.from === 'bought')
  return boughtOf(acts, job).flatMap(({ material, length, count }) => {
    const left = count - cut.filter((each) => keyOf(each) === keyOf({ material, length })).length
    return left > 0 ? [{ material, length, count: left }] : []
  })
}

/** How a job's boards are wished. */
export function wishOf(acts: readonly YardAct[], job: string): Wish {
  const last = inOrder(acts).findLast((act) => act.kind === 'wished' && act.job === job)
  return last?.kind === 'wished'
    ? {
        longest: last.longest,
        spares: last.spares,
        sparePercent: last.sparePercent,
        rackFrom: last.rackFrom,
      }
    : USUAL_WISH
}

/** What a job, or one wall of it, may cost; null where nothing was said. */
export function budgetOf(acts: readonly YardAct[], job: string, wall: string | null): number | null {
  const last = inOrder(acts).findLast((act) => act.kind === 'budget' && act.job === job && act.wall === wall)
  return last?.kind === 'budget' ? last.sum : null
}

/** How many spare pieces of a material are wished of so many pieces: its count, or a percent of them, begun ones whole. */
export function sparesWished({ spares, sparePercent }: Wish, material: string, pieces: number): number {
  if (sparePercent === null) return spares[material] ?? 0
  return Math.ceil((pieces * sparePercent) / 100 - 1e-9)
}
