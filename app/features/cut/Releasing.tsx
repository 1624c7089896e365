import { useState } from 'react'
import { blocking } from '~/core/findings/surveyFindings'
import { useWallEditor } from '~/editor/WallEditor'
import { cutText, findingText, sawText } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Row } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { useCutActs } from './CutActs'

/**
 * Sends the list to the saw: at once where it is ready, and else with what is still to settle and a reason, which is kept with the list.
 * `as` draws the button that starts it.
 */
export function Releasing({ as }: { as: (press: () => void) => React.ReactNode }) {
  const { plan, workpiece, wording } = useWallEditor()
  const { freeze } = useCutActs()
  const [reason, setReason] = useState<string | null>(null)
  const open = blocking(plan.findings, workpiece.wall.survey, workpiece.settings.fit)
  if (reason === null || open.length === 0) return as(() => (open.length === 0 ? freeze() : setReason('')))
  const why = reason.trim()
  return (
    <section aria-label={cutText.despite} data-despite={open.length}>
      <p>{cutText.stillOpen(open.length)}</p>
      <ul>
        {open.map((finding) => (
          <li key={finding.blocks?.key}>
            <Fractions text={findingText(finding.says, wording)} />
          </li>
        ))}
      </ul>
      <TextBox label={cutText.why} value={reason} onChange={setReason} maxLength={300} autoFocus />
      <Row>
        <Button
          $kind="main"
          isDisabled={why === ''}
          onPress={() => {
            freeze({ open: open.flatMap(({ blocks }) => blocks?.key ?? []), reason: why })
            setReason(null)
          }}
        >
          {sawText.releaseAnyway}
        </Button>
        <Button $kind="quiet" onPress={() => setReason(null)}>
          {cutText.notNow}
        </Button>
        {why === '' ? <span>{cutText.whyFirst}</span> : null}
      </Row>
    </section>
  )
}
