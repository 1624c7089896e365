import { cornersShared, sightsOf } from '~/core/layout/sight'
import { EditLengthWord } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches } from '~/length'
import { capital, sightText, standName, standText as text } from '~/messages'
import { inForce, type Stand } from '~/model'
import { Choice } from '~/ui/Choice'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { EditButton } from './EditButton'

const KINDS: readonly Stand['kind'][] = ['plumb', 'square', 'left', 'right', 'own']
const MOST = inches(12)

const stood = (stand: Stand) => [{ type: 'patchDesign' as const, patch: { stand } }]

/** How the uprights stand, as words of the sentence. */
export function StandWords() {
  const { workpiece, plan, edit } = useWallEditor()
  const { stand } = inForce(workpiece.wall.design)
  return (
    <>
      {' '}
      <Choice
        word
        label={text.label}
        value={stand.kind}
        options={KINDS.map((id) => ({ id, text: standName(id) }))}
        onChange={(kind) =>
          edit(stood(kind === 'own' ? { kind, ...cornersShared(plan.layout) } : { kind }), 'done')
        }
      />
      {stand.kind === 'own' ? (
        <>
          ,{' '}
          {(['left', 'right'] as const).map((side) => (
            <span key={side}>
              <EditLengthWord
                field={`design.stand.${side}`}
                label={text[side]}
                value={stand[side]}
                least={inches(-12)}
                most={MOST}
                toEdits={(by) => stood({ ...stand, [side]: by })}
              />
              {side === 'left' ? ' at the left end and ' : ' at the right end'}
            </span>
          ))}
        </>
      ) : null}
    </>
  )
}

/** What the eye would see of each school on this wall; each is drawn while it is pointed at. */
export function SightFold() {
  const { workpiece, plan, wording } = useWallEditor()
  const { stand } = inForce(workpiece.wall.design)
  const sights = sightsOf(workpiece)
  if (sights.length === 0) return null
  const shared = cornersShared(plan.layout)
  const isShared = stand.kind === 'own' && stand.left === shared.left && stand.right === shared.right
  return (
    <Fold title={text.sight} aside={standName(stand.kind)}>
      <ul aria-label={text.sight} style={{ display: 'grid', gap: 6 }}>
        {sights.map((sight) => (
          <li key={sight.stand.kind} data-stand={sight.stand.kind}>
            <EditButton edits={stood(sight.stand)} isNow={sight.stand.kind === stand.kind} wide>
              <b>{capital(standName(sight.stand.kind))}</b>
              <br />
              <small>
                <Fractions text={sightText(sight, wording)} />
              </small>
            </EditButton>
          </li>
        ))}
      </ul>
      <Soft>{text.over}</Soft>
      {isShared ? null : (
        <EditButton edits={stood({ kind: 'own', ...shared })} wide>
          {text.share}
        </EditButton>
      )}
      {stand.kind === 'plumb' ? null : <Soft>{text.marks}</Soft>}
    </Fold>
  )
}
