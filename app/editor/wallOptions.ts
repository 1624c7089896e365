import { useEffect, useMemo, useState } from 'react'
import { useRevalidator } from 'react-router'
import { useStore } from 'zustand'
import { changedOptions, type OptionChange, type WallOption, type WallOptions } from '~/model'
import { askAnew } from './askedAnew'
import type { Saver, SaverState } from './saving/saver'
import { browserShelf, unsentOfDocument } from './saving/unsent'

/** What of a page's wall goes by its options. */
interface WithOptions {
  readonly option: { readonly id: string; readonly name: string; readonly chosen: boolean }
  readonly options: readonly WallOption[]
  readonly wallPath: string
  readonly path: string
}

function optionsHeld({ held }: SaverState) {
  return held.find(({ kind }) => kind === 'options')
}

/** The wall with its options as they are called and chosen by now, whether that has reached the server or not. */
export function useNamedOptions<Of extends WithOptions>(given: Of, saver: Saver): Of {
  const named = useStore(saver.store, (state) => optionsHeld(state)?.body) as WallOptions | undefined
  const stored = useStore(saver.store, (state) => optionsHeld(state)?.saved) as WallOptions | null | undefined
  return useMemo(
    () => (named ? withNames(given, named, stored?.chosen ?? null) : given),
    [given, named, stored],
  )
}

/** `stored` is chosen as far as the server knows: until it knows of a choice, its stages show the figures of the one before. */
function withNames<Of extends WithOptions>(
  given: Of,
  { chosen, list }: WallOptions,
  stored: string | null,
): Of {
  const options = given.options.map((option) => {
    const named = list.find(({ id }) => id === option.id)
    const isChosen = option.id === chosen
    return named
      ? { ...option, name: named.name, archived: named.archived, chosen: isChosen }
      : { ...option, chosen: isChosen }
  })
  const { id } = given.option
  const isChosen = id === (stored ?? chosen)
  const name = options.find((option) => option.id === id)?.name ?? given.option.name
  return {
    ...given,
    options,
    option: { id, name, chosen: isChosen },
    path: isChosen ? given.wallPath : `${given.wallPath}/options/${id}`,
  }
}

/** A choice that the server does not know yet. */
export interface UnsavedChoice {
  readonly name: string
  /** The page that sends it, where it was made on another one; this page sends its own. */
  readonly path: string | null
}

/**
 * The option that was chosen on this device, on this page or another one, and is not saved yet: until it is, marks and cuts are those of the
 * option before. Null where none is.
 */
export function useUnsavedChoice(
  { options, wallPath }: Pick<WithOptions, 'options' | 'wallPath'>,
  saver: Saver,
): UnsavedChoice | null {
  const document = useStore(saver.store, optionsHeld)
  const [elsewhere, setElsewhere] = useState<ReturnType<typeof unsentOfDocument>>(null)
  const id = document?.id ?? ''
  useEffect(() => setElsewhere(unsentOfDocument(browserShelf(), id)), [id, document])
  const stored = (document?.saved as WallOptions | null | undefined)?.chosen ?? null
  const here = (document?.body as WallOptions | undefined)?.chosen ?? null
  if (stored === null) return null
  const nameOf = (chosen: string) => options.find((option) => option.id === chosen)?.name ?? ''
  if (here !== null && here !== stored) return { name: nameOf(here), path: null }
  const left = elsewhere?.body as WallOptions | undefined
  if (!elsewhere || !left || left.chosen === stored) return null
  const of = elsewhere.page.replace(/^wall\//, '')
  return {
    name: nameOf(left.chosen),
    path: of === stored ? `${wallPath}/agree` : `${wallPath}/options/${of}/agree`,
  }
}

/** Brings the page anew where the server has another option chosen than the page came with, or one the page has no design of; never while something is unsent. */
export function useFollowChoice(given: Pick<WithOptions, 'option' | 'options'>, saver: Saver): void {
  const { revalidate } = useRevalidator()
  const loaded = choiceOf(
    given.options.find(({ chosen }) => chosen)?.id ?? given.option.id,
    given.options.map(({ id }) => id),
  )
  const stored = useStore(saver.store, (state) => {
    const saved = optionsHeld(state)?.saved as WallOptions | null | undefined
    return state.status.kind === 'saved' && saved
      ? choiceOf(
          saved.chosen,
          saved.list.map(({ id }) => id),
        )
      : loaded
  })
  useEffect(() => {
    if (stored !== loaded) void askAnew(revalidate)
  }, [stored, loaded, revalidate])
}

const choiceOf = (chosen: string, ids: readonly string[]) => [chosen, ...ids].join(' ')

/** Changes one option as a whole: saved with the wall's page, undone there, kept while the server is away. */
export function changeOption(saver: Saver, optionId: string, change: OptionChange): void {
  const document = optionsHeld(saver.store.getState())
  const next = document && changedOptions(document.body as WallOptions, optionId, change)
  if (next) saver.put(new Map([[document.id, next]]), 0)
}
