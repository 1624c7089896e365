import { EditLength } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, millimeters } from '~/length'
import { floorFieldText as text } from '~/messages'
import { COVERINGS, FLOOR_WHEN, type FloorToCome } from '~/model'
import { Choice } from '~/ui/Choice'
import { Pair } from '~/ui/fields'

/** A usual build-up: common practice, no source. */
const usual = (units: string): FloorToCome => ({
  covering: 'tile',
  build: units === 'mm' ? millimeters(12) : inches(0.5),
  when: 'before',
})

/** A floor that is still to come: what, how high, and when. */
export function FloorField() {
  const { workpiece, edit } = useWallEditor()
  const { floorToCome, height } = workpiece.wall.survey
  const set = (next: FloorToCome | null) => [{ type: 'patchSurvey' as const, patch: { floorToCome: next } }]
  return (
    <>
      <Choice
        label={text.label}
        value={floorToCome?.covering ?? 'none'}
        options={[
          { id: 'none' as const, text: text.none },
          ...COVERINGS.map((id) => ({ id, text: text.covering(id) })),
        ]}
        onChange={(id) =>
          edit(
            set(id === 'none' ? null : { ...(floorToCome ?? usual(workpiece.settings.units)), covering: id }),
            'done',
          )
        }
      />
      {floorToCome ? (
        <Pair>
          <EditLength
            field="survey.floorToCome"
            label={text.build}
            value={floorToCome.build}
            least={inches(1 / 16)}
            most={height}
            toEdits={(build) => set({ ...floorToCome, build })}
          />
          <Choice
            label={text.when}
            value={floorToCome.when}
            options={FLOOR_WHEN.map((id) => ({ id, ...text.whenOption(id) }))}
            onChange={(when) => edit(set({ ...floorToCome, when }), 'done')}
          />
        </Pair>
      ) : null}
    </>
  )
}
