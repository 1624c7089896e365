import { useMemo, useState } from 'react'
import { Input, Label, NumberField } from 'react-aria-components'
import { styled } from 'styled-components'
import type { Wish } from '~/core/yard/yardState'
import { inches, type Length, nanometers } from '~/length'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { boardsText, materialName, sayStock, sparePriceText } from '~/messages'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { NumberBox } from '~/ui/NumberBox'
import { CommitLength } from '~/ui/CommitLength'
import { Sheet } from '~/ui/page'
import { space, touch, type } from '~/ui/theme'
import { findPrices } from '~/workers/boardsClient'
import type { JobBoards } from './useJobBoards'

const Count = styled(NumberField)`
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: ${space.m};
  & label {
    font-size: ${type.small};
    font-weight: 600;
    color: var(--ink-soft);
  }
  & input {
    width: 72px;
    min-height: 44px;
    padding: 4px 10px;
    border: 1px solid var(--edge);
    border-radius: 6px;
    background: var(--raised);
    color: var(--ink);
    text-align: right;
    ${touch} {
      min-height: 48px;
    }
  }
`

/** Usual parts to buy more than is needed. Common practice, no source. */
const PERCENTS = [0, 5, 10] as const

/** How much is bought to spare: a part of the pieces, or so many of each; every choice with what it costs. */
function SparePart({ job, set }: { readonly job: JobBoards; readonly set: (next: Partial<Wish>) => void }) {
  const { wanted, asked, settings, boards } = job
  const { wish } = wanted
  const { sparePercent } = wish
  const isOwn = sparePercent !== null && !PERCENTS.some((each) => each === sparePercent)
  const [own, setOwn] = useState(isOwn)
  const ways = useMemo(
    () =>
      [...PERCENTS, ...(isOwn ? [sparePercent] : []), null].map((percent) =>
        asked({ ...wanted, wish: { ...wish, sparePercent: percent } }),
      ),
    [asked, wanted, wish, isOwn, sparePercent],
  )
  const { answer, searching } = useWorkerAnswer(ways, findPrices, boards.looked || !boards.searching, 30_000)
  const priceText = (index: number) => {
    const [none, price] = [answer?.[0], answer?.at(index)]
    if (searching || !none || !price) return ''
    return sparePriceText(price, none, settings.currency)
  }
  const pieces = (index: number) =>
    ways
      .at(index)
      ?.reduce((sum, each) => sum + each.pieces.filter(({ id }) => id.startsWith('spare/')).length, 0) ?? 0
  const now = sparePercent === null ? 'pieces' : own || isOwn ? 'own' : String(sparePercent)
  return (
    <>
      <Choice<string>
        label={boardsText.spare}
        value={now}
        options={[
          ...PERCENTS.map((percent, i) => ({
            id: String(percent),
            text: `${boardsText.sparePercent(percent, pieces(i))}${priceText(i)}`,
          })),
          { id: 'own', text: `${boardsText.spareOwn}${isOwn ? priceText(PERCENTS.length) : ''}` },
          { id: 'pieces', text: `${boardsText.sparePieces}${priceText(-1)}` },
        ]}
        onChange={(id) => {
          setOwn(id === 'own')
          if (id === 'pieces') set({ sparePercent: null })
          else if (id !== 'own') set({ sparePercent: Number(id) })
          else if (sparePercent === null) set({ sparePercent: 5 })
        }}
      />
      {now === 'own' ? (
        <NumberBox
          label={boardsText.ownPercent}
          value={sparePercent}
          most={100}
          onDone={(percent) => set({ sparePercent: percent ?? 0 })}
        />
      ) : null}
    </>
  )
}

/** How the boards of a job are wished: what goes in the car, spares, from which length on offcuts are kept. */
export function WishPart({ jobId, job }: { readonly jobId: string; readonly job: JobBoards }) {
  const { wording, settings, yard, wanted, boards } = job
  const { wish } = wanted
  const used = boards.materials.map(({ request }) => request.materialId)
  const set = (next: Partial<Wish>) => yard.record({ kind: 'wished', job: jobId, ...wish, ...next })
  const lengths = [
    ...new Set([
      ...settings.shop.offers.filter(({ material }) => used.includes(material)).map(({ length }) => length),
      ...(wish.longest === null ? [] : [wish.longest]),
    ]),
  ].sort((a, b) => a - b)
  return (
    <Sheet aria-label={boardsText.wishes}>
      <h2>{boardsText.wishes}</h2>
      <Choice<string>
        label={boardsText.longest}
        value={String(wish.longest ?? 'any')}
        options={[
          { id: 'any', text: boardsText.anyLength },
          ...lengths.map((length) => ({ id: String(length), text: sayStock(length, wording) })),
        ]}
        onChange={(id) => set({ longest: id === 'any' ? null : nanometers(Number(id)) })}
      />
      <SparePart job={job} set={set} />
      {(wish.sparePercent === null ? used : []).map((material) => (
        <Count
          key={material}
          value={wish.spares[material] ?? 0}
          minValue={0}
          maxValue={50}
          onChange={(n) => set({ spares: { ...wish.spares, [material]: Number.isNaN(n) ? 0 : n } })}
        >
          <Label>
            <Fractions text={boardsText.spares(materialName(material, wording))} />
          </Label>
          <Input />
        </Count>
      ))}
      <CommitLength
        label={boardsText.rackFrom}
        value={wish.rackFrom}
        format={wording.format}
        least={inches(1)}
        onDone={(rackFrom: Length) => set({ rackFrom })}
      />
    </Sheet>
  )
}
