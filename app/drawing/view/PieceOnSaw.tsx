import { faceFromCard, type PieceCard } from '~/core/pieces'

/** Room beside the two ends. */
const SIDE = 8
/** How much of a long piece is left out of its middle: the ends are drawn to one scale both ways. */
const BREAK = 26

/**
 * A piece as it lies on the saw, face up, its start to the left: both ends true, in one scale along and across, so that angles are what
 * they are; a long middle is broken out.
 */
export function PieceOnSaw({
  card,
  width,
  height,
  texts,
}: {
  card: PieceCard
  width: number
  height: number
  /** Written along the left edge, which lies up, and along the right one where it differs; what is beside its lengths last. */
  texts: { readonly left: string; readonly right: string | null }
}) {
  const inner = height - 46
  const scale = inner / card.faceWidth
  const half = (width - 2 * SIDE - BREAK) / 2
  const whole = card.longLength * scale <= 2 * half
  const face = faceFromCard(card)
  const y = (at: number) => 30 + inner - at * scale
  const atLeft = (x: number) =>
    SIDE + (whole ? (width - 2 * SIDE - card.longLength * scale) / 2 : 0) + x * scale
  const atRight = (x: number) => width - SIDE - (card.longLength - x) * scale
  const middle = width / 2
  const points = (place: (x: number) => number) =>
    face.map((at) => `${place(at.x).toFixed(1)},${y(at.y).toFixed(1)}`).join(' ')
  const shown = whole
    ? [{ id: 'all', place: atLeft, from: 0, to: width }]
    : [
        { id: 'start', place: atLeft, from: 0, to: middle - BREAK / 2 },
        { id: 'end', place: atRight, from: middle + BREAK / 2, to: width },
      ]
  // the two edges, each drawn with its own length
  const edge = (at: number): [number, number] => {
    const xs = face.filter((point) => Math.abs(point.y - at) < 1).map((point) => point.x)
    const [low, high] = xs.length > 1 ? [Math.min(...xs), Math.max(...xs)] : [0, card.longLength]
    return whole ? [atLeft(low), atLeft(high)] : [atLeft(low), atRight(high)]
  }
  const [from, to] = edge(card.faceWidth)
  const [lowFrom, lowTo] = edge(0)
  return (
    <svg
      width="100%"
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
      data-piece-drawing
    >
      {shown.map(({ id, place, from: left, to: right }) => (
        <svg
          key={id}
          x={left}
          y={0}
          width={Math.max(0, right - left)}
          height={height}
          viewBox={`${left} 0 ${Math.max(0, right - left)} ${height}`}
        >
          <polygon points={points(place)} fill="var(--board)" stroke="var(--rod-edge)" strokeWidth={1.5} />
          {card.laps.map((lap) => (
            <polygon
              key={lap.from}
              points={[
                [lap.from + lap.lean, 0],
                [lap.to + lap.lean, 0],
                [lap.to, card.faceWidth],
                [lap.from, card.faceWidth],
              ]
                .map(([x = 0, at = 0]) => `${place(x).toFixed(1)},${y(at).toFixed(1)}`)
                .join(' ')}
              fill={lap.outOf === 'face' ? 'var(--rod-edge)' : 'none'}
              fillOpacity={0.4}
              stroke="var(--rod-ink)"
              strokeDasharray={lap.outOf === 'face' ? 'none' : '4 3'}
            />
          ))}
          {[card.start, card.end].map((cut, i) =>
            'bevelDeg' in cut || cut.kind === 'cornerMiter' || cut.kind === 'cope' ? (
              <line
                key={i}
                x1={place(i === 0 ? 0 : card.longLength) + (i === 0 ? 7 : -7)}
                x2={place(i === 0 ? 0 : card.longLength) + (i === 0 ? 7 : -7)}
                y1={y(0)}
                y2={y(card.faceWidth)}
                stroke="var(--rod-ink)"
                strokeDasharray="4 3"
              />
            ) : null,
          )}
        </svg>
      ))}
      {whole ? null : (
        <path
          d={`M ${middle - BREAK / 2} ${y(card.faceWidth) - 6} l 5 ${inner / 3} l -9 ${inner / 3} l 5 ${inner / 3 + 12} M ${middle + BREAK / 2} ${y(card.faceWidth) - 6} l 5 ${inner / 3} l -9 ${inner / 3} l 5 ${inner / 3 + 12}`}
          fill="none"
          stroke="var(--ink-soft)"
        />
      )}
      <g stroke="var(--chalk)" strokeWidth={1.5}>
        <line x1={from} x2={to} y1={14} y2={14} />
        <line x1={from} x2={from} y1={8} y2={24} />
        <line x1={to} x2={to} y1={8} y2={24} />
      </g>
      <text
        x={width / 2}
        y={19}
        textAnchor="middle"
        fontSize={16}
        fontWeight={700}
        fill="var(--ink)"
        stroke="var(--paper)"
        strokeWidth={6}
        paintOrder="stroke"
      >
        {texts.left}
      </text>
      {texts.right ? (
        <g stroke="var(--chalk)" strokeWidth={1.5}>
          <line x1={lowFrom} x2={lowTo} y1={height - 7} y2={height - 7} />
          <line x1={lowFrom} x2={lowFrom} y1={height - 15} y2={height - 2} />
          <line x1={lowTo} x2={lowTo} y1={height - 15} y2={height - 2} />
        </g>
      ) : null}
      {texts.right ? (
        <text
          x={width / 2}
          y={height - 2}
          textAnchor="middle"
          fontSize={13}
          fill="var(--ink-soft)"
          stroke="var(--paper)"
          strokeWidth={5}
          paintOrder="stroke"
        >
          {texts.right}
        </text>
      ) : null}
    </svg>
  )
}
