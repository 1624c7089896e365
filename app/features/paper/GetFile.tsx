import { Download, X } from 'lucide-react'
import { styled } from 'styled-components'
import { paperPageText, whyNot } from '~/messages'
import { Button } from '~/ui/Button'
import { space, type } from '~/ui/theme'
import type { Getting } from './useGetFile'

/** What is made and what came of it: one line that stays where it is. */
const Line = styled.p`
  min-height: 24px;
  font-size: ${type.small};
  color: var(--ink-soft);
  &[data-state='failed'] {
    color: var(--red);
    font-weight: 600;
  }
`
export const Buttons = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
`

export function GetState({ state }: { readonly state: Getting }) {
  return (
    <Line role="status" data-state={state.kind} data-testid="file-state">
      {state.kind === 'making'
        ? paperPageText.making(state.seconds)
        : state.kind === 'made'
          ? paperPageText.made(state.name)
          : state.kind === 'failed'
            ? state.text
            : ''}
    </Line>
  )
}

/** Has one file made; while something is made it is what gives that up. */
export function GetButton({
  name,
  href,
  file,
  main = false,
  off = false,
}: {
  readonly name: string
  readonly href: string
  readonly file: {
    readonly state: Getting
    readonly get: (href: string) => Promise<void>
    readonly cancel: () => void
  }
  readonly main?: boolean
  readonly off?: boolean
}) {
  return (
    <Button
      {...(main ? { $kind: 'main' as const } : {})}
      isDisabled={off || file.state.kind === 'making'}
      why={off ? whyNot.nothingHere : whyNot.making}
      onPress={() => void file.get(href)}
    >
      <Download size={18} aria-hidden /> {name}
    </Button>
  )
}

export function GiveUp({
  file,
}: {
  readonly file: { readonly state: Getting; readonly cancel: () => void }
}) {
  return (
    <Button isDisabled={file.state.kind !== 'making'} why={whyNot.notMaking} onPress={file.cancel}>
      <X size={18} aria-hidden /> {paperPageText.cancel}
    </Button>
  )
}
