import { useState } from 'react'
import { DialogTrigger } from 'react-aria-components'
import { readMaterialLines } from '~/core/files/stockLines'
import { useWallEditor } from '~/editor/WallEditor'
import { stockLineProblemText, stockLineText, whyNot } from '~/messages'
import { type Edit, LIMITS, usualOffers } from '~/model'
import { AddButton } from '~/ui/AddButton'
import { Button } from '~/ui/Button'
import { PopoverBody, PopoverCard } from '~/ui/PopoverCard'
import { TextLines } from '~/ui/TextLines'

/** A free identifier for a material of this name. */
function idFor(name: string, taken: readonly string[]): string {
  const stem =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'strip'
  let id = stem.slice(0, 50)
  for (let n = 2; taken.includes(id); n++) id = `${stem.slice(0, 50)}-${n}`
  return id
}

/** Strips of one's own size, typed one a line, added to the job's materials; the first is used for the battens. */
export function OwnSize() {
  const { workpiece, edit } = useWallEditor()
  const { units, materials, shop } = workpiece.settings
  const [text, setText] = useState('')
  const read = readMaterialLines(text, units)
  const typed = read.ok ? read.value : []
  const add = (close: () => void) => {
    const taken = materials.map(({ id }) => id)
    let room = LIMITS.offers - shop.offers.length
    const edits = typed.flatMap(({ name, width, thickness }): Edit[] => {
      const id = idFor(name, taken)
      taken.push(id)
      const offers = usualOffers(id, units).slice(0, Math.max(0, room))
      room -= offers.length
      return [
        { type: 'addMaterial', material: { id, nominal: name, name: '', width, thickness } },
        ...offers.map((offer): Edit => ({ type: 'setOffer', offer })),
      ]
    })
    const first = taken[materials.length]
    if (first === undefined) return
    edit([...edits, { type: 'patchDesign', patch: { battenMaterial: first } }], 'done')
    setText('')
    close()
  }
  return (
    <DialogTrigger>
      <Button>A strip of your own size</Button>
      <PopoverCard>
        <PopoverBody aria-label="A strip of your own size">
          {({ close }) => (
            <>
              <TextLines
                label={stockLineText.materials}
                value={text}
                onChange={setText}
                rows={2}
                placeholder={stockLineText.materialsExample(units)}
                problems={
                  read.ok || text.split('\n').length < 2
                    ? []
                    : read.issue.map((problem) => stockLineProblemText(problem, units))
                }
                autoFocus
                onKeyDown={(event) => {
                  // one line is kept by Enter; for several it makes the next
                  if (event.key !== 'Enter' || event.shiftKey || typed.length !== 1)
                    return event.continuePropagation()
                  event.preventDefault()
                  add(close)
                }}
              />
              <AddButton
                what="materials"
                has={materials.length + Math.max(0, typed.length - 1)}
                $kind="main"
                isDisabled={typed.length === 0}
                why={whyNot.material}
                onPress={() => add(close)}
              >
                {typed.length > 1 ? stockLineText.keepMaterials(typed.length) : stockLineText.keepMaterial}
              </AddButton>
            </>
          )}
        </PopoverBody>
      </PopoverCard>
    </DialogTrigger>
  )
}
