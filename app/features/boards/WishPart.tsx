import { Input, Label, NumberField } from 'react-aria-components'
import { styled } from 'styled-components'
import type { Wish } from '~/core/yard/yardState'
import { inches, type Length, nanometers } from '~/length'
import { boardsText, materialName, sayStock } from '~/messages'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { CommitLength } from '~/ui/CommitLength'
import { Sheet } from '~/ui/page'
import { space, touch, type } from '~/ui/theme'
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
      {used.map((material) => (
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
