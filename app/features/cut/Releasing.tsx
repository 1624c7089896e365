import { useState } from 'react'
import { styled } from 'styled-components'
import { blocking } from '~/core/findings/surveyFindings'
import { useWallEditor } from '~/editor/WallEditor'
import { cutText, findingText, sawText } from '~/messages'
import { SteadyButton } from '~/ui/SteadyButton'
import { Fractions } from '~/ui/Fractions'
import { Row } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { space } from '~/ui/theme'
import { useCutActs } from './CutActs'

const Asked = styled.section`
  display: grid;
  gap: ${space.s};
  padding: ${space.m};
  border-left: 4px solid var(--red);
  background: var(--red-wash);
  color: var(--ink);
  & ul {
    list-style: disc;
    padding-left: 18px;
  }
`

/**
 * Sends the list to the saw: at once where it is ready, and else with what is still to settle and a reason, which is kept with the list.
 * `press` starts it; `form` is what is asked then, null while nothing is.
 */
export function useReleasing(): { readonly press: () => void; readonly form: React.ReactNode } {
  const { plan, workpiece, wording } = useWallEditor()
  const { freeze } = useCutActs()
  const [reason, setReason] = useState<string | null>(null)
  const open = blocking(plan.findings, workpiece.wall.survey, workpiece.settings.fit)
  const press = () => (open.length === 0 ? freeze() : setReason(''))
  if (reason === null || open.length === 0) return { press, form: null }
  const why = reason.trim()
  const release = () => {
    freeze({ open: open.flatMap(({ blocks }) => blocks?.key ?? []), reason: why })
    setReason(null)
  }
  const form = (
    <Asked aria-label={cutText.despite} data-despite={open.length}>
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
        <SteadyButton $kind="main" isDisabled={why === ''} why={cutText.whyFirst} onPress={release}>
          {sawText.releaseAnyway}
        </SteadyButton>
        <SteadyButton $kind="quiet" onPress={() => setReason(null)}>
          {cutText.notNow}
        </SteadyButton>
      </Row>
    </Asked>
  )
  return { press, form }
}
