import { useRef, useState } from 'react'
import { addMove, nextMoveId } from '~/core/edits/lineMoves'
import type { Point } from '~/core/geometry'
import { type Snap, snapHeading, snapPoint } from '~/core/patterns/lines/snap'
import type { Frame } from '~/drawing/view/frame'
import { tickOf } from '~/length'
import { degreesText, fieldCornerName, sideName, stripName } from '~/messages'
import type { Heading, MoveOf } from '~/model'
import { useMoves } from './useMoves'

/** A place is meant within so many pixels of it; a pull begins after so many. */
const REACH_PX = 16
const PULL_PX = 12

/** A line struck on the drawing: pressed where it starts, pulled to where it goes, until it hits. */
export function StrikeGrips({ frame }: { frame: Frame }) {
  const { workpiece, plan, wording, edit, lines } = useMoves()
  const svg = useRef<SVGRectElement>(null)
  const [from, setFrom] = useState<Snap | null>(null)
  const [to, setTo] = useState<Point | null>(null)
  const [near, setNear] = useState<Snap | null>(null)
  const { layout } = plan
  const { survey } = workpiece.wall
  const tick = tickOf(workpiece.settings.tape)
  const reach = REACH_PX / frame.scale
  const onWall = ({ clientX, clientY }: { clientX: number; clientY: number }): Point => {
    const box = svg.current?.getBoundingClientRect()
    if (!box) return { x: 0, y: 0 }
    return {
      x: ((clientX - box.left) / box.width) * survey.width,
      y: ((box.bottom - clientY) / box.height) * survey.height,
    }
  }
  const pulled =
    from && to && Math.hypot(to.x - from.at.x, to.y - from.at.y) * frame.scale > PULL_PX ? { from, to } : null
  const heading = pulled ? snapHeading(layout, pulled.from, pulled.to, reach, tick) : null
  const end = pulled && heading ? shownEnd(pulled.from, pulled.to, heading, layout) : null
  const strike = () => {
    if (from && heading) {
      const move: MoveOf<'strike'> = {
        id: nextMoveId(lines),
        on: true,
        material: null,
        kind: 'strike',
        from: from.point,
        heading,
        until: { kind: 'hit' },
        lies: 'center',
      }
      edit(addMove(workpiece, move), 'done')
    }
    setFrom(null)
    setTo(null)
  }
  const shown = from ?? near
  return (
    <g>
      <rect
        ref={svg}
        x={frame.toX(0)}
        y={frame.toY(survey.height)}
        width={survey.width * frame.scale}
        height={survey.height * frame.scale}
        fill="transparent"
        cursor="crosshair"
        data-strike
        style={{ touchAction: 'none' }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId)
          const at = onWall(event)
          setFrom(snapPoint(layout, at, reach, tick))
          setTo(at)
        }}
        onPointerMove={(event) => {
          const at = onWall(event)
          if (from) setTo(at)
          else setNear(snapPoint(layout, at, reach, tick))
        }}
        onPointerUp={strike}
        onPointerCancel={() => {
          setFrom(null)
          setTo(null)
        }}
        onPointerLeave={() => setNear(null)}
      />
      {shown ? (
        <g pointerEvents="none">
          <circle
            cx={frame.toX(shown.at.x)}
            cy={frame.toY(shown.at.y)}
            r={8}
            fill={shown.what === 'free' ? 'none' : 'var(--chalk)'}
            stroke="var(--chalk)"
            strokeWidth={2.5}
          />
          {end && heading ? (
            <line
              x1={frame.toX(shown.at.x)}
              y1={frame.toY(shown.at.y)}
              x2={frame.toX(end.x)}
              y2={frame.toY(end.y)}
              stroke="var(--chalk)"
              strokeWidth={3}
              strokeDasharray="8 5"
            />
          ) : null}
          <text
            x={frame.toX((end ?? shown.at).x) + 12}
            y={frame.toY((end ?? shown.at).y) - 12}
            fontSize={15}
            fontWeight={700}
            fill="var(--ink)"
            stroke="var(--paper)"
            strokeWidth={4}
            paintOrder="stroke"
          >
            {heading ? headingText(heading) : placeText(shown)}
          </text>
        </g>
      ) : null}
    </g>
  )

  function headingText(of: Heading): string {
    if (of.to === 'angle') return degreesText(of.deg)
    if (of.to === 'square') return `square to ${stripName(of.strip, wording).toLowerCase()}`
    return of.point.at === 'corner' ? `to the ${fieldCornerName(of.point.corner)}` : 'to that place'
  }

  function placeText({ point, what }: Snap): string {
    if (point.at === 'corner') return fieldCornerName(point.corner)
    if (point.at === 'side')
      return `${sideName(point.side)}${what === 'middle' ? ', middle' : what === 'mark' ? ', equal mark' : ''}`
    if (point.at === 'strip') return stripName(point.strip, wording)
    return point.at === 'crossing' ? 'crossing' : 'free place'
  }
}

/** Where the pull is drawn to: along the heading that was meant, as far as the pull goes. */
function shownEnd(from: Snap, to: Point, heading: Heading, layout: Parameters<typeof snapHeading>[0]): Point {
  const far = Math.hypot(to.x - from.at.x, to.y - from.at.y)
  if (heading.to === 'point') return snapPoint(layout, to, far, 1)?.at ?? to
  if (heading.to === 'square') return to
  const turn = (heading.deg * Math.PI) / 180
  return { x: from.at.x + far * Math.cos(turn), y: from.at.y + far * Math.sin(turn) }
}
