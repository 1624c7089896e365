import { useState } from 'react'
import { useDevice } from '~/editor/useDevice'
import { useWallEditor } from '~/editor/WallEditor'
import { sayWithUnit } from '~/messages'
import type { Thing } from '~/model'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Row } from '~/ui/page'

/** Puts a thing in its place by what the laser reads: from the left corner, from the right, or up from the floor. */
export function ThingFromLaser({ put }: { put: (patch: Partial<Thing>) => void }) {
  const { wording } = useWallEditor()
  const [waiting, setWaiting] = useState(false)
  const value = useDevice('laser', waiting)?.value ?? null
  const take = (patch: Partial<Thing>) => {
    put(patch)
    setWaiting(false)
  }
  return (
    <>
      <Button onPress={() => setWaiting(!waiting)}>
        {waiting ? 'Stop waiting for the laser' : 'Place it by the laser'}
      </Button>
      {waiting && value === null ? <p role="status">Waiting: press measure on the laser.</p> : null}
      {value === null ? null : (
        <>
          <p role="status">
            <Fractions text={`The laser reads ${sayWithUnit(value, wording)}. That is`} />
          </p>
          <Row>
            <Button onPress={() => take({ left: value })}>its left edge, from the left</Button>
            <Button onPress={() => take({ fromRight: value })}>its right edge, from the right</Button>
            <Button onPress={() => take({ bottom: value })}>its underside, from the floor</Button>
            <Button onPress={() => take({ fromTop: value })}>its top, from the ceiling</Button>
          </Row>
        </>
      )}
    </>
  )
}
