import { Suspense, useSyncExternalStore } from 'react'
import { styled } from 'styled-components'

const Frame = styled.div`
  position: relative;
  height: 240px;
`
const never = () => () => undefined

/** A chart with its place kept: drawn in the browser only, when its code is there. */
export function Charted({ children }: { children: React.ReactNode }) {
  const here = useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
  return <Frame>{here ? <Suspense fallback={null}>{children}</Suspense> : null}</Frame>
}
