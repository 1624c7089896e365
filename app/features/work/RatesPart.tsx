import type { LearnedRate } from '~/core/log/rates'
import { logText, orderText, rateName, rateSaid, waitName } from '~/messages'
import { type LearnedKey, USUAL_RATES, USUAL_WAITS, WAITS, type Work, type WorkRates } from '~/model'
import { NumberBox } from '~/ui/NumberBox'
import { Fold } from '~/ui/Fold'
import { Soft } from '~/ui/page'

const PLAIN = [
  'markOne', 'cutOne', 'setUp', 'fitOne', 'sandBoard', 'fillOne', 'caulkFeet', 'skimFeet', 'removeFeet', 'dropOne', 'sheetOne', 'day',
] as const satisfies (keyof WorkRates)[] // prettier-ignore
const BY_TOOL = ['coatBoard', 'wallFeet'] as const

/** How long things take and dry: the crew's own figures, usual ones to begin with. */
export function RatesPart({
  work,
  learned,
  change,
}: {
  readonly work: Work
  /** What the crew's logs show: it takes the place of what is usual. */
  readonly learned: readonly Pick<LearnedRate, 'rate' | 'median' | 'jobs'>[]
  readonly change: (patch: Partial<Work>) => void
}) {
  const { rates, waits, paintWith } = work
  const setRate = (patch: Partial<WorkRates>) => change({ rates: { ...rates, ...patch } })
  const noted = (key: LearnedKey, usual: boolean) => {
    const found = usual ? learned.find(({ rate }) => rate === key) : undefined
    return found ? { note: `${rateSaid(found.median)} ${logText.fromLog(found.jobs)}` } : own(usual)
  }
  const own = (is: boolean) => (is ? {} : { note: orderText.ownRate })
  return (
    <>
      <Fold title={orderText.rates}>
        <Soft>{orderText.ratesNote}</Soft>
        {PLAIN.map((key) => (
          <NumberBox
            key={key}
            label={rateName(key)}
            value={rates[key]}
            {...noted(key as LearnedKey, rates[key] === USUAL_RATES[key])}
            most={key === 'day' ? 24 : 10_000}
            onDone={(value) => setRate({ [key]: value ?? 0 })}
          />
        ))}
        {BY_TOOL.map((key) => (
          <NumberBox
            key={key}
            label={`${rateName(key)}, ${paintWith}`}
            value={rates[key][paintWith]}
            {...noted(`${key}.${paintWith}`, rates[key][paintWith] === USUAL_RATES[key][paintWith])}
            most={key === 'coatBoard' ? 600 : 10_000}
            onDone={(value) => setRate({ [key]: { ...rates[key], [paintWith]: value ?? 0 } })}
          />
        ))}
      </Fold>
      <Fold title={orderText.waits}>
        <Soft>{orderText.waitsNote}</Soft>
        {WAITS.map((key) => (
          <NumberBox
            key={key}
            label={orderText.waitHours(waitName(key))}
            value={waits[key]}
            {...own(waits[key] === USUAL_WAITS[key])}
            most={2_000}
            onDone={(value) => change({ waits: { ...waits, [key]: value ?? 0 } })}
          />
        ))}
      </Fold>
    </>
  )
}
