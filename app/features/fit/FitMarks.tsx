import { boundsOf } from '~/core/geometry'
import { svgPoints, type Frame } from '~/drawing/view/frame'
import { SCREEN } from '~/drawing/view/palette'
import { useWallEditor } from '~/editor/WallEditor'
import type { Fit } from './useFit'

/** What is up is ticked on the drawing, what is in hand outlined, and where something truly is struck as a line. */
export function FitMarks({ fit, frame }: { readonly fit: Fit; readonly frame: Frame }) {
  const { plan } = useWallEditor()
  const { chalk, chalkWash, red } = SCREEN
  const good = 'var(--green)'
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
  const inHand = fit.stop ? byId.get(fit.stop.card.pieceId) : undefined
  const height = plan.layout.uprightHead
  return (
    <g pointerEvents="none">
      {inHand ? (
        <polygon
          data-in-hand={inHand.id}
          points={svgPoints(inHand.polygon, frame)}
          fill={chalkWash}
          fillOpacity={0.3}
          stroke={chalk}
          strokeWidth={3}
        />
      ) : null}
      {fit.stops.map((stop) => {
        const piece = fit.isOpen(stop) ? undefined : byId.get(stop.card.pieceId)
        if (!piece) return null
        const { left, right, bottom, top } = boundsOf(piece.polygon)
        const [x, y] = [frame.toX((left + right) / 2), frame.toY((bottom + top) / 2)]
        return (
          <g key={piece.id} data-up={piece.id}>
            <circle cx={x} cy={y} r={9} fill={SCREEN.paper} stroke={good} strokeWidth={2} />
            <path d={`M${x - 4} ${y}l3 3.5 5.5 -7`} fill="none" stroke={good} strokeWidth={2.5} />
          </g>
        )
      })}
      {fit.built
        .flatMap(({ row }) => row.standing)
        .map(({ id, at }) =>
          at && fit.off.has(id) ? (
            <g key={id} stroke={red} strokeWidth={2} strokeDasharray="6 4">
              <line
                x1={frame.toX(at.left)}
                x2={frame.toX(at.left)}
                y1={frame.toY(0)}
                y2={frame.toY(height)}
              />
              <line
                x1={frame.toX(at.right)}
                x2={frame.toX(at.right)}
                y1={frame.toY(0)}
                y2={frame.toY(height)}
              />
            </g>
          ) : null,
        )}
      {plan.pieces.map(({ id, stripId, face }) => {
        const by = fit.offUp.get(stripId)
        return by === undefined ? null : (
          <polygon
            key={id}
            data-truly={id}
            points={svgPoints(
              face.map(({ x, y }) => ({ x, y: y + by })),
              frame,
            )}
            fill="none"
            stroke={red}
            strokeWidth={2}
            strokeDasharray="6 4"
          />
        )
      })}
    </g>
  )
}
