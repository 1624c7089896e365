import { useState } from 'react'
import { readableBands } from '~/core/asbuilt/builtUp'
import { useDevice } from '~/editor/useDevice'
import { useWallEditor } from '~/editor/WallEditor'
import type { Length } from '~/length'
import { builtText, sayWithUnit, stripName } from '~/messages'
import { Choice } from '~/ui/Choice'
import { LengthField } from '~/ui/LengthField'
import { Picks } from '~/ui/Picks'
import { KeepReading } from './KeepReading'
import type { Fit } from './useFit'

/** How high a horizontal truly is. */
export function HeightPart({ fit, say }: { readonly fit: Fit; readonly say: (words: string) => void }) {
  const { plan, wording } = useWallEditor()
  const bands = readableBands(plan.layout)
  const inHand = bands.find(({ id }) => id === fit.stop?.card.stripId)?.id
  const [picked, setPicked] = useState<string | null>(null)
  const [edge, setEdge] = useState<'bottom' | 'top'>('bottom')
  const [value, setValue] = useState<Length | null>(null)
  const [waiting, setWaiting] = useState(false)
  const laser = useDevice('laser', waiting)?.value ?? null
  const reading = laser ?? value
  const band = bands.find(({ id }) => id === (picked ?? inHand)) ?? bands[0]
  if (!band) return null
  const planned = band[edge]
  const keep = () => {
    if (reading === null) return
    const { ceiling, followed } = plan.layout.lines
    // along a stair the ceiling has no one height
    if (followed.length === 0 && reading > ceiling) return say(builtText.offHeight)
    fit.readHigh(band.id, edge, reading, planned, waiting ? 'laser' : 'tape')
    setValue(null)
    setWaiting(false)
    say('')
  }
  return (
    <>
      <Choice
        label="Which"
        value={band.id}
        options={bands.map(({ id }) => ({ id, text: stripName(id, wording) }))}
        onChange={setPicked}
      />
      <Picks<'bottom' | 'top'>
        label="Which edge"
        value={edge}
        options={[
          { id: 'bottom', text: builtText.edge('bottom') },
          { id: 'top', text: builtText.edge('top') },
        ]}
        onChange={setEdge}
      />
      <LengthField
        label={builtText.reads}
        value={reading}
        format={wording.format}
        least={0 as Length}
        onChange={setValue}
        note={`${builtText.fromLine(plan.layout.lines.build > 0)}. ${builtText.planned(sayWithUnit(planned, wording))}`}
      />
      <KeepReading ready={reading !== null} waiting={waiting} onKeep={keep} onWait={setWaiting} />
    </>
  )
}
