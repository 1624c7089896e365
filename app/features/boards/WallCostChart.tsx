import { BarController, BarElement, CategoryScale, Chart, Legend, LinearScale, Tooltip } from 'chart.js'
import { Bar } from 'react-chartjs-2'
import { useInks } from '~/ui/useInks'

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip, Legend)

export interface WallCosts {
  readonly walls: readonly string[]
  /** One row a stuff: its name and what each wall's share costs, in whole money. */
  readonly stuff: readonly { readonly name: string; readonly costs: readonly number[] }[]
}

/** What the boards of each wall cost, by stuff. */
export default function WallCostChart({ walls, stuff, label }: WallCosts & { readonly label: string }) {
  const { soft, line, strip, board, chalk, below, good, ink } = useInks()
  const fills = [board, strip, chalk, below, good, ink]
  const axis = { ticks: { color: soft }, grid: { color: line } }
  return (
    <Bar
      role="img"
      aria-label={label}
      data={{
        labels: [...walls],
        datasets: stuff.map(({ name, costs }, i) => ({
          label: name,
          data: [...costs],
          backgroundColor: fills[i % fills.length] ?? strip,
        })),
      }}
      options={{
        animation: false,
        indexAxis: 'y',
        maintainAspectRatio: false,
        scales: { x: { ...axis, stacked: true }, y: { ...axis, stacked: true } },
        plugins: { legend: { labels: { color: soft } } },
      }}
    />
  )
}
