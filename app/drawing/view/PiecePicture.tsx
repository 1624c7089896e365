import { faceFromCard, type PieceCard } from '~/core/pieces'

/** A piece lying on the saw, drawn from what its card says; its width is widened so that angles can be seen. */
export function PiecePicture({
  card,
  longest,
  width = 200,
}: {
  card: PieceCard
  longest: number
  width?: number
}) {
  const height = 18
  const face = faceFromCard(card)
  const scaleX = width / longest
  const scaleY = height / card.faceWidth
  const points = face
    .map(({ x, y }) => `${(x * scaleX + 1).toFixed(1)},${(height - y * scaleY + 1).toFixed(1)}`)
    .join(' ')
  const ends = [card.start, card.end].map((cut, i) =>
    cut.kind === 'scarf' ? (
      <line
        key={i}
        x1={(i === 0 ? 7 : card.longLength * scaleX - 5).toFixed(1)}
        x2={(i === 0 ? 7 : card.longLength * scaleX - 5).toFixed(1)}
        y1={1}
        y2={height + 1}
        stroke="var(--rod-ink)"
        strokeDasharray="3 2"
      />
    ) : null,
  )
  return (
    <svg width={width + 2} height={height + 2} viewBox={`0 0 ${width + 2} ${height + 2}`} aria-hidden="true">
      <polygon points={points} fill="var(--board)" stroke="var(--rod-edge)" />
      {ends}
      {card.laps.map(({ from, to, outOf }) => (
        <rect
          key={from}
          x={(from * scaleX + 1).toFixed(1)}
          y={1}
          width={((to - from) * scaleX).toFixed(1)}
          height={height}
          fill={outOf === 'face' ? 'var(--rod-edge)' : 'none'}
          fillOpacity={0.45}
          stroke="var(--rod-ink)"
          strokeWidth={0.75}
          strokeDasharray={outOf === 'face' ? 'none' : '3 2'}
        />
      ))}
    </svg>
  )
}
