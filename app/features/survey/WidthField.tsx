import { useState } from 'react'
import {
  beyondWidth,
  endCasings,
  WIDTH_READ,
  type WidthRead,
  widthFrom,
  withWidthRead,
} from '~/core/survey/widthRead'
import { EditLength } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, nanometers, ZERO } from '~/length'
import { widthReadName } from '~/messages'
import { inForce } from '~/model'
import { Choice } from '~/ui/Choice'

/** A casing as usual where none stands yet; common practice, no source. */
const CASING = inches(2.5)

/** The wall's width as it was read: corner to corner, between casings at its ends, or inside a border. */
export function WidthField({
  least,
  most,
}: {
  least: ReturnType<typeof inches>
  most: ReturnType<typeof inches>
}) {
  const { workpiece, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const { battenMaterial } = inForce(workpiece.wall.design)
  const border = workpiece.settings.materials.find(({ id }) => id === battenMaterial)?.width ?? ZERO
  const ends = endCasings(survey)
  const [read, setRead] = useState<WidthRead>(ends.left && ends.right ? 'casings' : 'corners')
  const beyond = beyondWidth(survey, read, border)
  const value = nanometers(Math.max(0, survey.width - beyond.left - beyond.right))
  return (
    <>
      <EditLength
        key={read}
        field={read === 'corners' ? 'survey.width' : `survey.width.${read}`}
        label={widthReadName(read).label}
        value={value}
        least={least}
        most={most}
        toEdits={(next) => {
          const { width, things } = withWidthRead(survey, read, next, border)
          return [{ type: 'patchSurvey', patch: read === 'corners' ? { width } : { width, things } }]
        }}
      />
      <Choice<WidthRead>
        label="The width was read"
        value={read}
        options={WIDTH_READ.map((id) => ({ id, ...widthReadName(id) }))}
        onChange={(next) => {
          setRead(next)
          // what was typed is then what is between: the wall grows by the casings, which stand on it
          if (next === 'casings' && !ends.left && !ends.right) {
            const { width, things } = widthFrom(survey, 'casings', CASING)
            edit([{ type: 'patchSurvey', patch: { width, things } }], 'done')
          }
        }}
      />
    </>
  )
}
