import type { Survey, Thing, ThingKind } from '~/model'

/** What stands on the wall, in words. */
export function thingName(kind: ThingKind): string {
  return (
    {
      sideTrim: 'side trim',
      chairRail: 'chair rail',
      cutOff: 'missing part of the wall',
      chimneyBreast: 'chimney breast',
      panel: 'electrical panel',
    }[kind as string] ?? kind
  )
}

const PLACES = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']

/**
 * What the things of a wall are called, by their ids: the window; of two the left window and the right one, or the lower and the
 * upper where they stand over one another; of more the first outlet from the left, the second, and so on.
 */
export function thingNames(things: Survey['things']): Map<string, string> {
  const names = new Map<string, string>()
  const middle = ({ left, width }: Thing) => left + width / 2
  for (const kind of new Set(things.map((thing) => thing.kind))) {
    const alike = things
      .filter((thing) => thing.kind === kind)
      .sort((a, b) => middle(a) - middle(b) || a.bottom - b.bottom)
    const [first, second, ...more] = alike
    if (!first) continue
    if (!second) names.set(first.id, thingName(kind))
    else if (more.length > 0)
      alike.forEach(({ id }, i) =>
        names.set(
          id,
          PLACES[i] ? `${PLACES[i]} ${thingName(kind)} from the left` : `${thingName(kind)} ${i + 1}`,
        ),
      )
    else if (Math.abs(middle(first) - middle(second)) * 4 < first.width + second.width) {
      const [low, high] = first.bottom <= second.bottom ? [first, second] : [second, first]
      names.set(low.id, `lower ${thingName(kind)}`)
      names.set(high.id, `upper ${thingName(kind)}`)
    } else {
      names.set(first.id, `left ${thingName(kind)}`)
      names.set(second.id, `right ${thingName(kind)}`)
    }
  }
  return names
}

/** A thing as the wall's others let it be told; by its kind alone where the wall is not at hand. */
export function thingCalled(
  { things }: { readonly things?: ReadonlyMap<string, string> },
  thingId: string | undefined,
  kind: ThingKind,
): string {
  return (thingId === undefined ? undefined : things?.get(thingId)) ?? thingName(kind)
}
