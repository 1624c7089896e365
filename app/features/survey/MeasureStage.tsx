import { inches, type Length, ZERO } from '~/length'
import { formatLength } from '~/length'
import type { RunningTrim, Survey } from '~/model'
import { EditLength } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { styled } from 'styled-components'
import { space } from '~/ui/theme'

const LEAST = inches(1)
const MOST = inches(2400)

const Group = styled.section`
  display: grid;
  gap: ${space.m};
`
const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space.m};
`

type TrimName = 'baseboard' | 'crown'
const USUAL: Readonly<Record<TrimName, RunningTrim>> = {
  baseboard: { height: inches(3.5), thickness: inches(0.5), fate: 'keep' },
  crown: { height: inches(3), thickness: inches(0.5), fate: 'keep' },
}

/** What is there, and what becomes of it: one choice. */
function TrimFields({ name, title }: { name: TrimName; title: string }) {
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

/** Stage one: what the wall measures and what runs along its foot and head. */
export function MeasureStage() {
  const { identity, workpiece, wording } = useWallEditor()
  const { survey } = workpiece.wall
  const say = (length: Length) => formatLength(length, wording.format)
  return (
    <Split>
      <Drawn>
        <Heading>
          <h1>{identity.name}</h1>
          <p>
            <Fractions text={`${say(survey.width)} wide, ${say(survey.height)} high`} />
          </p>
        </Heading>
        <WallStage />
      </Drawn>
      <Side aria-label="Measurements">
        <Group aria-label="The wall">
          <h2>The wall</h2>
          <EditLength
            field="survey.width"
            label="Width, corner to corner"
            value={survey.width}
            least={LEAST}
            most={MOST}
            toEdits={(width) => [{ type: 'patchSurvey', patch: { width } }]}
          />
          <EditLength
            field="survey.height"
            label="Height, finished floor to ceiling"
            value={survey.height}
            least={LEAST}
            most={MOST}
            toEdits={(height) => [{ type: 'patchSurvey', patch: { height } }]}
          />
        </Group>
        <TrimFields name="baseboard" title="Baseboard" />
        <TrimFields name="crown" title="Crown" />
        <Soft>
          Prying trim off: score the paint line first, wear eye protection, and in a building from before 1978
          have the paint tested for lead before you disturb it. Local codes come first.
        </Soft>
      </Side>
    </Split>
  )
}
