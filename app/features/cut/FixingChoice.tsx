import { useWallEditor } from '~/editor/WallEditor'
import { fixingName } from '~/messages'
import { type Design, FIXINGS, inForce } from '~/model'
import { Choice } from '~/ui/Choice'

/** How strips go on: proposed piece by piece, or one way for all. */
export function FixingChoice() {
  const { workpiece, edit } = useWallEditor()
  return (
    <Choice<Design['fixing']>
      label="Fixing"
      value={inForce(workpiece.wall.design).fixing}
      options={[
        { id: 'proposed', text: 'proposed for each piece' },
        ...FIXINGS.map((id) => ({ id, text: fixingName(id) })),
      ]}
      onChange={(fixing) => edit([{ type: 'patchDesign', patch: { fixing } }], 'done')}
    />
  )
}
