import { styled } from 'styled-components'

const Fraction = styled.span`
  font-feature-settings: 'frac' 1;
  font-variant-numeric: diagonal-fractions;
  font-size: 1.08em;
`

/** Text with its fractions set as fractions: "28 5/8" reads 28 ⅝. The words stay whole for a screen reader. */
export function Fractions({ text }: { text: string }) {
  const parts = text.split(/(\d+\/\d+)/)
  return (
    <span>
      {parts.map((part, i) =>
        i % 2 === 1 ? <Fraction key={i}>{part}</Fraction> : part.replace(/(\d) $/, '$1\u202f'),
      )}
    </span>
  )
}
