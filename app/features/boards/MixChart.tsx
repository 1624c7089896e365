import { Chart, Legend, LinearScale, PointElement, ScatterController, Tooltip } from 'chart.js'
import { Scatter } from 'react-chartjs-2'
import { useInks } from '~/ui/useInks'

Chart.register(ScatterController, LinearScale, PointElement, Tooltip, Legend)

export interface MixPoint {
  readonly name: string
  /** In whole money. */
  readonly cost: number
  /** In percent. */
  readonly waste: number
  readonly isBest: boolean
}

/** Cost against waste, a point each mix of lengths. */
export default function MixChart({
  points,
  label,
  axes,
}: {
  readonly points: readonly MixPoint[]
  readonly label: string
  readonly axes: readonly [string, string]
}) {
  const { ink, soft, line, good } = useInks()
  const [x, y] = axes
  const axis = (text: string) => ({
    title: { display: true, text, color: soft },
    ticks: { color: soft },
    grid: { color: line },
  })
  return (
    <Scatter
      role="img"
      aria-label={label}
      data={{
        datasets: [
          {
            data: points.map(({ cost, waste }) => ({ x: cost, y: waste })),
            pointRadius: points.map(({ isBest }) => (isBest ? 8 : 5)),
            pointStyle: points.map(({ isBest }) => (isBest ? 'rectRot' : 'circle')),
            backgroundColor: points.map(({ isBest }) => (isBest ? good : ink)),
          },
        ],
      }}
      options={{
        animation: false,
        maintainAspectRatio: false,
        scales: { x: axis(x), y: { ...axis(y), beginAtZero: true } },
        plugins: {
          legend: { display: false },
          tooltip: { callbacks: { label: ({ dataIndex }) => points[dataIndex]?.name ?? '' } },
        },
      }}
    />
  )
}
