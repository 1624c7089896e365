import { changeSchool } from '~/core/edits/changeSchool'
import { rulesOf } from '~/core/patterns/rules'
import { equalGap, fewestStrips } from '~/core/spacing'
import { inches, nearestNanometer, ZERO } from '~/length'
import { type Measure, type Spacing, inForce } from '~/model'
import { EditLengthWord } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { capital, count, materialName, schoolName, thingCalled, patternWords } from '~/messages'
import { Choice } from '~/ui/Choice'
import { Sentence } from '~/ui/Sentence'
import { CountWord } from './CountWord'
import { MoreThan } from './MoreThan'
import { isAxis } from './isAxis'
import { MeasurePicture } from './MeasurePicture'

const SCHOOLS = (
  [
    ['nearWish', 'the count whose equal gap comes nearest'],
    ['equalByCount', 'you say how many strips'],
    ['fromCenter', 'both ends take what is left'],
    ['fromEnd', 'the other end takes what is left'],
    ['toStuds', 'a strip on every stud, or on every second'],
    ['placed', 'keeps the strips where they are now'],
    ['centerMarks', 'wall divided by bays; not even, and says by how much'],
  ] as const
).map(([id, hint]) => ({ id, text: schoolName(id), hint }))

type Wished = Extract<Spacing, { measure: Measure }>

/** A wished number with what it means: clear between strips, or center to center, told by a picture. */
function WishWords({ spacing, set }: { spacing: Wished; set: (next: Spacing) => void }) {
  return (
    <>
      <EditLengthWord
        field="design.wish"
        label={spacing.measure === 'gap' ? 'Gap, clear between strips' : 'Pitch, center to center'}
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
          { id: 'pitch', text: 'center to center', hint: 'the pitch: gap and one strip' },
        ]}
        onChange={(measure) => set({ ...spacing, measure })}
      />
    </>
  )
}

/** The layout told as a sentence; its underlined words are its controls. */
export function SpacingSentence() {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const { spacing } = design
  const { one, many } = patternWords(design)
  const Many = capital(many)
  const { placement, battenMaterial, left, right } = plan.layout
  const gapNow =
    placement?.gaps[0] ??
    placement?.leftEnd ??
    Math.max(0, equalGap(nearestNanometer(right - left), battenMaterial.width, 3, 'gap'))
  const set = (next: Spacing) => edit([{ type: 'patchDesign', patch: { spacing: next } }], 'done')
  const material = (
    <Choice
      word
      label={`${Many.slice(0, -1)} material`}
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
      onChange={(next) =>
        edit(
          [{ type: 'patchDesign', patch: changeSchool(design, next, gapNow, placement?.nearEdges ?? []) }],
          'done',
        )
      }
    />
  )
  const ends =
    'ends' in spacing && !rulesOf(design).givenEnds ? (
      <Choice
        word
        label="What stands at the walls"
        value={spacing.ends}
        options={[
          { id: 'gap', text: 'a gap at each wall' },
          { id: 'strip', text: 'a strip at each wall' },
          { id: 'half', text: 'half a gap at each wall' },
          { id: 'stripGap', text: 'a strip at the left, a gap at the right' },
          { id: 'gapStrip', text: 'a gap at the left, a strip at the right' },
        ]}
        onChange={(next) => set({ ...spacing, ends: next })}
      />
    ) : null
  switch (spacing.school) {
    case 'equalByCount':
      return (
        <Sentence>
          <CountWord
            label={`Number of ${many}`}
            value={spacing.strips}
            least={fewestStrips(spacing.ends)}
            onChange={(strips) => set({ ...spacing, strips })}
          />{' '}
          {many} of {material}, {ends ? <>{ends}, </> : null}
          {school}.
        </Sentence>
      )
    case 'nearWish':
      return (
        <Sentence>
          {Many} of {material}, {ends ? <>{ends}, </> : null}
          {school}, <WishWords spacing={spacing} set={set} />,{' '}
          <MoreThan
            label="Least clear gap, at least or more"
            moreThan={spacing.moreThan}
            onChange={(moreThan) => set({ ...spacing, moreThan })}
          />{' '}
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
          {Many} of {material}, {school}, <WishWords spacing={spacing} set={set} />, with{' '}
          <Choice
            word
            label="What sits on the center line"
            value={spacing.centerOn}
            options={[
              { id: 'strip', text: 'a strip on the center line' },
              { id: 'gap', text: 'a gap on the center line' },
            ]}
            onChange={(centerOn) => set({ ...spacing, centerOn })}
          />{' '}
          <Choice
            word
            label="What it is centered about"
            value={spacing.about ?? 'wall'}
            options={[
              { id: 'wall', text: 'of the wall' },
              ...survey.things
                .filter(({ kind }) => isAxis(kind))
                .map(({ id, kind }) => ({ id, text: `of the ${thingCalled(wording, id, kind)}` })),
            ]}
            onChange={(id) => set({ ...spacing, about: id === 'wall' ? null : id })}
          />
          .
        </Sentence>
      )
    case 'fromEnd':
      return (
        <Sentence>
          {Many} of {material}, {school}, <WishWords spacing={spacing} set={set} />, from the{' '}
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
    case 'toStuds':
      return (
        <Sentence>
          {Many} of {material}, {school}: one on{' '}
          <Choice
            word
            label="On which studs"
            value={String(spacing.every)}
            options={[1, 2, 3, 4].map((every) => ({
              id: String(every),
              text:
                ['every stud', 'every second stud', 'every third stud', 'every fourth stud'][every - 1] ?? '',
            }))}
            onChange={(every) => set({ ...spacing, every: Number(every) })}
          />
          .
        </Sentence>
      )
    case 'placed':
      return (
        <Sentence>
          {count(spacing.nearEdges.length, one, many)} of {material}, {school}.
        </Sentence>
      )
    case 'centerMarks':
      return (
        <Sentence>
          {Many} of {material} on {school} for{' '}
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
