import { heightMarks, type LaserHeight, laserHeights } from '~/core/marks/runningMarks'
import { useWallEditor } from '~/editor/WallEditor'
import { type Length, ZERO } from '~/length'
import { floorFieldText, heightMarkName, laserHeightText, markText } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Picks } from '~/ui/Picks'
import { Table } from '~/ui/Table'
import { Reading } from './Reading'
import type { MarkHabits } from './useMarkHabits'

/** Where the laser line stands. */
export function LaserField({ laser, keep }: { laser: Length; keep: (patch: Partial<MarkHabits>) => void }) {
  const { workpiece, wording } = useWallEditor()
  return (
    <LengthField
      label="Laser line, up from the floor"
      value={laser}
      format={wording.format}
      least={ZERO}
      most={workpiece.wall.survey.height}
      onChange={(next) => keep({ laser: next })}
    />
  )
}

function FromLaser({ mark }: { mark: LaserHeight }) {
  const { wording } = useWallEditor()
  return <Fractions text={laserHeightText(mark, wording)} />
}

/** The heights to mark, from the floor or from a laser line of one's choice. */
export function HeightsTable({
  from: asPicked,
  laser,
  asked,
  keep,
}: {
  from: MarkHabits['heightsFrom']
  laser: Length
  /** Where the line stands is asked here: the marks do not ask it already. */
  asked: boolean
  keep: (patch: Partial<MarkHabits>) => void
}) {
  const { plan, workpiece, wording } = useWallEditor()
  const { tape } = workpiece.settings
  const { build } = plan.layout.lines
  // where no floor is to come there is but one
  const from = asPicked === 'present' && build === 0 ? 'floor' : asPicked
  return (
    <>
      <Picks<MarkHabits['heightsFrom']>
        label="Heights from"
        value={from}
        options={[
          { id: 'floor', text: build > 0 ? floorFieldText.datum : 'from the floor' },
          ...(build > 0 ? [{ id: 'present' as const, text: floorFieldText.present }] : []),
          { id: 'laser', text: 'from a laser line' },
        ]}
        onChange={(heightsFrom) => keep({ heightsFrom })}
      />
      {from === 'laser' && asked ? <LaserField laser={laser} keep={keep} /> : null}
      <Table>
        <caption>
          <Fractions
            text={
              from === 'laser'
                ? markText.laser(laser, build > 0, wording)
                : markText.floorOf(build > 0 ? from : 'only')
            }
          />
        </caption>
        <tbody>
          {from === 'laser'
            ? laserHeights(plan.layout, tape, laser)
                .reverse()
                .map((mark) => (
                  <tr key={mark.id} data-height={mark.id}>
                    <th scope="row">{heightMarkName(mark, wording)}</th>
                    <td>
                      <FromLaser mark={mark} />
                    </td>
                  </tr>
                ))
            : heightMarks(plan.layout, tape, from === 'present' ? build : 0)
                .reverse()
                .map((mark) => (
                  <tr key={mark.id} data-height={mark.id}>
                    <th scope="row">{heightMarkName(mark, wording)}</th>
                    <td>
                      <Reading reading={mark.reading} />
                    </td>
                  </tr>
                ))}
        </tbody>
      </Table>
    </>
  )
}
