import { lazy, useMemo } from 'react'
import { styled } from 'styled-components'
import { spentOn } from '~/core/log/cost'
import { type DayLine, dayPages } from '~/core/log/dayPages'
import { estimateAndActual } from '~/core/log/estimates'
import type { LearnedRate } from '~/core/log/rates'
import { workedOnJob, workedOnWall } from '~/core/log/worked'
import { DayPages } from '~/editor/DayPages'
import { HistoryPart } from '~/editor/HistoryPart'
import { JobFrame } from '~/editor/work/JobFrame'
import { useWork, type WorkData } from '~/editor/work/useWork'
import { durationText, learnedName, logText, money, rateSaid, taskKindName } from '~/messages'
import type { Act, YardAct } from '~/model'
import { useMay } from '~/ui/rights'
import { Button } from '~/ui/Button'
import { Charted } from '~/ui/Charted'
import { Fold } from '~/ui/Fold'
import { PageMain, Row, Sheet, Soft } from '~/ui/page'
import { Table } from '~/ui/Table'
import { space, type } from '~/ui/theme'
import { Wide } from '~/ui/Wide'

const EstimateChart = lazy(() => import('./EstimateChart'))

const Sample = styled.li`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space.xs} ${space.m};
  font-size: ${type.small};
  &[data-out] {
    color: var(--ink-soft);
    text-decoration: line-through;
  }
  & button {
    text-decoration: none;
  }
`

export interface LogPageProps {
  readonly job: WorkData & { readonly acts: readonly YardAct[] }
  readonly wallActs: readonly { readonly wall: string; readonly acts: readonly Act[] }[]
  readonly rates: readonly LearnedRate[]
  readonly names: Readonly<Record<string, string>>
  readonly now: number
  /** When the page was made, by the server's clock. */
  readonly at: number
}

/** A job's log: its days as they wrote themselves, estimates beside what was worked, what it cost, and the crew's rates. */
export function LogPage({ job, wallActs, rates, names, now, at }: LogPageProps) {
  const may = useMay()
  const inHand = useWork(job, now)
  const { saver, places, plan, acts, settings, record } = inHand
  const worked = useMemo(
    () => [
      ...workedOnJob(acts).map((each) => ({ ...each, wall: null as string | null })),
      ...wallActs.flatMap(({ wall, acts: own }) => workedOnWall(own).map((each) => ({ ...each, wall }))),
    ],
    [acts, wallActs],
  )
  const pages = useMemo(() => {
    const west = new Date(at).getTimezoneOffset()
    return dayPages(
      [
        { place: '', acts, worked: worked.filter(({ wall }) => wall === null) },
        ...wallActs.map(({ wall, acts: own }) => ({
          place: places.walls.get(wall) ?? '',
          acts: own,
          worked: worked.filter((each) => each.wall === wall),
        })),
      ],
      at,
      (time) => Math.floor((time / 60_000 - west) / 1_440),
    )
  }, [acts, worked, wallActs, places, at])
  const compared = useMemo(() => estimateAndActual(plan?.tasks ?? [], worked, at), [plan, worked, at])
  const spent = useMemo(() => spentOn(job.acts, job.id, settings), [job, settings])
  const sum = spent.reduce((total, each) => total + each.sum, 0)
  const unpriced = spent.reduce((total, each) => total + each.unpriced, 0)
  const who = (member: string | null) =>
    member === null || member === job.member ? '' : (names[member] ?? '')
  const wallOf = (line: Extract<DayLine, { kind: 'noted' }>) =>
    wallActs.find(({ acts: own }) => own.some(({ id }) => id === line.id))?.wall
  return (
    <JobFrame job={job} here="log" saver={saver}>
      <PageMain>
        <h1>{logText.jobTitle}</h1>
        <Sheet>
          <h2>{logText.estimate}</h2>
          {plan === null || compared.length === 0 ? (
            <Soft role="status">
              {plan === null && worked.length > 0 ? logText.working : logText.estimateNone}
            </Soft>
          ) : (
            <>
              <Charted height={60 + compared.length * 46}>
                <EstimateChart compared={compared} />
              </Charted>
              <Wide label={logText.estimate}>
                <Table data-testid="estimates">
                  <thead>
                    <tr>
                      <th scope="col">{logText.kind}</th>
                      <th scope="col">{logText.planned}</th>
                      <th scope="col">{logText.actual}</th>
                    </tr>
                  </thead>
                  <tbody>
                    {compared.map(({ kind, estimated, actual }) => (
                      <tr key={kind} data-kind={kind}>
                        <th scope="row">{taskKindName(kind)}</th>
                        <td>{durationText(Math.round(estimated))}</td>
                        <td>{durationText(Math.round(actual))}</td>
                      </tr>
                    ))}
                  </tbody>
                </Table>
              </Wide>
            </>
          )}
        </Sheet>
        {may('prices') ? (
          <Sheet aria-label={logText.cost}>
            <h2>{logText.cost}</h2>
            <p data-testid="spent">
              {spent.length === 0 ? logText.costNone : logText.costLine(money(sum, settings.currency))}
              {unpriced > 0 ? ` ${logText.unpriced(unpriced)}` : ''}
            </p>
          </Sheet>
        ) : null}
        <RatesLearned rates={rates} jobId={job.id} record={record} state={acts} />
        <Sheet aria-label={logText.day}>
          <DayPages
            pages={pages}
            places={places}
            who={who}
            photoUrl={(line) =>
              line.photo ? `/jobs/${job.id}/walls/${wallOf(line) ?? ''}/log-photos?id=${line.photo}` : null
            }
            onStrike={null}
          />
          <HistoryPart
            url={`/jobs/${job.id}/history`}
            ofJob
            before={saver.flush}
            onRestored={() => void saver.check()}
          />
        </Sheet>
      </PageMain>
    </JobFrame>
  )
}

function RatesLearned({
  rates,
  jobId,
  record,
  state,
}: {
  readonly rates: readonly LearnedRate[]
  readonly jobId: string
  readonly record: ReturnType<typeof useWork>['record']
  readonly state: ReturnType<typeof useWork>['acts']
}) {
  /** What was left out or taken in since the page was opened. */
  const changed = new Map<string, boolean>()
  for (const act of state)
    if (act.kind === 'sampleOut' || act.kind === 'sampleIn')
      changed.set(`${act.rate} ${jobId} ${act.sample}`, act.kind === 'sampleOut')
  return (
    <Sheet aria-label={logText.rates}>
      <h2>{logText.rates}</h2>
      <Soft>{logText.ratesLead}</Soft>
      {rates.length === 0 ? <p>{logText.rateNone}</p> : null}
      {rates.map(({ rate, median, low, high, jobs, samples }) => (
        <div key={rate} data-rate={rate}>
          <p>
            <b>{learnedName(rate)}</b>:{' '}
            {logText.rateIs(rateSaid(median), rateSaid(low), rateSaid(high), jobs)}
          </p>
          <Fold title={logText.samples(samples.length)}>
            <ul>
              {samples.map(({ id, job, value, amount, minutes, out, at }) => {
                const own = job === jobId
                const isOut = own ? (changed.get(`${rate} ${job} ${id}`) ?? out === 'hand') : out === 'hand'
                return (
                  <Sample key={`${job} ${id}`} {...(isOut || out === 'outlier' ? { 'data-out': true } : {})}>
                    <span>
                      {rateSaid(value)} ({Math.round(amount)} / {durationText(Math.round(minutes))},{' '}
                      {new Date(at).toLocaleDateString('en-US')})
                    </span>
                    {out === 'outlier' ? <span>{logText.outlier}</span> : null}
                    {isOut ? <span>{logText.outHand}</span> : null}
                    {own ? (
                      <Button
                        $kind="quiet"
                        onPress={() => record({ kind: isOut ? 'sampleIn' : 'sampleOut', rate, sample: id })}
                      >
                        {isOut ? logText.takeIn : logText.leaveOut}
                      </Button>
                    ) : null}
                  </Sample>
                )
              })}
            </ul>
          </Fold>
          <Row />
        </div>
      ))}
    </Sheet>
  )
}
