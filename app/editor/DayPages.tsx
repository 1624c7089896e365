import { styled } from 'styled-components'
import type { DayLine, DayPage } from '~/core/log/dayPages'
import { DAY } from '~/core/sequence/dates'
import { dayLineText, clockText, dayLong, logText, type taskIdName } from '~/messages'
import { Button } from '~/ui/Button'
import { Row, Soft } from '~/ui/page'
import { space, type } from '~/ui/theme'

const Day = styled.section`
  display: grid;
  gap: ${space.s};
`
const Line = styled.li`
  display: grid;
  grid-template-columns: 5.2em minmax(0, 1fr) auto;
  gap: ${space.xs} ${space.m};
  align-items: baseline;
  padding: ${space.xs} 0;
  border-bottom: 1px solid var(--line);
  & img {
    max-width: 220px;
    border-radius: 6px;
  }
`
const When = styled.span`
  font-size: ${type.small};
  color: var(--ink-soft);
  font-variant-numeric: tabular-nums;
`
const Small = styled.span`
  font-size: ${type.small};
  color: var(--ink-soft);
`
const Bad = styled.p`
  color: var(--red);
  font-weight: 550;
`

/** The pages of the days as they write themselves, the newest first. */
export function DayPages({
  pages,
  places,
  who,
  photoUrl,
  onStrike,
}: {
  readonly pages: readonly DayPage[]
  readonly places: Parameters<typeof taskIdName>[1]
  readonly who: (member: string | null) => string
  readonly photoUrl: (line: Extract<DayLine, { kind: 'noted' }>) => string | null
  /** Strikes a line out; null where lines are only read. */
  readonly onStrike: ((id: string) => void) | null
}) {
  if (pages.length === 0) return <Soft>{logText.noDay}</Soft>
  return (
    <>
      {pages.map(({ day, lines }) => (
        <Day key={day} aria-label={dayLong(day * DAY)}>
          <h2>{dayLong(day * DAY)}</h2>
          <ul>
            {lines.map((line) => {
              const photo = line.kind === 'noted' ? photoUrl(line) : null
              const by = who(line.member)
              const canStrike = line.kind !== 'done' && !(line.kind === 'worked' && line.by === 'ticks')
              return (
                <Line key={`${line.kind} ${line.id}`} data-day-line={line.kind}>
                  <When>{clockText(line.at).replace(/^\w+,? /, '')}</When>
                  <div>
                    <span>{dayLineText(line, places)}</span>{' '}
                    <Small>
                      {[line.place, by === '' ? '' : logText.by(by)].filter((each) => each !== '').join(', ')}
                    </Small>
                    {line.kind === 'worked' && line.backwards ? <Bad>{logText.backwards}</Bad> : null}
                    {line.kind === 'worked' && line.running ? <Small>{logText.leftRunning}</Small> : null}
                    {photo && line.kind === 'noted' ? (
                      <img src={photo} alt={line.text || logText.photos} />
                    ) : null}
                  </div>
                  {onStrike && canStrike ? (
                    <Row>
                      <Button $kind="quiet" onPress={() => onStrike(line.id)}>
                        {logText.strike}
                      </Button>
                    </Row>
                  ) : (
                    <span />
                  )}
                </Line>
              )
            })}
          </ul>
        </Day>
      ))}
    </>
  )
}
