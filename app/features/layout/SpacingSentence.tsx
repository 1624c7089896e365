import { rulesOf } from '~/core/patterns/rules'
import { equalGap, fewestStrips } from '~/core/spacing'
import { inches, nearestNanometer, ZERO } from '~/length'
import { type Design, type Measure, type Spacing, inForce } from '~/model'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { EditLengthWord } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { capital, count, fillersText, materialName, shiftText, thingName, patternWords } from '~/messages'
import { Choice } from '~/ui/Choice'
import { Sentence } from '~/ui/Sentence'
import { changeSchool } from './changeSchool'
import { CountWord } from './CountWord'
import { isAxis } from './isAxis'
import { MeasurePicture } from './MeasurePicture'

const SCHOOLS: readonly { id: Spacing['school']; text: string; hint: string }[] = [
  { id: 'nearWish', text: 'equal gaps near a wish', hint: 'the count whose equal gap comes nearest' },
  { id: 'equalByCount', text: 'equal gaps by count', hint: 'you say how many strips' },
  { id: 'fromCenter', text: 'a chosen gap from the center', hint: 'both ends take what is left' },
  { id: 'fromEnd', text: 'a chosen gap from one end', hint: 'the other end takes what is left' },
  { id: 'toStuds', text: 'on the studs', hint: 'a strip on every stud, or on every second' },
  { id: 'placed', text: 'each where it was put', hint: 'keeps the strips where they are now' },
  { id: 'centerMarks', text: 'center marks', hint: 'wall divided by bays; not even, and says by how much' },
]

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
  return (
    <>
      <SchoolSentence />
      <KeptSentence />
    </>
  )
}

/** What was done to the layout besides its school, in words that take it back: a shift, a ledger, fillers. */
function KeptSentence() {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const design = inForce(workpiece.wall.design)
  const shifted = plan.layout.sections[0]?.shifted ?? 0
  const take = (patch: Partial<Design>) => () => edit([{ type: 'patchDesign', patch }], 'done')
  const ledger = plan.layout.bands.some(({ role }) => role === 'ledger')
  if (design.shift === 0 && !ledger && !design.fillers) return null
  return (
    <Sentence>
      {design.shift !== 0 ? (
        <span data-kept="shift">
          <Fractions text={shiftText(design.shift, shifted, wording)} />{' '}
          <Button $kind="quiet" onPress={take({ shift: ZERO })}>
            Put them back
          </Button>
        </span>
      ) : null}
      {ledger ? (
        <span data-kept="ledger">
          They stand on a quarter-round ledger on the baseboard.{' '}
          <Button $kind="quiet" onPress={take({ proud: 'leave' })}>
            Without it
          </Button>
        </span>
      ) : null}
      {design.fillers ? (
        <span data-kept="fillers">
          <Fractions text={fillersText(design.fillers, wording)} />{' '}
          <Button $kind="quiet" onPress={take({ fillers: null })}>
            Without them
          </Button>
        </span>
      ) : null}
    </Sentence>
  )
}

function SchoolSentence() {
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
      // a shift was chosen for the school it was made in, and goes with it
      onChange={(next) =>
        edit(
          [
            {
              type: 'patchDesign',
              patch: { spacing: changeSchool(next, gapNow, placement?.nearEdges ?? []), shift: ZERO },
            },
          ],
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
          {school}, <WishWords spacing={spacing} set={set} />, no less than{' '}
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
                .map(({ id, kind }) => ({ id, text: `of the ${thingName(kind)}` })),
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
