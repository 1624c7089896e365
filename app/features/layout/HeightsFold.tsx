import { useState } from 'react'
import { useWallEditor } from '~/editor/WallEditor'
import { alignments, rhythmOf } from '~/core/judgement/align'
import { alignmentText, heightReason, heightTakes, rhythmText, say } from '~/messages'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { searchHeights } from '~/workers/proposalsClient'
import { EditButton } from './EditButton'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { useAskedOfWall } from './useAskedOfWall'

/** Heights that are usual, line up with something, or waste no stock; each is drawn while it is pointed at. */
export function HeightsFold() {
  const { plan, wording } = useWallEditor()
  const [open, setOpen] = useState(false)
  const { answer, searching } = useWorkerAnswer(useAskedOfWall(), searchHeights, open)
  return (
    <Fold title="Heights to choose from" onToggle={setOpen}>
      {answer === null ? <Soft>{searching ? 'Working out what each wastes…' : ''}</Soft> : null}
      <ul aria-label="Heights" style={{ display: 'grid', gap: 6 }}>
        {answer?.map((proposal) => (
          <li key={`${JSON.stringify(proposal.reason)}`}>
            <EditButton
              edits={proposal.edits}
              wide
              isNow={Math.abs(proposal.height - plan.layout.height) < 2}
            >
              <b>
                <Fractions text={say(proposal.height, wording)} />
              </b>{' '}
              {heightReason(proposal, wording)}
              <br />
              <small>{heightTakes(proposal)}</small>
            </EditButton>
          </li>
        ))}
      </ul>
    </Fold>
  )
}

/** Lines on the wall that the strips can be brought to. */
export function AlignFold() {
  const { workpiece, plan, wording, identity } = useWallEditor()
  const found = alignments(plan.layout)
  const rhythms = (['left', 'right'] as const).flatMap((side) => {
    const beside = identity.beside[side]
    const rhythm = beside ? rhythmOf(side, beside.wall, workpiece.settings, workpiece) : null
    return beside && rhythm ? [{ name: beside.name, ...rhythm }] : []
  })
  if (found.length + rhythms.length === 0) return null
  return (
    <Fold title="Line up with" aside={String(found.length + rhythms.length)}>
      <ul aria-label="Line up with" style={{ display: 'grid', gap: 6 }}>
        {found.map((alignment) => (
          <li key={`${alignment.target.thingId} ${alignment.target.side}`}>
            <EditButton edits={alignment.edits} wide>
              <Fractions text={alignmentText(alignment, wording)} />
            </EditButton>
          </li>
        ))}
        {rhythms.map(({ side, name, gap, edits }) => (
          <li key={`rhythm ${side}`}>
            <EditButton edits={edits} wide>
              <Fractions text={rhythmText(name, gap, side, wording)} />
            </EditButton>
          </li>
        ))}
      </ul>
    </Fold>
  )
}
