import { builtText, whyNot } from '~/messages'
import { Button } from '~/ui/Button'
import { Row } from '~/ui/page'

/** A reading is kept as it stands, or waited for from the laser. */
export function KeepReading({
  ready,
  waiting,
  onKeep,
  onWait,
}: {
  readonly ready: boolean
  readonly waiting: boolean
  readonly onKeep: () => void
  readonly onWait: (waiting: boolean) => void
}) {
  return (
    <Row>
      <Button $kind="main" isDisabled={!ready} why={whyNot.reading} onPress={onKeep}>
        {builtText.keep}
      </Button>
      <Button $kind="quiet" onPress={() => onWait(!waiting)}>
        {waiting ? builtText.noLaser : builtText.byLaser}
      </Button>
    </Row>
  )
}
