/** Regla's mark: a rule with its ticks. */
export function Logo({ size = 26 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 26 26" aria-hidden="true">
      <rect x="3" y="1" width="9" height="24" rx="1.5" fill="currentColor" />
      {[4, 8.5, 13, 17.5, 22].map((y, i) => (
        <rect key={y} x="13" y={y - 0.9} width={i % 2 ? 6 : 10} height="1.8" fill="var(--red)" />
      ))}
    </svg>
  )
}
