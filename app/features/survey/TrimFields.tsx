import { styled } from 'styled-components'
import { EditLength } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, ZERO } from '~/length'
import type { RunningTrim, Survey } from '~/model'
import { Choice } from '~/ui/Choice'
import { Pair } from '~/ui/fields'
import { space } from '~/ui/theme'

const Group = styled.section`
  display: grid;
  gap: ${space.m};
`

type TrimName = 'baseboard' | 'crown'
const USUAL: Readonly<Record<TrimName, RunningTrim>> = {
  baseboard: { height: inches(3.5), thickness: inches(0.5), fate: 'keep' },
  crown: { height: inches(3), thickness: inches(0.5), fate: 'keep' },
}

/** What is there, and what becomes of it: one choice. */
export function TrimFields({ name, title }: { name: TrimName; title: string }) {
  const { workpiece, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const trim = survey[name]
  const set = (next: RunningTrim | null) => [
    { type: 'patchSurvey' as const, patch: { [name]: next } as Partial<Survey> },
  ]
  const state = trim ? trim.fate : 'none'
  return (
    <Group aria-label={title}>
      <Choice
        label={title}
        value={state}
        options={[
          { id: 'none', text: 'None on this wall' },
          {
            id: 'keep',
            text: 'Stays',
            hint: name === 'baseboard' ? 'strips stand on it' : 'strips end below it',
          },
          { id: 'remove', text: 'Comes off', hint: 'drawn dashed; the layout takes its place' },
        ]}
        onChange={(id) => edit(set(id === 'none' ? null : { ...(trim ?? USUAL[name]), fate: id }), 'done')}
      />
      {trim ? (
        <Pair>
          <EditLength
            field={`survey.${name}.height`}
            label="Height"
            value={trim.height}
            least={inches(0.125)}
            most={survey.height}
            toEdits={(height) => set({ ...trim, height })}
          />
          <EditLength
            field={`survey.${name}.thickness`}
            label="Thickness"
            value={trim.thickness}
            least={ZERO}
            most={inches(6)}
            toEdits={(thickness) => set({ ...trim, thickness })}
          />
        </Pair>
      ) : null}
    </Group>
  )
}
