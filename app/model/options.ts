import { z } from 'zod'
import { LIMITS } from './limits'
import { freeName } from './names'

/** One of a wall's designs. */
export interface WallOption {
  readonly id: string
  readonly name: string
  /** The one that marks, cuts and buys. */
  readonly chosen: boolean
  readonly archived: boolean
}

const optionId = () => z.string().min(1).max(64)

/** A wall's options by name, in their order, and which of them is chosen. The chosen one is never archived: who chooses it brings it back. */
export function wallOptionsSchema() {
  return z
    .strictObject({
      version: z.literal(1),
      chosen: optionId(),
      list: z
        .array(
          z.strictObject({
            id: optionId(),
            name: z.string().trim().min(1).max(LIMITS.name),
            archived: z.boolean(),
          }),
        )
        .min(1)
        .max(LIMITS.options),
    })
    .transform(({ version, chosen, list }) => ({
      version,
      chosen,
      list: list.map((each) => (each.id === chosen && each.archived ? { ...each, archived: false } : each)),
    }))
}
export type WallOptions = z.output<ReturnType<typeof wallOptionsSchema>>

/** What is done to an option as a whole. */
export type OptionChange =
  { readonly kind: 'rename'; readonly name: string } | { readonly kind: 'archive' | 'restore' | 'choose' }

/** The options after a change of one. Null where there is no such option, and where the chosen one is to be archived. */
export function changedOptions(options: WallOptions, id: string, change: OptionChange): WallOptions | null {
  if (!options.list.some((each) => each.id === id)) return null
  const withOne = (part: Partial<WallOptions['list'][number]>) =>
    options.list.map((each) => (each.id === id ? { ...each, ...part } : each))
  switch (change.kind) {
    case 'rename': {
      const taken = options.list.flatMap((each) => (each.id === id ? [] : [each.name]))
      return { ...options, list: withOne({ name: freeName(change.name, taken) }) }
    }
    case 'archive':
      return options.chosen === id ? null : { ...options, list: withOne({ archived: true }) }
    case 'restore':
      return { ...options, list: withOne({ archived: false }) }
    case 'choose':
      return { ...options, chosen: id, list: withOne({ archived: false }) }
  }
}

/** The options with one more at the end, under a name none of them has. */
export function withOption(options: WallOptions, id: string, wanted: string): WallOptions {
  const name = freeName(
    wanted,
    options.list.map((each) => each.name),
  )
  return { ...options, list: [...options.list, { id, name, archived: false }] }
}
