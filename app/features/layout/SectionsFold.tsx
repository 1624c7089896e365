import { withCount } from '~/core/edits/sectionCount'
import { wishOf } from '~/core/judgement/candidates'
import { rulesOf } from '~/core/patterns/rules'
import { matchEdits, matchGaps, matchMembers } from '~/core/room/matchWalls'
import { EditLengthWord } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { ZERO } from '~/length'
import { capital, count, matchText, say, sectionName, patternWords, leftOutText } from '~/messages'
import { type Design, inForce } from '~/model'
import { Choice } from '~/ui/Choice'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Sentence } from '~/ui/Sentence'
import { Table } from '~/ui/Table'
import { EditButton } from './EditButton'
import { CountWord } from './CountWord'

/** One gap for the sections of this wall: the counts that make them differ least. */
function MatchedSections() {
  const { workpiece, plan, wording } = useWallEditor()
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const walls = [{ id: 'here', workpiece }]
  const wish = wishOf(design, plan.layout)
  const members = matchMembers(walls, wish)
  if (members.length < 2) return null
  const leftOut = members.filter(({ locked, choices }) => !locked && choices.length === 0)
  const nameOf = ({ sectionId }: { sectionId: string }) => {
    const section = plan.layout.sections.find(({ id }) => id === sectionId)
    return section ? sectionName(section, survey) : sectionId
  }
  return (
    <ul aria-label="Matched sections" style={{ display: 'grid', gap: 6 }}>
      {leftOut.length > 0 ? <li>{leftOutText(leftOut.length, leftOut.map(nameOf))}</li> : null}
      {matchGaps(members, wish.wish, 3).map((match) => (
        <li key={match.members.map(({ strips }) => strips).join(' ')}>
          <EditButton edits={matchEdits(walls, match).get('here') ?? []} wide>
            <Fractions text={capital(matchText(match, design.pattern, nameOf, wording))} />
          </EditButton>
        </li>
      ))}
    </ul>
  )
}

/** The parts the wall is laid out in, each with its count and gap, and how much of the wall is covered. */
export function SectionsFold() {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const { layout } = plan
  const patch = (next: Partial<Design>) => edit([{ type: 'patchDesign', patch: next }], 'done')
  const { places, countOf } = rulesOf(design)
  const { many, gap: gapWord } = patternWords(design)
  const extent = design.extent ?? { left: layout.left, right: layout.right }
  return (
    <Fold title="Sections and extent" aside={count(layout.sections.length, 'section')}>
      {places === 'margins' ? null : (
        <Sentence>
          The wall is{' '}
          <Choice
            word
            label="How openings divide the wall"
            value={design.sections}
            options={[
              { id: 'across', text: 'one layout right across', hint: 'openings cut into it where they fall' },
              { id: 'beside', text: 'a layout of its own beside each opening' },
            ]}
            onChange={(sections) => patch({ sections, sectionOwn: {}, shift: ZERO })}
          />
          .
        </Sentence>
      )}
      {layout.sections.length > 0 ? (
        <Table>
          <caption>Each section with its {many}</caption>
          <tbody>
            {layout.sections.map((section) => {
              const strips = section.placement?.nearEdges.length ?? 0
              const now = Math.max(0, countOf(strips))
              const gap = section.placement?.gaps[0] ?? section.placement?.leftEnd
              return (
                <tr key={section.id} data-section={section.id}>
                  <th scope="row">{sectionName(section, survey)}</th>
                  <td>
                    <CountWord
                      label={`Number of ${many}, ${sectionName(section, survey)}`}
                      value={now}
                      least={1}
                      onChange={(n) => patch(withCount(design, section.id, n))}
                    />
                  </td>
                  <td className="number">
                    {gap === undefined ? '' : <Fractions text={`${gapWord} ${say(gap, wording)}`} />}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </Table>
      ) : null}
      <MatchedSections />
      <Sentence>
        Covered is{' '}
        <Choice
          word
          label="How much of the wall is covered"
          value={design.extent ? 'part' : 'all'}
          options={[
            { id: 'all', text: 'all of the wall' },
            { id: 'part', text: 'a part of it' },
          ]}
          onChange={(id) => patch({ extent: id === 'part' ? extent : null })}
        />
        {design.extent ? (
          <>
            , from{' '}
            <EditLengthWord
              field="design.extent.left"
              label="Covered from, from the left corner"
              value={extent.left}
              least={ZERO}
              most={extent.right}
              toEdits={(left) => [{ type: 'patchDesign', patch: { extent: { ...extent, left } } }]}
            />{' '}
            to{' '}
            <EditLengthWord
              field="design.extent.right"
              label="Covered to, from the left corner"
              value={extent.right}
              least={extent.left}
              toEdits={(right) => [{ type: 'patchDesign', patch: { extent: { ...extent, right } } }]}
            />
          </>
        ) : null}
        .
      </Sentence>
    </Fold>
  )
}
