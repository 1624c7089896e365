import { styled } from 'styled-components'

/** As high as a digit, set as close as digits stand, clear at 12 px: small figures either side of a slash. */
const Fraction = styled.span`
  white-space: nowrap;
  margin-left: 0.07em;
  & > span {
    font-size: 0.68em;
    line-height: 0;
    font-weight: 650;
    letter-spacing: -0.02em;
  }
  & > span:first-child {
    vertical-align: 0.33em;
  }
  & > i {
    font-style: normal;
    font-size: 0.92em;
    line-height: 0;
    margin: 0 -0.06em;
  }
`

/** Text with its fractions set as fractions: "28 5/8" reads 28 ⅝. The words stay whole for a screen reader. */
export function Fractions({ text }: { text: string }) {
  const parts = text.split(/(\d+\/\d+)/)
  return (
    <span>
      {parts.map((part, i) => {
        if (i % 2 === 0) return part.replace(/(\d) $/, '$1\u200a')
        const [top, bottom] = part.split('/')
        return (
          <Fraction key={i} data-fraction>
            <span>{top}</span>
            <i>/</i>
            <span>{bottom}</span>
          </Fraction>
        )
      })}
    </span>
  )
}
