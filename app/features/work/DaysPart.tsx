import { styled } from 'styled-components'
import { orderText, weekdayName, weekdayShort } from '~/messages'
import { EVENINGS, LIMITS, type Work, type WorkWindow } from '~/model'
import { Button } from '~/ui/Button'
import { FieldName } from '~/ui/fields'
import { Row, Sheet, Soft } from '~/ui/page'
import { space, touch, type } from '~/ui/theme'
import { Toggle } from '~/ui/Toggle'
import { Check } from 'lucide-react'

const Grid = styled.div`
  display: grid;
  grid-template-columns: 44px 36px minmax(0, 1fr) minmax(0, 1fr);
  gap: ${space.xs} ${space.s};
  align-items: center;
  font-size: ${type.body};
`
const Box = styled.input`
  width: 100%;
  min-height: 44px;
  padding: 4px 6px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--raised);
  color: var(--ink);
  font: inherit;
  font-size: ${type.small};
  ${touch} {
    min-height: 48px;
  }
`
const Labeled = styled.label`
  display: grid;
  gap: ${space.xs};
`

const asTime = (minute: number) =>
  `${String(Math.floor(minute / 60) % 24).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
/** Midnight at the end of a day is written as the last minute before it. */
const fromTime = (text: string): number | null => {
  const [hour, minute] = text.split(':').map(Number)
  return hour === undefined || minute === undefined || Number.isNaN(hour + minute) ? null : hour * 60 + minute
}

const WEEKEND: readonly (WorkWindow | null)[] = [
  null,
  null,
  null,
  null,
  null,
  { from: 540, to: 1_020 },
  { from: 540, to: 1_020 },
]
const WHOLE: readonly (WorkWindow | null)[] = [
  ...Array.from({ length: 5 }, () => ({ from: 480, to: 1_020 })),
  null,
  null,
]
const USUAL_DAY: WorkWindow = { from: 540, to: 1_020 }

/** A day, by the browser's own picker; nothing while there is none. */
export function DayBox({
  label,
  value,
  onDone,
}: {
  readonly label: string
  readonly value: string | null
  readonly onDone: (day: string | null) => void
}) {
  return (
    <Labeled>
      <FieldName as="span">{label}</FieldName>
      <Box
        type="date"
        value={value ?? ''}
        onChange={({ target }) => onDone(target.value === '' ? null : target.value)}
      />
    </Labeled>
  )
}

/** When there is time: hours of each weekday, the first day, a wished end, days off, and from when no noise is made. */
export function DaysPart({
  work,
  change,
}: {
  readonly work: Work
  readonly change: (patch: Partial<Work>) => void
}) {
  const { days } = work
  const set = (patch: Partial<Work['days']>) => change({ days: { ...days, ...patch } })
  const setDay = (at: number, hours: WorkWindow | null) =>
    set({ week: days.week.map((each, i) => (i === at ? hours : each)) })
  const preset = (week: readonly (WorkWindow | null)[]) => set({ week: [...week] })
  return (
    <Sheet aria-label={orderText.days}>
      <h2>{orderText.days}</h2>
      <Row>
        <Soft as="span">{orderText.presets}</Soft>
        <Button onPress={() => preset(EVENINGS)}>{orderText.evenings}</Button>
        <Button onPress={() => preset(WEEKEND)}>{orderText.weekends}</Button>
        <Button onPress={() => preset(WHOLE)}>{orderText.wholeDays}</Button>
      </Row>
      <Grid>
        {days.week.map((hours, at) => {
          const day = weekdayName(at)
          return (
            <WeekDay
              key={day}
              day={day}
              short={weekdayShort(at)}
              hours={hours}
              onChange={(next) => setDay(at, next)}
            />
          )
        })}
      </Grid>
      <Row>
        <DayBox label={orderText.start} value={days.start} onDone={(start) => set({ start })} />
        <DayBox label={orderText.wished} value={days.wishedEnd} onDone={(wishedEnd) => set({ wishedEnd })} />
        <Labeled>
          <FieldName as="span">{orderText.quiet}</FieldName>
          <Box
            type="time"
            value={asTime(Math.min(1_439, days.quietFrom))}
            onChange={({ target }) => {
              const quietFrom = fromTime(target.value)
              if (quietFrom !== null) set({ quietFrom })
            }}
          />
        </Labeled>
      </Row>
      <Row>
        <DayBox
          label={orderText.addOff}
          value={null}
          onDone={(day) => {
            if (day !== null && !days.off.includes(day) && days.off.length < LIMITS.daysOff)
              set({ off: [...days.off, day].sort() })
          }}
        />
        {days.off.length === 0 ? <Soft>{orderText.noOff}</Soft> : null}
        {days.off.map((day) => (
          <Button
            key={day}
            aria-label={orderText.backOn(day)}
            onPress={() => set({ off: days.off.filter((each) => each !== day) })}
          >
            {day} ×
          </Button>
        ))}
      </Row>
    </Sheet>
  )
}

function WeekDay({
  day,
  short,
  hours,
  onChange,
}: {
  readonly day: string
  readonly short: string
  readonly hours: WorkWindow | null
  readonly onChange: (hours: WorkWindow | null) => void
}) {
  const time = (key: 'from' | 'to', label: string) =>
    hours ? (
      <Box
        type="time"
        aria-label={label}
        value={asTime(Math.min(1_439, hours[key]))}
        onChange={({ target }) => {
          const minute = fromTime(target.value)
          if (minute !== null) onChange({ ...hours, [key]: minute })
        }}
      />
    ) : (
      <span />
    )
  return (
    <>
      <Toggle
        aria-label={orderText.works(day)}
        isSelected={hours !== null}
        onChange={(is) => onChange(is ? USUAL_DAY : null)}
      >
        {hours ? <Check size={22} aria-hidden /> : null}
      </Toggle>
      <span aria-hidden>{short}</span>
      {time('from', orderText.from(day))}
      {time('to', orderText.to(day))}
    </>
  )
}
