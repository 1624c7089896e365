import { Briefcase, DoorOpen, RectangleHorizontal } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Autocomplete, Input, ListBox, ListBoxItem, SearchField } from 'react-aria-components'
import { styled } from 'styled-components'
import { findText } from '~/messages'
import { FieldName } from '~/ui/fields'
import { Soft } from '~/ui/page'
import { OverSheet } from '~/ui/Sheet'
import { space, type } from '~/ui/theme'

interface Found {
  readonly kind: 'job' | 'room' | 'wall'
  readonly id: string
  readonly name: string
  readonly within: readonly string[]
  readonly path: string
}

const Field = styled(SearchField)`
  display: grid;
  gap: ${space.xs};
`
const Box = styled(Input)`
  width: 100%;
  min-height: 48px;
  padding: ${space.xs} ${space.m};
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font-size: ${type.lead};
`
const List = styled(ListBox)`
  display: grid;
  outline: none;
`
const Item = styled(ListBoxItem)`
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr);
  align-items: center;
  gap: ${space.m};
  min-height: 48px;
  padding: ${space.xs} ${space.s};
  border-radius: 6px;
  color: var(--ink);
  text-decoration: none;
  cursor: pointer;
  outline: none;
  &[data-focused],
  &[data-hovered] {
    background: var(--chalk-wash);
  }
  &[data-focus-visible] {
    outline: 3px solid var(--chalk);
    outline-offset: -3px;
  }
  & small {
    display: block;
    font-size: ${type.small};
    color: var(--ink-soft);
  }
`
const ICONS = { job: Briefcase, room: DoorOpen, wall: RectangleHorizontal } as const
/** Asked once the typing rests. */
const PAUSE_MS = 120

/** What is found for these words; null while it is asked, or where the server is away. */
function useFound(words: string): { readonly found: readonly Found[] | null; readonly away: boolean } {
  const [state, setState] = useState<{ found: readonly Found[] | null; away: boolean }>({
    found: null,
    away: false,
  })
  useEffect(() => {
    const stop = new AbortController()
    const timer = setTimeout(() => {
      fetch(`/find?q=${encodeURIComponent(words)}`, { signal: stop.signal })
        .then(async (response) => {
          if (!response.ok) throw new Error(String(response.status))
          setState({ found: (await response.json()) as Found[], away: false })
        })
        .catch(() => {
          if (!stop.signal.aborted) setState({ found: null, away: true })
        })
    }, PAUSE_MS)
    return () => {
      clearTimeout(timer)
      stop.abort()
    }
  }, [words])
  return state
}

function Finder({ onClose }: { onClose: () => void }) {
  const [words, setWords] = useState('')
  const { found, away } = useFound(words)
  return (
    <Autocomplete inputValue={words} onInputChange={setWords}>
      <Field autoFocus>
        <FieldName>{findText.label}</FieldName>
        <Box maxLength={80} autoComplete="off" spellCheck={false} />
      </Field>
      <Soft role="status">
        {away ? findText.away : found === null ? '' : findText.count(found.length, words)}
      </Soft>
      <List aria-label={findText.results} onAction={onClose}>
        {(found ?? []).map(({ kind, id, name, within, path }) => {
          const Icon = ICONS[kind]
          return (
            <Item key={`${kind} ${id}`} id={`${kind} ${id}`} href={path} textValue={name}>
              <Icon size={20} aria-hidden />
              <span>
                {name}
                <small>{[findText.kind[kind], ...within].join(' · ')}</small>
              </span>
            </Item>
          )
        })}
      </List>
    </Autocomplete>
  )
}

/** Finds a job, a room or a wall by name, from any page. */
export function FindSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <OverSheet label={findText.label} open={open} onClose={onClose}>
      <Finder onClose={onClose} />
    </OverSheet>
  )
}
