import type { Length } from '~/length'
import type { Material } from '~/model'
import { type CutRow, edgesOf } from '../pieces'
import { makeOf } from '../stock/preparing'
import type { BatchAdvice } from './batchAdvice'
import { type SawLimits, type SawSetting, settingKey, settingsOf, turnedOver } from './sawSetting'
import { type SetupJob, setupOrder } from './setupOrder'

/** A row of the list as the saw has it: what it is cut to and whether its length is a stop's or a mark's. */
export type SawRow = Pick<CutRow, 'label' | 'start' | 'end' | 'faceWidth'> & {
  readonly advice: BatchAdvice['advice']
  /** Its face allows it to lie face down, so that a cut of one hand is made at the setting of the other. */
  readonly turns: boolean
  /** What its stop is set to: the length one measures the piece by. */
  readonly stop: Length
}

/** The rows of some cards as the saw has them. */
export function sawRows(
  cards: readonly { readonly row: CutRow; readonly advice: BatchAdvice }[],
  materials: readonly Material[],
): SawRow[] {
  const square = new Set(materials.flatMap((each) => (makeOf(each)?.profile === 'square' ? [each.id] : [])))
  return cards.map(({ row, advice }) => ({
    label: row.label,
    start: row.start,
    end: row.end,
    faceWidth: row.faceWidth,
    advice: advice.advice,
    turns: square.has(row.materialId),
    stop: edgesOf(row).measured,
  }))
}

/** The settings of both ends of a row, the start's first. */
export function rowSettings(
  { start, end, faceWidth }: Pick<SawRow, 'start' | 'end' | 'faceWidth'>,
  saw: SawLimits,
): { readonly start: readonly SawSetting[]; readonly end: readonly SawSetting[] } {
  return { start: settingsOf(start, true, faceWidth, saw), end: settingsOf(end, false, faceWidth, saw) }
}

/** Rows with the same key are cut at the same settings. */
export function rowSettingKey(row: Pick<SawRow, 'start' | 'end' | 'faceWidth'>, saw: SawLimits): string {
  const { start, end } = rowSettings(row, saw)
  return [...start.map(settingKey), '/', ...end.map(settingKey)].join(' ')
}

/** Where the stop is: swung away, for first ends and for what is cut to its pencil mark, or at a length. */
export type Stop = { readonly kind: 'away' } | { readonly kind: 'length'; readonly length: number }

/** One visit to the saw as it is then set: the rows whose first ends are cut, and those that are cut to length, by stop or by mark. */
export interface Visit {
  readonly setting: SawSetting
  readonly stop: Stop
  readonly firsts: readonly string[]
  readonly lengths: readonly string[]
  /** Of these the rows that lie face down for it. */
  readonly turned: readonly string[]
}

/** The visits in an order that needs fewest set-ups; how many that is, and what no order goes below. */
export interface SetupPlan {
  readonly visits: readonly Visit[]
  readonly count: number
  readonly bound: number
  readonly proven: boolean
}

interface Cut extends SetupJob {
  readonly label: string
  readonly at: SawSetting
  readonly over: SawSetting | null
  readonly where: Stop
  readonly isFirst: boolean
}

/**
 * The set-ups of a list. A first end is cut without a stop, a second one against it, or to its mark with the stop away where it is measured
 * in place. A swing may be cut at its other hand with the piece turned over, where its face allows that. A change of the saw counts one, a
 * change of the stop one, the first cut two. Common practice, no source.
 */
export function planSetups(
  rows: readonly SawRow[],
  saw: SawLimits,
  how: 'atOnce' | 'searched' = 'searched',
): SetupPlan {
  const jobs: Cut[] = []
  const add = (
    { label, turns }: SawRow,
    given: SawSetting,
    more: Pick<Cut, 'where' | 'isFirst' | 'after'>,
  ): number => {
    const other = turns ? turnedOver(given, saw) : null
    // past the saw's reach on its own side it is cut on the other
    const [at, over] = other?.only ? [other.setting, null] : [given, other?.setting ?? null]
    const { where } = more
    const stop = where.kind === 'length' ? String(where.length) : null
    const also = over ? { also: settingKey(over) } : {}
    return jobs.push({ ...more, label, at, over, setting: settingKey(at), stop, ...also }) - 1
  }
  for (const row of rows) {
    const { start, end } = rowSettings(row, saw)
    const away: Stop = { kind: 'away' }
    const firsts = start.map((at) => add(row, at, { where: away, isFirst: true, after: [] }))
    const where: Stop = row.advice === 'batch' ? { kind: 'length', length: row.stop } : away
    for (const at of end) add(row, at, { where, isFirst: false, after: firsts })
  }
  const { steps, count, bound, proven } = setupOrder(jobs, how)
  const visits: (Visit & { firsts: string[]; lengths: string[]; turned: string[] })[] = []
  let key = ''
  for (const { job: index, setting } of steps) {
    const job = jobs[index]
    if (!job) continue
    const isOver = setting !== job.setting
    const made = isOver && job.over ? job.over : job.at
    const next = `${setting} ${job.stop ?? ''}`
    if (visits.length === 0 || key !== next)
      visits.push({ setting: { ...made, face: 'up' }, stop: job.where, firsts: [], lengths: [], turned: [] })
    key = next
    const last = visits.at(-1)
    const into = job.isFirst ? last?.firsts : last?.lengths
    if (into && !into.includes(job.label)) into.push(job.label)
    if (made.face === 'down' && last && !last.turned.includes(job.label)) last.turned.push(job.label)
  }
  return { visits, count, bound, proven }
}
