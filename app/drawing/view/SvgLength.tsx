/** A length as SVG text with its fraction set as a fraction. */
export function SvgLength({ text, ...rest }: { text: string } & React.SVGProps<SVGTextElement>) {
  const parts = text.split(/(\d+\/\d+)/)
  return (
    <text {...rest}>
      {parts.map((part, i) =>
        i % 2 === 1 ? (
          <tspan key={i} style={{ fontFeatureSettings: "'frac' 1" }} fontSize="1.1em">
            {part}
          </tspan>
        ) : (
          part
        ),
      )}
    </text>
  )
}
