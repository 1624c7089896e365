import { useState } from 'react'
import { DialogTrigger } from 'react-aria-components'
import { readOfferLines } from '~/core/files/stockLines'
import { useWallEditor } from '~/editor/WallEditor'
import { offerLines, stockLineProblemText, stockLineText, tooManyText, whyNot } from '~/messages'
import { type Edit, LIMITS, type Offer } from '~/model'
import { Button } from '~/ui/Button'
import { PopoverBody, PopoverCard } from '~/ui/PopoverCard'
import { TextLines } from '~/ui/TextLines'

/** All lengths on sale with their prices as one text: the whole list in three presses, however long. */
export function OfferLines({ materialId, offers }: { materialId: string; offers: readonly Offer[] }) {
  const { workpiece, wording, edit } = useWallEditor()
  const { units, shop } = workpiece.settings
  const [typed, setTyped] = useState<string | null>(null)
  const text = typed ?? offerLines(offers, wording)
  const read = readOfferLines(text, units)
  const lines = read.ok ? read.value : []
  const more = lines.length - offers.length
  const full = shop.offers.length + more > LIMITS.offers
  const problems = read.ok
    ? full
      ? [tooManyText('offers', shop.offers.length, more)]
      : []
    : read.issue.map((problem) => stockLineProblemText(problem, units))
  const keep = (close: () => void) => {
    const gone = offers.filter(({ length }) => lines.every((line) => line.length !== length))
    edit(
      [
        ...gone.map(({ id }): Edit => ({ type: 'removeOffer', id })),
        ...lines.map(({ length, price }): Edit => ({
          type: 'setOffer',
          offer: {
            id: offers.find((offer) => offer.length === length)?.id ?? `${materialId}-${length}`,
            material: materialId,
            length,
            price,
          },
        })),
      ],
      'done',
    )
    setTyped(null)
    close()
  }
  return (
    <DialogTrigger onOpenChange={() => setTyped(null)}>
      <Button>{stockLineText.openOffers}</Button>
      <PopoverCard>
        <PopoverBody aria-label={stockLineText.offers}>
          {({ close }) => (
            <>
              <TextLines
                label={stockLineText.offers}
                value={text}
                onChange={setTyped}
                rows={Math.min(10, Math.max(4, text.split('\n').length))}
                problems={problems}
                help={stockLineText.offersHelp(units)}
                autoFocus
              />
              <Button
                $kind="main"
                isDisabled={!read.ok || full || lines.length === 0}
                why={whyNot.lines}
                onPress={() => keep(close)}
              >
                {stockLineText.keepOffers(lines.length)}
              </Button>
            </>
          )}
        </PopoverBody>
      </PopoverCard>
    </DialogTrigger>
  )
}
