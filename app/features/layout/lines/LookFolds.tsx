import { useState } from 'react'
import { styled } from 'styled-components'
import { type LineLook, lineLook } from '~/core/judgement/lineLook'
import { EditLengthWord } from '~/editor/EditLength'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { inches } from '~/length'
import { linesText as text, lookText, nudgeText } from '~/messages'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { Sentence } from '~/ui/Sentence'
import { space } from '~/ui/theme'
import { searchNudges } from '~/workers/proposalsClient'
import { EditButton } from '../EditButton'
import { useMoves } from './useMoves'

const List = styled.ul`
  display: grid;
  gap: ${space.s};
`

function same(a: LineLook | null, b: LineLook | null): boolean {
  return JSON.stringify(a) === JSON.stringify(b)
}

/** How heavy left is against right, and how dense, against how it was before the last change. */
export function LookFold() {
  const { workpiece, plan } = useMoves()
  const look = lineLook(plan.layout, plan.pieces)
  const [seen, setSeen] = useState<{ now: LineLook | null; before: LineLook | null }>({
    now: look,
    before: null,
  })
  if (!same(seen.now, look)) setSeen({ now: look, before: seen.now })
  if (!look) return null
  return (
    <Fold
      title={text.look}
      aside={look.pieces === 0 ? 'nothing struck' : `${Math.round(look.covered * 100)} % under trim`}
    >
      {lookText(look, seen.before, workpiece.settings.units === 'mm' ? 'mm' : 'inch').map((line) => (
        <p key={line}>{line}</p>
      ))}
      <Soft>{text.lookHint}</Soft>
    </Fold>
  )
}

/** The whole field of lines moved along its foot or up, by hand or as a search finds it clears the plates. */
export function NudgeFold() {
  const { workpiece, wording, lines, plan } = useMoves()
  const hasPlates = plan.layout.obstacles.some(({ plate }) => plate)
  const { answer, searching } = useWorkerAnswer(
    workpiece,
    searchNudges,
    hasPlates && plan.layout.moves !== null,
  )
  const { nudge } = lines
  const toEdits = (patch: Partial<typeof nudge>) => [
    { type: 'patchDesign' as const, patch: { lines: { ...lines, nudge: { ...nudge, ...patch } } } },
  ]
  const claim = !hasPlates
    ? 'No plates stand on this wall.'
    : searching || !answer
      ? 'Looking for places that clear the plates …'
      : answer.now === 0
        ? 'No plate lies under a line, or nearer than was asked for.'
        : answer.found.length === 0
          ? `${answer.now} under or too near; ${answer.whole ? 'no place' : `none of ${answer.tried} places tried`} clears more.`
          : `${answer.now} under or too near. ${
              answer.found.some(({ hits }) => hits === 0)
                ? `The nearest place that clears, of ${answer.tried} tried outward from here:`
                : answer.whole
                  ? `None of the ${answer.tried} places on the tape within half a pitch clears all; all were tried. The best:`
                  : `${answer.tried} places tried, not all. The best:`
            }`
  return (
    <Fold title={text.nudge} aside={answer && answer.now > 0 ? String(answer.now) : ''} open={hasPlates}>
      <Sentence>
        All that hangs on no strip is moved{' '}
        <EditLengthWord
          field="design.lines.nudge.along"
          label="Lines moved to the right"
          value={nudge.along}
          least={inches(-480)}
          most={inches(480)}
          toEdits={(along) => toEdits({ along })}
        />{' '}
        to the right and{' '}
        <EditLengthWord
          field="design.lines.nudge.up"
          label="Lines moved up"
          value={nudge.up}
          least={inches(-480)}
          most={inches(480)}
          toEdits={(up) => toEdits({ up })}
        />{' '}
        up.
      </Sentence>
      <p role="status">{claim}</p>
      <List aria-label={text.nudge}>
        {(searching ? [] : (answer?.found ?? [])).map(({ axis, by, hits, edits }) => (
          <li key={axis}>
            <EditButton edits={edits} wide>
              <Fractions text={nudgeText(axis, by, hits, wording)} />
            </EditButton>
          </li>
        ))}
      </List>
    </Fold>
  )
}
