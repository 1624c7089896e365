import { useMemo } from 'react'
import { reissued } from '~/core/asbuilt/reissued'
import { fitText, say } from '~/messages'
import type { Act } from '~/model'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { useWallEditor } from './WallEditor'

/** What changed when the list went out again: for the one at the saw. */
export function ChangedList({ acts }: { readonly acts: readonly Act[] }) {
  const { wording } = useWallEditor()
  const changed = useMemo(() => reissued(acts), [acts])
  if (changed.length === 0) return null
  return (
    <Fold title={fitText.listed} aside={String(changed.length)}>
      <p>{fitText.reissued(changed.length)}</p>
      <ul data-testid="reissued">
        {changed.map(({ name, before, now, wasCut }) => (
          <li key={name} data-reissued={name}>
            <Fractions
              text={`${
                now === null
                  ? fitText.gone(name)
                  : before === null
                    ? fitText.anew(name, say(now, wording))
                    : fitText.changed(
                        name === before.name ? name : `${name} (was ${before.name})`,
                        say(before.length, wording),
                        say(now, wording),
                      )
              }${wasCut ? fitText.wasCut : ''}`}
            />
          </li>
        ))}
      </ul>
    </Fold>
  )
}
