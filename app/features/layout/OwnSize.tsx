import { useState } from 'react'
import { DialogTrigger } from 'react-aria-components'
import { useWallEditor } from '~/editor/WallEditor'
import { inches } from '~/length'
import { LIMITS, usualOffers } from '~/model'
import { AddButton } from '~/ui/AddButton'
import { Button } from '~/ui/Button'
import { LengthField } from '~/ui/LengthField'
import { TextBox } from '~/ui/TextBox'
import { PopoverBody, PopoverCard } from '~/ui/PopoverCard'

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

/** A strip of one's own size, added to the job's materials and used for the battens. */
export function OwnSize() {
  const { workpiece, wording, edit } = useWallEditor()
  const [name, setName] = useState('')
  const [width, setWidth] = useState(inches(2))
  const [thickness, setThickness] = useState(inches(0.5))
  const add = (close: () => void) => {
    const { materials } = workpiece.settings
    const id = idFor(
      name,
      materials.map((material) => material.id),
    )
    edit(
      [
        { type: 'addMaterial', material: { id, nominal: name.trim(), name: '', width, thickness } },
        ...usualOffers(id, workpiece.settings.units)
          .slice(0, Math.max(0, LIMITS.offers - workpiece.settings.shop.offers.length))
          .map((offer) => ({ type: 'setOffer' as const, offer })),
        { type: 'patchDesign', patch: { battenMaterial: id } },
      ],
      'done',
    )
    setName('')
    close()
  }
  return (
    <DialogTrigger>
      <Button>A strip of your own size</Button>
      <PopoverCard>
        <PopoverBody aria-label="A strip of your own size">
          {({ close }) => (
            <>
              <TextBox label="What you call it" value={name} onChange={setName} maxLength={40} autoFocus />
              <LengthField
                label="Actual width"
                value={width}
                format={wording.format}
                onChange={setWidth}
                least={inches(0.125)}
                most={inches(48)}
              />
              <LengthField
                label="Actual thickness"
                value={thickness}
                format={wording.format}
                onChange={setThickness}
                least={inches(0.0625)}
                most={inches(4)}
              />
              <AddButton
                what="materials"
                has={workpiece.settings.materials.length}
                $kind="main"
                isDisabled={name.trim() === ''}
                onPress={() => add(close)}
              >
                Use it for the battens
              </AddButton>
            </>
          )}
        </PopoverBody>
      </PopoverCard>
    </DialogTrigger>
  )
}
