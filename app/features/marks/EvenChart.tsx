import {
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js'
import { Line } from 'react-chartjs-2'
import type { Simulated } from '~/core/evenness/simulate'
import { evenText, fineSaid, markingWayName, type Wording } from '~/messages'
import { useInks } from '~/ui/useInks'

Chart.register(LineController, LineElement, PointElement, CategoryScale, LinearScale, Tooltip, Legend)

const DASHES = [[], [8, 4], [2, 4], [10, 3, 2, 3]] as const

/** How many of the simulated walls have a worst gap off by so much, one line for each way of marking. */
export default function EvenChart({
  simulated,
  wording,
}: {
  readonly simulated: Simulated
  readonly wording: Wording
}) {
  const { ink, soft, line, chalk, red } = useInks()
  const font = { family: 'Archivo Variable, sans-serif', size: 12 }
  const colors = [red, chalk, soft, ink]
  const { ways, bin } = simulated
  const labels = (ways[0]?.bins ?? []).map((_, i) => fineSaid((i + 0.5) * bin, wording))
  return (
    <Line
      role="img"
      aria-label={evenText.chart}
      data={{
        labels,
        datasets: ways.map(({ way, bins }, i) => ({
          label: markingWayName(way),
          data: [...bins],
          borderColor: colors[i] ?? ink,
          borderDash: [...(DASHES[i] ?? [])],
          borderWidth: 2.5,
          pointRadius: 0,
          tension: 0.35,
        })),
      }}
      options={{
        animation: false,
        maintainAspectRatio: false,
        scales: {
          x: {
            ticks: { color: soft, font, maxRotation: 0, maxTicksLimit: 6 },
            grid: { color: line },
            title: { display: true, text: evenText.worst, color: soft, font },
          },
          y: {
            ticks: { display: false },
            grid: { display: false },
            title: { display: true, text: evenText.walls, color: soft, font },
          },
        },
        plugins: {
          legend: { position: 'bottom', labels: { color: soft, font, boxWidth: 30, boxHeight: 1 } },
          tooltip: { animation: false },
        },
      }}
    />
  )
}
