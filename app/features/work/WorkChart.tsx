import { BarController, BarElement, CategoryScale, Chart, Legend, LinearScale, Tooltip } from 'chart.js'
import { Bar } from 'react-chartjs-2'
import { dayShort, orderText, whenText } from '~/messages'
import { useInks } from '~/ui/useInks'
import type { ChartRow, Squeezed } from './squeeze'

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip, Legend)

interface Stretch {
  readonly x: [number, number]
  readonly y: string
  readonly of: readonly [number, number]
}

/** Names of days nearer than this, in pixels, run into each other. */
const APART = 84

/** Tasks over the days: when they are worked on, and what dries in between. Time in which nobody works is drawn together. */
export default function WorkChart({
  rows,
  squeezed,
  label,
}: {
  readonly rows: readonly ChartRow[]
  readonly squeezed: Squeezed
  readonly label: string
}) {
  const { ink, soft, line, board, chalk, red } = useInks()
  const { at, to, days } = squeezed
  const drawn = (of: readonly [number, number], y: string): Stretch => ({ x: [at(of[0]), at(of[1])], y, of })
  const atWork = (tight: boolean) =>
    rows.filter((row) => row.tight === tight).flatMap(({ name, work }) => work.map((of) => drawn(of, name)))
  const drying = rows.flatMap(({ name, dry }) => (dry ? [drawn(dry, name)] : []))
  const look = { grouped: false, barPercentage: 0.82, categoryPercentage: 0.9, minBarLength: 3 }
  const font = { family: 'Archivo Variable, sans-serif', size: 13 }
  /** The days whose names have room side by side on an axis of so many pixels. */
  const named = (pixels: number) => {
    const names = new Map<number, string>()
    let last = -Infinity
    for (const day of days)
      if (((day.at - last) / to) * pixels >= APART) {
        names.set(day.at, dayShort(day.minute))
        last = day.at
      }
    return names
  }
  return (
    <Bar
      role="img"
      aria-label={label}
      data={{
        labels: rows.map(({ name }) => name),
        datasets: [
          {
            label: orderText.drying,
            data: drying as never[],
            backgroundColor: board,
            ...look,
            barPercentage: 0.3,
          },
          { label: orderText.atWork, data: atWork(false) as never[], backgroundColor: chalk, ...look },
          { label: orderText.tightWork, data: atWork(true) as never[], backgroundColor: red, ...look },
        ],
      }}
      options={{
        animation: false,
        indexAxis: 'y',
        maintainAspectRatio: false,
        scales: {
          x: {
            position: 'top',
            min: 0,
            max: to,
            afterBuildTicks: (axis) => {
              axis.ticks = days.map((day) => ({ value: day.at }))
            },
            ticks: {
              color: soft,
              font,
              callback(value) {
                return named(this.width).get(Number(value)) ?? ''
              },
              maxRotation: 0,
              autoSkip: false,
              align: 'start',
            },
            grid: { color: line },
          },
          y: { ticks: { color: ink, autoSkip: false, font }, grid: { display: false } },
        },
        plugins: {
          legend: { position: 'bottom', labels: { color: soft, font, boxWidth: 22, boxHeight: 10 } },
          tooltip: {
            animation: false,
            callbacks: {
              label: ({ raw }) => {
                const [start, end] = (raw as Stretch).of
                return `${whenText(start)} – ${whenText(end)}`
              },
            },
          },
        },
      }}
    />
  )
}
