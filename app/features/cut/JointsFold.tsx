import { styled } from 'styled-components'
import { useMemo } from 'react'
import { joinRunWith, type JoinedRun, jointRows, moveJoint } from '~/core/cutting/joints'
import { EditLength } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import {
  count,
  jointChoiceText,
  jointOptionName,
  jointReasonText,
  jointText,
  pieceName,
  runJointName,
  sayWithUnit,
  stripName,
} from '~/messages'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { space, type } from '~/ui/theme'

const Item = styled.section`
  display: grid;
  gap: ${space.s};
  padding-bottom: ${space.m};
  border-bottom: 1px solid var(--line);
  & > h3 {
    font-size: ${type.body};
    font-weight: 650;
  }
`

function Run({ run }: { run: JoinedRun }) {
  const { workpiece, wording, edit } = useWallEditor()
  const name = pieceName({ stripId: run.stripId, part: { side: run.side, number: null } }, wording)
  return (
    <Item data-run-joints={run.run}>
      <h3>
        {name}: {count(run.joints.length, 'joint')}, {runJointName(run.joint)}
      </h3>
      {run.overlap > 0 ? (
        <Soft>
          <Fractions
            text={`Each takes ${sayWithUnit(run.overlap, wording)} more of the stuff: the boards know.`}
          />
        </Soft>
      ) : null}
      {run.joints.map((joint, i) => (
        <div key={i} data-joint-at={i}>
          <EditLength
            field={`joint.${run.run}.${i}`}
            label={`${jointText.drag} ${i + 1} of ${name}, ${jointText.at}`}
            value={joint.at}
            least={joint.least}
            most={joint.most}
            toEdits={(at) => moveJoint(run, i, at, workpiece)}
          />
          <Soft>{jointReasonText(joint)}</Soft>
        </div>
      ))}
      <Choice
        label={`How ${name} is joined`}
        value={run.said}
        options={run.choices.map((id) => ({ id, text: runJointName(id) }))}
        onChange={(joint) => edit(joinRunWith(run.run, joint, workpiece), 'done')}
      />
      {run.placed ? (
        <Button onPress={() => edit(moveJoint(run, 0, null, workpiece), 'done')}>{jointText.byRule}</Button>
      ) : null}
    </Item>
  )
}

/** Every joint of the wall, those alike once: what it is, why, and what else it can be. */
export function JointsFold() {
  const { plan, workpiece, wording, edit } = useWallEditor()
  const rows = useMemo(() => jointRows(workpiece, plan.layout, plan.pieces), [workpiece, plan])
  const unjoined = Object.entries(workpiece.wall.design.own.joints).filter(
    ([, { joint }]) => joint === 'none',
  )
  return (
    <Fold title={jointText.title} aside={String(rows.length)}>
      {rows.length === 0 ? <Soft>{jointText.none}</Soft> : null}
      {rows.map((row) => {
        if (row.kind === 'run') return <Run key={row.run} run={row} />
        const { title, why } = jointChoiceText(row, wording)
        return (
          <Item key={`${row.kind} ${row.of}`} data-joint-kind={row.kind}>
            <Choice
              label={title}
              value={row.now}
              options={row.options.map(({ id }) => ({ id, text: jointOptionName(row.kind, id) }))}
              onChange={(id) => {
                const option = row.options.find((each) => each.id === id)
                if (option) edit(option.edits, 'done')
              }}
            />
            <Soft>{why}</Soft>
          </Item>
        )
      })}
      {unjoined.map(([run]) => (
        <Button key={run} onPress={() => edit(joinRunWith(run, 'asWall', workpiece), 'done')}>
          {`Join ${stripName(run.replace(/:.*/, ''), wording).toLowerCase()} of several boards`}
        </Button>
      ))}
    </Fold>
  )
}
