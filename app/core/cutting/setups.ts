import type { CutRow } from '../pieces'
import type { BatchAdvice } from './batchAdvice'
import { type SawLimits, type SawSetting, settingKey, settingsOf } from './sawSetting'
import { type SetupJob, setupOrder } from './setupOrder'

/** A row of the list as the saw has it: what it is cut to and whether its length is a stop's or a mark's. */
export type SawRow = Pick<CutRow, 'label' | 'start' | 'end' | 'faceWidth' | 'cutLength'> & {
  readonly advice: BatchAdvice['advice']
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

/** Where the stop stands: swung away for first ends, at a length, or swung away for what is cut to its pencil mark. */
export type Stop = { readonly kind: 'away' | 'mark' } | { readonly kind: 'length'; readonly length: number }

/** One visit to the saw as it then stands: first ends, or second ends of all rows of one length. */
export interface Visit {
  readonly setting: SawSetting
  readonly stop: Stop
  readonly labels: readonly string[]
}

/** The visits in an order that needs fewest set-ups; how many that is, what none goes below, and how many the list's own order takes. */
export interface SetupPlan {
  readonly visits: readonly Visit[]
  readonly count: number
  readonly bound: number
  readonly proven: boolean
}

/**
 * The set-ups of a list. A first end is cut without a stop, a second one against it, or to its mark where it is measured in place; a change
 * of the saw counts one, a change of the stop one, the first cut two. Common practice, no source.
 */
export function planSetups(
  rows: readonly SawRow[],
  saw: SawLimits,
  how: 'atOnce' | 'searched' = 'searched',
): SetupPlan {
  const jobs: (SetupJob & { readonly label: string; readonly at: SawSetting; readonly where: Stop })[] = []
  for (const row of rows) {
    const { start, end } = rowSettings(row, saw)
    const firsts = start.map((at) => {
      jobs.push({
        setting: settingKey(at),
        stop: null,
        after: [],
        label: row.label,
        at,
        where: { kind: 'away' },
      })
      return jobs.length - 1
    })
    const where: Stop = row.advice === 'batch' ? { kind: 'length', length: row.cutLength } : { kind: 'mark' }
    for (const at of end)
      jobs.push({
        setting: settingKey(at),
        stop: where.kind === 'length' ? String(where.length) : where.kind,
        after: firsts,
        label: row.label,
        at,
        where,
      })
  }
  const { order, count, bound, proven } = setupOrder(jobs, how)
  const visits: { setting: SawSetting; stop: Stop; labels: string[] }[] = []
  let before: SetupJob | null = null
  for (const index of order) {
    const job = jobs[index]
    if (!job) continue
    const last = visits.at(-1)
    if (last && before?.setting === job.setting && before.stop === job.stop) {
      if (!last.labels.includes(job.label)) last.labels.push(job.label)
    } else visits.push({ setting: job.at, stop: job.where, labels: [job.label] })
    before = job
  }
  return { visits, count, bound, proven }
}
