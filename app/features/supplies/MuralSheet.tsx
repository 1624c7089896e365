import type { WallFacts } from '~/core/takeoff/wallFacts'
import { sayWithUnit, supplyText, type Wording } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { Sheet } from '~/ui/page'

/** The size a supplier of murals is told: the widest and the highest that was read, and what runs over on all sides. */
export function MuralSheet({ walls, w }: { readonly walls: readonly WallFacts[]; readonly w: Wording }) {
  const murals = walls.flatMap(({ wall, name, paper }) =>
    paper?.paper.kind === 'mural' ? [{ wall, name, paper }] : [],
  )
  if (murals.length === 0) return null
  return (
    <Sheet aria-label={supplyText.muralSheet}>
      <h2>{supplyText.muralSheet}</h2>
      <ul>
        {murals.map(({ wall, name, paper: { paper, width, height } }) => (
          <li key={wall} data-mural={wall}>
            <b>{name}</b>{' '}
            <Fractions
              text={supplyText.muralSize(
                sayWithUnit(Math.ceil(width + 2 * paper.over), w),
                sayWithUnit(Math.ceil(height + 2 * paper.over), w),
              )}
            />
          </li>
        ))}
      </ul>
    </Sheet>
  )
}
