import type { Lines } from '~/model'
import type { OwnMeets, Strip } from '../../strips/strip'

const OWN: Readonly<Record<Lines['crossings'][number]['through'], OwnMeets>> = {
  a: 'through',
  b: 'lands',
  miter: 'miter',
  aOver: 'over',
  bOver: 'under',
}

/** The strips with what was said of their crossings: by the id of a strip, or of a move, which is all it struck. */
export function withCrossings(strips: readonly Strip[], said: Lines['crossings']): readonly Strip[] {
  if (said.length === 0) return strips
  return strips.map((strip) => {
    const own = said.filter(({ a }) => a === strip.id || a === strip.group)
    if (own.length === 0) return strip
    return { ...strip, crosses: Object.fromEntries(own.map(({ b, through }) => [b, OWN[through]])) }
  })
}
