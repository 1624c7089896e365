import { useMemo, useState } from 'react'
import { tryOut } from '~/core/agree/tryOut'
import { nextLabel, rackOf, wishOf } from '~/core/yard/yardState'
import { useYard } from '~/editor/useYard'
import { useWallEditor } from '~/editor/WallEditor'
import { nearestNanometer } from '~/length'
import { agreeText, tryPieceText } from '~/messages'
import type { YardAct } from '~/model'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'

/** The fewest pieces to cut and tape up for a look; cut, they lie on the rack until the wall is fitted. */
export function TryFold({ yard: known }: { readonly yard: readonly YardAct[] }) {
  const { identity, plan, workpiece, wording } = useWallEditor()
  const yard = useYard(known)
  const rack = useMemo(() => rackOf(yard.acts), [yard.acts])
  const found = useMemo(() => tryOut(plan, rack), [plan, rack])
  const [kept, setKept] = useState<{ of: typeof plan; labels: readonly string[] } | null>(null)
  const pieces = kept?.of === plan ? [] : found
  const keep = () => {
    const labels: string[] = []
    const onRack = (material: string, length: number) => {
      const label = nextLabel(yard.current())
      yard.record({
        kind: 'racked',
        material,
        length: nearestNanometer(length),
        label,
        job: identity.job.id,
        of: null,
      })
      return label
    }
    for (const { materialId, length, offcut } of found) {
      if (offcut) yard.record({ kind: 'gone', offcut: offcut.id })
      labels.push(onRack(materialId, length))
      const left = offcut ? offcut.length - length - workpiece.settings.shop.kerf : 0
      if (left >= wishOf(yard.current(), identity.job.id).rackFrom) onRack(materialId, left)
    }
    setKept({ of: plan, labels })
  }
  if (kept?.of === plan) return <Soft role="status">{agreeText.tryKept(kept.labels)}</Soft>
  if (pieces.length === 0) return <Soft>{agreeText.tryNone}</Soft>
  return (
    <>
      <Soft>{agreeText.tryHelp}</Soft>
      <ol data-try={pieces.length}>
        {pieces.map((piece) => (
          <li key={piece.pieceId}>
            <Fractions text={tryPieceText(piece, wording)} />
          </li>
        ))}
      </ol>
      <ul>
        {agreeText.tryLook.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
      <Soft>{agreeText.trySafe}</Soft>
      <Row>
        <Button onPress={keep}>{agreeText.tryDone}</Button>
      </Row>
    </>
  )
}
