import { useMemo } from 'react'
import { kitOf } from '~/core/marks/kit'
import { blockKit } from '~/core/stock/blockKit'
import { useWallEditor } from '~/editor/WallEditor'
import { blockPlaceText, blockWithoutText, capital, jointText, kitText, say } from '~/messages'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'

/** Every block this wall wants, put on the offcuts of the boards: cut first, labeled, at no cost. */
export function BlockKitFold() {
  const { plan, workpiece, wording, boards } = useWallEditor()
  const { tape, shop } = workpiece.settings
  const wanted = useMemo(() => kitOf(plan.layout, plan.pieces, tape), [plan, tape])
  const kit = useMemo(
    () =>
      blockKit(
        wanted,
        boards.materials.flatMap(({ result }) => (result.ok ? [result.value] : [])),
        shop.kerf,
      ),
    [wanted, boards, shop.kerf],
  )
  const names = new Map(wanted.map((each) => [each.id, capital(kitText(each, wording))]))
  return (
    <Fold title={jointText.kit} aside={String(wanted.length)}>
      {wanted.length === 0 ? <Soft>{jointText.kitNone}</Soft> : null}
      <ul aria-label={jointText.kit}>
        {kit.placed.map((block) => (
          <li key={block.id} data-kit={block.id}>
            <b>
              <Fractions text={say(block.length, wording)} />
            </b>{' '}
            {names.get(block.id)}: <Fractions text={blockPlaceText(block, wording)} />
          </li>
        ))}
        {kit.without.map((block) => (
          <li key={block.id} data-kit-without={block.id}>
            {names.get(block.id)} <Fractions text={blockWithoutText(block.length, wording)} />
          </li>
        ))}
      </ul>
    </Fold>
  )
}
