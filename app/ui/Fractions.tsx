import { styled } from 'styled-components'

/** As high as a digit, set as close as digits stand, clear at 12 px: small figures either side of a slash. */
const Fraction = styled.span`
  white-space: nowrap;
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

const Hair = styled.span`
  font-size: 0.55em;
  white-space: pre;
`

/** Text with its fractions set as fractions: "28 5/8" reads 28 ⅝. The words stay whole for a screen reader. */
export function Fractions({ text }: { text: string }) {
  const parts = text.split(/(\d+\/\d+)/)
  return (
    <span>
      {parts.map((part, i) => {
        // the whole number and its fraction stand a hair apart, and stay two words
        if (i % 2 === 0)
          return /\d $/.test(part) ? (
            <span key={i}>
              {part.slice(0, -1)}
              <Hair> </Hair>
            </span>
          ) : (
            part
          )
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
