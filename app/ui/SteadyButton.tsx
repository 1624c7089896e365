import type { ComponentProps } from 'react'
import { Button } from './Button'
import { useSteadyPress } from './steadyPress'

/** A button for what happens at the wall and in the yard: a second tap does nothing, nor one that was meant for what stood there before. */
export function SteadyButton({ onPress, ...button }: ComponentProps<typeof Button>) {
  const { ref, press } = useSteadyPress(onPress)
  return <Button {...button} data-steady ref={ref} onPress={press} />
}
