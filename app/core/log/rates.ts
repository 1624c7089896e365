import { LEARNED, type LearnedKey, USUAL_RATES, type Work, type WorkRates } from '~/model'
import type { Worked } from './worked'
import { minutesOfWork } from './worked'

/** One time a rate was shown by: how long, for how much, of which job, when. */
export interface Sample {
  /** The wall or the task it is of, within its job: what is left out by hand. */
  readonly id: string
  readonly job: string
  readonly rate: LearnedKey
  /** In the rate's own unit: minutes for one, or so much an hour. */
  readonly value: number
  readonly amount: number
  readonly minutes: number
  readonly at: number
}

/** Rates that say how much is done in an hour; all others how long one takes. */
const BY_HOUR = /Feet|^fillOne$/

/** Whether a rate is so much an hour. */
export function isByHour(rate: LearnedKey): boolean {
  return BY_HOUR.test(rate)
}

/** What a time says of a rate; null where it says nothing: no time, or nothing done in it. */
export function sampleOf(
  at: { readonly id: string; readonly job: string; readonly at: number },
  rate: LearnedKey,
  amount: number,
  minutes: number,
): Sample | null {
  if (!(minutes > 0) || !(amount > 0)) return null
  return { ...at, rate, amount, minutes, value: isByHour(rate) ? (amount / minutes) * 60 : minutes / amount }
}

/** What ticks of a stage tell by themselves. */
const OF_STAGE: Readonly<Record<string, LearnedKey>> = { mark: 'markOne', cut: 'cutOne', fit: 'fitOne' }

/** The samples of one wall or one job: what was counted where a time ended, else the ticks in it. All times of one thing are one sample. */
export function samplesOf(job: string, place: string, worked: readonly Worked[], now: number): Sample[] {
  const sums = new Map<
    string,
    { of: string; rate: LearnedKey; amount: number; minutes: number; at: number }
  >()
  for (const each of worked) {
    const rate = each.counted?.rate ?? OF_STAGE[each.of]
    const minutes = minutesOfWork(each, now)
    if (!rate || each.to === null || minutes <= 0) continue
    const key = `${each.of} ${rate}`
    const sum = sums.get(key) ?? { of: each.of, rate, amount: 0, minutes: 0, at: 0 }
    sums.set(key, {
      ...sum,
      // a count stands for all of the thing, however often it was rested from
      amount: each.counted ? Math.max(sum.amount, each.counted.amount) : sum.amount + each.ticks,
      minutes: sum.minutes + Math.max(0, minutes - (each.counted?.less ?? 0)),
      at: Math.max(sum.at, each.to),
    })
  }
  return [...sums.values()].flatMap(({ of, rate, amount, minutes, at }) => {
    const sample = sampleOf({ id: place === '' ? of : `${place}/${of}`, job, at }, rate, amount, minutes)
    return sample ? [sample] : []
  })
}

/** A rate as the crew's own logs show it. */
export interface LearnedRate {
  readonly rate: LearnedKey
  /** The weighted median, and between what the middle half lies. */
  readonly median: number
  readonly low: number
  readonly high: number
  readonly jobs: number
  readonly samples: readonly (Sample & { readonly out: 'hand' | 'outlier' | null; readonly weight: number })[]
}

/** A sample counts half after a year. A guess of ours, no source. */
const HALF_LIFE_MS = 365 * 86_400_000
/** From here on a modified z-score is an outlier's (Iglewicz and Hoaglin 1993, from memory). */
const OUTLIER = 3.5
const TO_Z = 0.6745
/** Of fewer than this none is an outlier: nobody can say which. */
const LEAST_FOR_OUTLIERS = 4

function weighted(values: readonly { value: number; weight: number }[], part: number): number {
  const sorted = [...values].sort((a, b) => a.value - b.value)
  const all = sorted.reduce((sum, { weight }) => sum + weight, 0)
  let reached = 0
  for (const [i, { value, weight }] of sorted.entries()) {
    reached += weight
    // right between two: their middle, as of any median
    if (Math.abs(reached - all * part) < 1e-12 * all) return (value + (sorted[i + 1]?.value ?? value)) / 2
    if (reached > all * part) return value
  }
  return sorted.at(-1)?.value ?? 0
}

function plainMedian(values: readonly number[]): number {
  return weighted(
    values.map((value) => ({ value, weight: 1 })),
    0.5,
  )
}

/**
 * Rates from samples of many jobs: the median, by how old each is; what is far off is shown and does not count, nor what was left out by hand
 * (`out`: a rate's name and a sample's id). A rate nothing speaks of is left out.
 */
export function learnRates(
  samples: readonly Sample[],
  now: number,
  out: ReadonlySet<string> = new Set(),
): LearnedRate[] {
  const byRate = new Map<LearnedKey, Sample[]>()
  for (const sample of samples) {
    const known = byRate.get(sample.rate)
    if (known) known.push(sample)
    else byRate.set(sample.rate, [sample])
  }
  return LEARNED.flatMap((rate): LearnedRate[] => {
    const own = byRate.get(rate)
    if (!own) return []
    const byHand = (sample: Sample) => out.has(`${rate} ${sample.job} ${sample.id}`)
    const values = own.filter((sample) => !byHand(sample)).map(({ value }) => value)
    const middle = plainMedian(values)
    const spread = plainMedian(values.map((value) => Math.abs(value - middle)))
    // where more than half are alike what differs by a half or more is far off
    const unit = spread > 0 ? spread / TO_Z : middle * 0.15
    const isOutlier = ({ value }: Sample) =>
      values.length >= LEAST_FOR_OUTLIERS && unit > 0 && Math.abs(value - middle) / unit > OUTLIER
    const told = own
      .map((sample) => ({
        ...sample,
        out: byHand(sample) ? ('hand' as const) : isOutlier(sample) ? ('outlier' as const) : null,
        weight: 0.5 ** (Math.max(0, now - sample.at) / HALF_LIFE_MS),
      }))
      .sort((a, b) => b.at - a.at)
    const used = told.filter((sample) => sample.out === null)
    if (used.length === 0) return []
    return [
      {
        rate,
        median: weighted(used, 0.5),
        low: weighted(used, 0.25),
        high: weighted(used, 0.75),
        jobs: new Set(used.map(({ job }) => job)).size,
        samples: told,
      },
    ]
  })
}

type Applied = 'brush' | 'roller' | 'sprayer'

/** A rate's place among all: its own name, or of three ways of painting one. */
export function rateIn(rates: WorkRates, key: LearnedKey): number {
  const [name = '', way] = key.split('.')
  const rate = rates[name as keyof WorkRates]
  return typeof rate === 'number' ? rate : rate[way as Applied]
}

/** Where a rate in force comes from. */
export type RateFrom = 'own' | 'log' | 'usual'

export function rateFrom(
  rates: WorkRates,
  key: LearnedKey,
  learned: readonly Pick<LearnedRate, 'rate'>[],
): RateFrom {
  if (rateIn(rates, key) !== rateIn(USUAL_RATES, key)) return 'own'
  return learned.some(({ rate }) => rate === key) ? 'log' : 'usual'
}

/** Work with the rates the crew's logs show, wherever none was typed. */
export function workWithLearned(work: Work, learned: readonly Pick<LearnedRate, 'rate' | 'median'>[]): Work {
  const { rates } = work
  const found = learned.filter(({ rate }) => rateFrom(rates, rate, learned) === 'log')
  if (found.length === 0) return work
  const next: WorkRates = { ...rates, coatBoard: { ...rates.coatBoard }, wallFeet: { ...rates.wallFeet } }
  for (const { rate, median } of found) {
    const [name = '', way] = rate.split('.')
    const value = Math.round(median * 100) / 100
    if (name === 'coatBoard' || name === 'wallFeet') next[name][way as Applied] = value
    else Object.assign(next, { [name]: value })
  }
  return { ...work, rates: next }
}
