import { styled } from 'styled-components'
import { equalGap } from '~/core/spacing'
import { inches, nearestNanometer, ZERO } from '~/length'
import type { Measure, Spacing } from '~/model'
import { EditLengthWord } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { materialName } from '~/messages'
import { Choice } from '~/ui/Choice'
import { narrow, type } from '~/ui/theme'
import { CountWord } from './CountWord'
import { MeasurePicture } from './MeasurePicture'

const Sentence = styled.div`
  font-size: ${type.lead};
  line-height: 2.1;
  ${narrow} {
    line-height: 2.9;
  }
`

const SCHOOLS: readonly { id: Spacing['school']; text: string; hint: string }[] = [
  { id: 'nearWish', text: 'equal gaps near a wish', hint: 'the count whose equal gap comes nearest' },
  { id: 'equalByCount', text: 'equal gaps by count', hint: 'you say how many strips' },
  { id: 'fromCenter', text: 'a chosen gap from the centre', hint: 'both ends take what is left' },
  { id: 'fromEnd', text: 'a chosen gap from one end', hint: 'the other end takes what is left' },
  { id: 'centerMarks', text: 'centre marks', hint: 'wall divided by bays; not even, and says by how much' },
]

/** Carries what is there over to another school, so that the wall changes as little as it can. */
function changeSchool(school: Spacing['school'], gapNow: number, count: number): Spacing {
  const gap = nearestNanometer(Math.max(inches(0.25), gapNow))
  switch (school) {
    case 'equalByCount':
      return { school, strips: Math.max(1, count), ends: 'gap' }
    case 'nearWish':
      return {
        school,
        wish: gap,
        measure: 'gap',
        least: nearestNanometer(gap * 0.6),
        most: nearestNanometer(gap * 1.5),
        ends: 'gap',
        strips: null,
      }
    case 'fromCenter':
      return { school, wish: gap, measure: 'gap', centerOn: 'strip' }
    case 'fromEnd':
      return { school, wish: gap, measure: 'gap', end: 'left', startWith: 'gap' }
    case 'centerMarks':
      return { school, bays: Math.max(2, count + 1) }
  }
}

type Wished = Extract<Spacing, { measure: Measure }>

/** A wished number with what it means: clear between strips, or centre to centre, told by a picture. */
function WishWords({ spacing, set }: { spacing: Wished; set: (next: Spacing) => void }) {
  return (
    <>
      <EditLengthWord
        field="design.wish"
        label={spacing.measure === 'gap' ? 'Gap, clear between strips' : 'Pitch, centre to centre'}
        value={spacing.wish}
        least={inches(0.125)}
        most={inches(400)}
        toEdits={(wish) => [
          {
            type: 'patchDesign',
            patch: {
              spacing: { ...spacing, wish, ...(spacing.school === 'nearWish' ? { strips: null } : {}) },
            },
          },
        ]}
      >
        <MeasurePicture measure={spacing.measure} />
      </EditLengthWord>{' '}
      <Choice<Measure>
        word
        label="What the number means"
        value={spacing.measure}
        options={[
          { id: 'gap', text: 'clear between strips', hint: 'the gap: edge to next edge' },
          { id: 'pitch', text: 'centre to centre', hint: 'the pitch: gap and one strip' },
        ]}
        onChange={(measure) => set({ ...spacing, measure })}
      />
    </>
  )
}

/** The layout told as a sentence; its underlined words are its controls. */
export function SpacingSentence() {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const { design } = workpiece.wall
  const { spacing } = design
  const { placement, battenMaterial, lines } = plan.layout
  const count = placement?.nearEdges.length ?? 3
  const gapNow =
    placement?.gaps[0] ??
    placement?.leftEnd ??
    Math.max(0, equalGap(lines.right, battenMaterial.width, 3, 'gap'))
  const set = (next: Spacing) => edit([{ type: 'patchDesign', patch: { spacing: next } }], 'done')
  const material = (
    <Choice
      word
      label="Batten material"
      value={design.battenMaterial}
      options={workpiece.settings.materials.map(({ id }) => ({ id, text: materialName(id, wording) }))}
      onChange={(battenMaterial) => edit([{ type: 'patchDesign', patch: { battenMaterial } }], 'done')}
    />
  )
  const school = (
    <Choice<Spacing['school']>
      word
      label="How they are spaced"
      value={spacing.school}
      options={SCHOOLS}
      onChange={(next) => set(changeSchool(next, gapNow, count))}
    />
  )
  const ends =
    'ends' in spacing ? (
      <Choice
        word
        label="What stands at the walls"
        value={spacing.ends}
        options={[
          { id: 'gap', text: 'a gap at each wall' },
          { id: 'strip', text: 'a strip at each wall' },
        ]}
        onChange={(next) => set({ ...spacing, ends: next })}
      />
    ) : null
  switch (spacing.school) {
    case 'equalByCount':
      return (
        <Sentence>
          <CountWord
            label="Number of battens"
            value={spacing.strips}
            least={spacing.ends === 'gap' ? 1 : 2}
            onChange={(strips) => set({ ...spacing, strips })}
          />{' '}
          battens of {material}, {ends}, {school}.
        </Sentence>
      )
    case 'nearWish':
      return (
        <Sentence>
          Battens of {material}, {ends}, {school}, <WishWords spacing={spacing} set={set} />, no less than{' '}
          <EditLengthWord
            field="design.least"
            label="Least clear gap"
            value={spacing.least}
            least={ZERO}
            most={spacing.most}
            toEdits={(least) => [{ type: 'patchDesign', patch: { spacing: { ...spacing, least } } }]}
          />{' '}
          and no more than{' '}
          <EditLengthWord
            field="design.most"
            label="Most clear gap"
            value={spacing.most}
            least={spacing.least}
            toEdits={(most) => [{ type: 'patchDesign', patch: { spacing: { ...spacing, most } } }]}
          />
          .
        </Sentence>
      )
    case 'fromCenter':
      return (
        <Sentence>
          Battens of {material}, {school}, <WishWords spacing={spacing} set={set} />, with{' '}
          <Choice
            word
            label="What sits on the centre line"
            value={spacing.centerOn}
            options={[
              { id: 'strip', text: 'a strip on the centre line' },
              { id: 'gap', text: 'a gap on the centre line' },
            ]}
            onChange={(centerOn) => set({ ...spacing, centerOn })}
          />
          .
        </Sentence>
      )
    case 'fromEnd':
      return (
        <Sentence>
          Battens of {material}, {school}, <WishWords spacing={spacing} set={set} />, from the{' '}
          <Choice
            word
            label="From which end"
            value={spacing.end}
            options={[
              { id: 'left', text: 'left corner' },
              { id: 'right', text: 'right corner' },
            ]}
            onChange={(end) => set({ ...spacing, end })}
          />
          , starting with{' '}
          <Choice
            word
            label="What the layout starts with"
            value={spacing.startWith}
            options={[
              { id: 'gap', text: 'a gap' },
              { id: 'strip', text: 'a strip' },
            ]}
            onChange={(startWith) => set({ ...spacing, startWith })}
          />
          .
        </Sentence>
      )
    case 'centerMarks':
      return (
        <Sentence>
          Battens of {material} on {school} for{' '}
          <CountWord
            label="Number of bays"
            value={spacing.bays}
            least={2}
            onChange={(bays) => set({ ...spacing, bays })}
          />{' '}
          bays.
        </Sentence>
      )
  }
}
