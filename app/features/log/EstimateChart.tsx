import { BarController, BarElement, CategoryScale, Chart, Legend, LinearScale, Tooltip } from 'chart.js'
import { Bar } from 'react-chartjs-2'
import type { Compared } from '~/core/log/estimates'
import { durationText, logText, taskKindName } from '~/messages'
import { useInks } from '~/ui/useInks'

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip, Legend)

/** Estimated beside worked, by kind of work. */
export default function EstimateChart({ compared }: { readonly compared: readonly Compared[] }) {
  const { ink, soft, line, board, chalk } = useInks()
  const font = { family: 'Archivo Variable, sans-serif', size: 13 }
  return (
    <Bar
      role="img"
      aria-label={logText.estimateChart}
      data={{
        labels: compared.map(({ kind }) => taskKindName(kind)),
        datasets: [
          {
            label: logText.planned,
            data: compared.map(({ estimated }) => estimated),
            backgroundColor: board,
          },
          { label: logText.actual, data: compared.map(({ actual }) => actual), backgroundColor: chalk },
        ],
      }}
      options={{
        animation: false,
        indexAxis: 'y',
        maintainAspectRatio: false,
        scales: {
          x: {
            ticks: { color: soft, font, callback: (value) => durationText(Number(value)) },
            grid: { color: line },
          },
          y: { ticks: { color: ink, font }, grid: { display: false } },
        },
        plugins: {
          legend: { position: 'bottom', labels: { color: soft, font } },
          tooltip: {
            animation: false,
            callbacks: { label: ({ raw }) => durationText(Math.round(Number(raw))) },
          },
        },
      }}
    />
  )
}
