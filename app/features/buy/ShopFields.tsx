import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import { styled } from 'styled-components'
import { EditLength } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Length, millimeters, ZERO } from '~/length'
import { materialName, sayStock, whyNot } from '~/messages'
import { AddButton } from '~/ui/AddButton'
import { Button } from '~/ui/Button'
import { DegWord } from '~/ui/DegWord'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { PriceField } from '~/ui/PriceField'
import { Unseen } from '~/ui/page'
import { Sentence } from '~/ui/Sentence'
import { Table } from '~/ui/Table'
import { Pair } from '~/ui/fields'
import { space } from '~/ui/theme'
import { OfferLines } from './OfferLines'

const Section = styled.section`
  display: grid;
  gap: ${space.m};
`
const Adding = styled.div`
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: end;
  gap: ${space.s};
`

/** What the saw takes from every board. */
export function SawFields() {
  const { workpiece, edit } = useWallEditor()
  const { shop } = workpiece.settings
  const set = (next: Partial<typeof shop>) => [
    { type: 'patchSettings' as const, patch: { shop: { ...shop, ...next } } },
  ]
  return (
    <Section aria-label="Saw">
      <h2>Saw</h2>
      <Pair>
        <EditLength
          field="shop.kerf"
          label="Kerf"
          value={shop.kerf}
          least={ZERO}
          most={inches(1)}
          toEdits={(kerf) => set({ kerf })}
        />
        <EditLength
          field="shop.endTrim"
          label="Trim per board"
          value={shop.endTrim}
          least={ZERO}
          most={inches(12)}
          toEdits={(endTrim) => set({ endTrim })}
        />
      </Pair>
      <EditLength
        field="shop.allowance"
        label="Cut long, where measured in place"
        value={shop.allowance}
        least={ZERO}
        most={inches(3)}
        toEdits={(allowance) => set({ allowance })}
      />
      <Sentence>
        It swings to{' '}
        <DegWord
          label="How far the saw swings"
          value={shop.swing}
          least={0}
          most={80}
          onChange={(swing) => edit(set({ swing }), 'done')}
        />{' '}
        from square.
      </Sentence>
    </Section>
  )
}

/** The board lengths on sale in one material, with their prices. */
export function OfferTable({ materialId }: { materialId: string }) {
  const { workpiece, wording, edit } = useWallEditor()
  const { shop, currency, units } = workpiece.settings
  const [adding, setAdding] = useState<Length>(units === 'mm' ? millimeters(2400) : inches(96))
  const offers = shop.offers
    .filter((offer) => offer.material === materialId)
    .sort((a, b) => a.length - b.length)
  const known = offers.some((offer) => offer.length === adding)
  return (
    <Section aria-label={`Boards of ${materialName(materialId, wording)}`}>
      <h2>
        <Fractions text={`${materialName(materialId, wording)} on sale`} />
      </h2>
      <Table>
        <thead>
          <tr>
            <th scope="col">Length</th>
            <th scope="col">Price a board</th>
            <th scope="col">
              <Unseen>Take off</Unseen>
            </th>
          </tr>
        </thead>
        <tbody>
          {offers.map((offer) => (
            <tr key={offer.id}>
              <th scope="row">
                <Fractions text={sayStock(offer.length, wording)} />
              </th>
              <td>
                <PriceField
                  label={`Price of ${sayStock(offer.length, wording)}`}
                  value={offer.price}
                  currency={currency}
                  onChange={(price) => edit([{ type: 'setOffer', offer: { ...offer, price } }], 'done')}
                />
              </td>
              <td>
                <Button
                  $kind="quiet"
                  aria-label={`Take ${sayStock(offer.length, wording)} off the list`}
                  onPress={() => edit([{ type: 'removeOffer', id: offer.id }], 'done')}
                >
                  <Trash2 size={17} aria-hidden />
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <OfferLines materialId={materialId} offers={offers} />
      <Adding>
        <LengthField
          label="Another length"
          value={adding}
          format={wording.format}
          onChange={setAdding}
          least={inches(6)}
          most={inches(480)}
        />
        <AddButton
          what="offers"
          has={shop.offers.length}
          isDisabled={known}
          why={whyNot.listed}
          onPress={() =>
            edit(
              [
                {
                  type: 'setOffer',
                  offer: { id: `${materialId}-${adding}`, material: materialId, length: adding, price: null },
                },
              ],
              'done',
            )
          }
        >
          List it
        </AddButton>
      </Adding>
    </Section>
  )
}
