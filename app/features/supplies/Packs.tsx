import type { Supply } from '~/core/takeoff/supplies'

/** More packs than this are told and not drawn. */
const MOST = 12
const WIDE = 11
const TALL = 22
const APART = 3

/** The packs to buy, as full as the walls use them: what stays in the last one is seen. */
export function Packs({ supply: { buy, amount } }: { readonly supply: Supply }) {
  const packs = buy.flatMap(({ size, count }) => Array.from({ length: count }, () => size))
  if (packs.length === 0 || packs.length > MOST) return null
  const largest = Math.max(...packs)
  const widths = packs.map((size) => Math.max(5, WIDE * Math.sqrt(size / largest)))
  const filled = packs.map((size, i) => {
    const before = packs.slice(0, i).reduce((sum, each) => sum + each, 0)
    return Math.max(0, Math.min(1, (amount - before) / size))
  })
  const at = (i: number) => widths.slice(0, i).reduce((sum, width) => sum + width + APART, 1)
  return (
    <svg width={at(packs.length)} height={TALL + 2} aria-hidden style={{ display: 'block' }}>
      {packs.map((size, i) => {
        const [x, width, part] = [at(i), widths[i] ?? WIDE, filled[i] ?? 0]
        return (
          // packs of one supply have no other name than their place
          <g key={`${size}-${x}`}>
            <rect x={x} y={1 + TALL * (1 - part)} width={width} height={TALL * part} fill="var(--rod-edge)" />
            <rect x={x} y={1} width={width} height={TALL} fill="none" stroke="var(--ink)" rx={1.5} />
          </g>
        )
      })}
    </svg>
  )
}
