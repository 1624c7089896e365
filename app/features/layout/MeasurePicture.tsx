import type { Measure } from '~/model'

/** Two strips and a dimension: from edge to edge for a gap, from center to center for a pitch. */
export function MeasurePicture({ measure }: { measure: Measure }) {
  const [from, to] = measure === 'gap' ? [56, 164] : [40, 180]
  return (
    <svg
      viewBox="0 0 220 74"
      width="220"
      role="img"
      aria-label={measure === 'gap' ? 'Measured from edge to next edge' : 'Measured from center to center'}
    >
      <rect x="24" y="4" width="32" height="48" fill="var(--strip)" stroke="var(--strip-edge)" />
      <rect x="164" y="4" width="32" height="48" fill="var(--strip)" stroke="var(--strip-edge)" />
      <path
        d={`M${from} 4V66M${to} 4V66M${from} 60H${to}`}
        stroke="var(--chalk)"
        strokeWidth="2"
        fill="none"
      />
      <path
        d={`M${from + 8} 56l-8 4 8 4M${to - 8} 56l8 4-8 4`}
        stroke="var(--chalk)"
        strokeWidth="2"
        fill="none"
      />
    </svg>
  )
}
