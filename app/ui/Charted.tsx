import { Suspense, useSyncExternalStore } from 'react'
import { styled } from 'styled-components'

const Frame = styled.div<{ $height: number }>`
  position: relative;
  height: ${({ $height }) => $height}px;
`
const never = () => () => undefined

/** A chart with its place kept: drawn in the browser only, when its code is there. */
export function Charted({
  height = 240,
  children,
}: {
  readonly height?: number
  readonly children: React.ReactNode
}) {
  const here = useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
  return <Frame $height={height}>{here ? <Suspense fallback={null}>{children}</Suspense> : null}</Frame>
}
