import { Keyboard, Search } from 'lucide-react'
import { createContext, useContext } from 'react'
import { styled } from 'styled-components'
import { Button } from './Button'
import { narrow } from './theme'
import { Tip } from './Tip'

/** What can be opened from anywhere: the search by name, the sheet of keys. */
export type AnywhereSheet = 'find' | 'keys'

export const AnywhereContext = createContext<(sheet: AnywhereSheet) => void>(() => undefined)

const Tools = styled.span`
  display: inline-flex;
  /* a phone has no keys to tell of */
  ${narrow} {
    & > button[data-keys] {
      display: none;
    }
  }
`

/** Opens the search and the sheet of keys; in every page's head. */
export function AnywhereButtons() {
  const open = useContext(AnywhereContext)
  return (
    <Tools>
      <Tip text="Find a job, room or wall ( / )">
        <Button $kind="quiet" aria-label="Find a job, room or wall" onPress={() => open('find')}>
          <Search size={20} aria-hidden />
        </Button>
      </Tip>
      <Tip text="Keys ( ? )">
        <Button $kind="quiet" data-keys aria-label="Keys" onPress={() => open('keys')}>
          <Keyboard size={20} aria-hidden />
        </Button>
      </Tip>
    </Tools>
  )
}
