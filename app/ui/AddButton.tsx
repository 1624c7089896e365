import { fullText } from '~/messages'
import { type Counted, LIMITS } from '~/model'
import type { ComponentProps } from 'react'
import { Button } from './Button'
import { Soft } from './page'

/** Adds one of what there may be only so many of: when it is full it says so instead. */
export function AddButton({
  what,
  has,
  adds = 1,
  ...button
}: ComponentProps<typeof Button> & { what: Counted; has: number; adds?: number }) {
  const full = has + adds > LIMITS[what]
  return (
    <>
      <Button {...button} isDisabled={full || button.isDisabled === true} />
      {full ? <Soft>{fullText(what)}</Soft> : null}
    </>
  )
}
