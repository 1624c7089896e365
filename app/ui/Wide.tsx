import { styled } from 'styled-components'

const Frame = styled.div`
  overflow-x: auto;
  & td input {
    min-width: 92px;
  }
`

/** What is wider than a phone scrolls by itself, by the keys too, and the page does not. */
export function Wide({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <Frame role="region" aria-label={label} tabIndex={0}>
      {children}
    </Frame>
  )
}
