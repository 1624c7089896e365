import { unevennesses } from '~/core/survey/flatness'
import { unitVector } from '~/core/geometry'
import type { Frame } from '~/drawing/view/frame'
import { useWallEditor } from '~/editor/WallEditor'
import { tickOf } from '~/length'
import { flatnessText, flatText, say } from '~/messages'
import { isFull, straightedgeAt, withStraightedge } from './FlatPanel'
import type { Picking } from './ThingsPanel'

/** Straightedges on the drawing: a press on the wall lays another there, a press on one takes it in hand. */
export function FlatGrips({ frame, picked, pick }: Picking & { frame: Frame }) {
  const { workpiece, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const { units, tape } = workpiece.settings
  const tick = tickOf(tape) * 8
  const lay = ({ clientX, clientY, currentTarget }: React.MouseEvent<SVGRectElement>) => {
    if (isFull(survey)) return
    const box = currentTarget.getBoundingClientRect()
    const onTick = (value: number) => Math.round(value / tick) * tick
    const x = onTick(((clientX - box.left) / box.width) * survey.width)
    const y = onTick(((box.bottom - clientY) / box.height) * survey.height)
    const next = straightedgeAt(survey, units, x, y)
    edit(withStraightedge(survey, next), 'done')
    pick(next.id)
  }
  return (
    <g>
      <rect
        x={frame.toX(0)}
        y={frame.toY(survey.height)}
        width={survey.width * frame.scale}
        height={survey.height * frame.scale}
        fill="transparent"
        cursor="crosshair"
        data-lay-straightedge
        onClick={lay}
      >
        <title>{flatText.press}</title>
      </rect>
      {unevennesses(survey.flatness).map(({ reading, directionDeg, along }) => {
        const u = unitVector(directionDeg)
        const end = (by: number) => ({
          x: frame.toX(reading.x + (u.x * by * along) / 2),
          y: frame.toY(reading.y + (u.y * by * along) / 2),
        })
        const [from, to] = [end(-1), end(1)]
        const isPicked = reading.id === picked
        return (
          <g
            key={reading.id}
            role="button"
            tabIndex={0}
            aria-pressed={isPicked}
            aria-label={flatnessText(reading, wording)}
            data-straightedge={reading.id}
            cursor="pointer"
            onClick={() => pick(reading.id)}
            onKeyDown={({ key }) => {
              if (key === 'Enter' || key === ' ') pick(reading.id)
            }}
          >
            <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="transparent" strokeWidth={44} />
            <line
              x1={from.x}
              y1={from.y}
              x2={to.x}
              y2={to.y}
              stroke={isPicked ? 'var(--chalk)' : 'var(--ink)'}
              strokeWidth={isPicked ? 6 : 3}
              strokeLinecap="round"
            />
            <text
              x={to.x + u.x * 8 + 4}
              y={to.y - u.y * 8 - 4}
              textAnchor="middle"
              fontSize={15}
              fontWeight={700}
              fill="var(--ink)"
              stroke="var(--paper)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              {say(reading.gap, wording)}
            </text>
          </g>
        )
      })}
    </g>
  )
}
