import { named, railId, type StripName } from '~/core/strips/stripId'

const ALONE = ['bottomRail', 'ledger', 'topRail', 'cap', 'border', 'leftFiller', 'rightFiller'] as const
const COUNTED = ['gridRail', 'batten', 'slat', 'stile', 'box'] as const

/** Names of strips as walls of every pattern have them, by their ids: for tests of sentences that have no wall at hand. */
export const someStrips: ReadonlyMap<string, StripName> = new Map(
  [
    ...ALONE.map((kind) => named({ kind, number: null })),
    ...COUNTED.flatMap((kind) => Array.from({ length: 80 }, (_, i) => named({ kind, number: i + 1 }))),
    { id: railId('rail-1'), name: { kind: 'rail', number: 1 } as const },
    { id: railId('rail-2'), name: { kind: 'rail', number: 2 } as const },
    { id: railId('chairRail-1'), name: { kind: 'chairRail', number: null } as const },
    { id: railId('shelf-2'), name: { kind: 'shelf', number: 2 } as const },
  ].map(({ id, name }) => [id as string, name]),
)
