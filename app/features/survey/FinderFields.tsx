import { useState } from 'react'
import { estimateStuds } from '~/core/survey/studEstimate'
import { useDevice } from '~/editor/useDevice'
import { useWallEditor } from '~/editor/WallEditor'
import type { Length } from '~/length'
import { studEstimateText } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'

/** Waits for a sweep of the stud finder and says what it makes of it, and how sure it is. */
export function FinderFields({ onTake }: { onTake: (studs: readonly Length[]) => void }) {
  const { workpiece, wording } = useWallEditor()
  const [waiting, setWaiting] = useState(false)
  const delivery = useDevice('finder', waiting)
  const estimate = delivery?.edges ? estimateStuds(delivery.edges, workpiece.wall.survey.width) : null
  return (
    <>
      <Button onPress={() => setWaiting(!waiting)}>
        {waiting ? 'Stop waiting for the stud finder' : 'Wait for the stud finder'}
      </Button>
      {waiting ? (
        <p role="status">
          <Fractions
            text={
              estimate ? studEstimateText(estimate, wording) : 'Waiting: sweep the finder along the wall.'
            }
          />
        </p>
      ) : null}
      {estimate && estimate.centers.length > 0 ? (
        <Button
          $kind="main"
          onPress={() => {
            onTake(estimate.centers)
            setWaiting(false)
          }}
        >
          Mark these studs
        </Button>
      ) : null}
    </>
  )
}
