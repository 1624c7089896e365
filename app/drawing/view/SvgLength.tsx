import { useContext } from 'react'
import { FileType, type SetType } from './fileType'

/** How small the figures of a fraction are, and how far the upper one is raised, both by the size of its type. */
const SMALL = '0.7em'
const RAISED = 0.32

/** A length as SVG text with its fractions set as fractions, as high as a digit. */
export function SvgLength({ text, ...rest }: { text: string } & SetType) {
  const set = useContext(FileType)
  if (set) return set(text, rest)
  const parts = text.split(/(\d+\/\d+)/)
  return (
    <text {...rest}>
      {parts.map((part, i) => {
        // the whole number and its fraction stand a hair apart, and stay two words
        if (i % 2 === 0)
          return /\d $/.test(part) ? (
            <tspan key={i}>
              {part.slice(0, -1)}
              <tspan fontSize="0.4em" style={{ whiteSpace: 'pre' }}>
                {' '}
              </tspan>
            </tspan>
          ) : (
            part
          )
        const [top, bottom] = part.split('/')
        return (
          <tspan key={i} data-fraction>
            <tspan fontSize={SMALL} dx="0.16em" dy={`-${RAISED}em`} fontWeight={700}>
              {top}
            </tspan>
            {/* the shift is counted in this figure's own size */}
            <tspan dy={`${RAISED * 0.7}em`} dx="-0.05em">
              /
            </tspan>
            <tspan fontSize={SMALL} dx="-0.07em" fontWeight={700}>
              {bottom}
            </tspan>
          </tspan>
        )
      })}
    </text>
  )
}
