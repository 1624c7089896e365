import { readHex } from '~/core/agree/wallColors'
import { buildScene } from '~/core/scene/buildScene'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, ZERO } from '~/length'
import { colorText } from '~/messages'
import { inForce, LIMITS, type Paper, USUAL_PAPER } from '~/model'
import { Choice } from '~/ui/Choice'
import { CommitLength } from '~/ui/CommitLength'
import { CommitText } from '~/ui/CommitText'
import { Soft } from '~/ui/page'

/** How wide a roll usually is: 20 1/2 in, common practice, no source. */
const ROLL = inches(20.5)
const PAPER_FROMS = ['left', 'right', 'middle', 'middleDrop'] as const
const MURAL_FROMS = ['left', 'right', 'middle'] as const

/** Paper in the place of paint above the trim: drops with a repeat, or the panels of a mural. */
export function PaperFields() {
  const { plan, workpiece, wording, edit } = useWallEditor()
  const { paint } = inForce(workpiece.wall.design)
  const { paper } = paint
  const nodes = buildScene(plan, workpiece.wall.survey).nodes
  const set = (next: Paper | null) =>
    edit([{ type: 'patchDesign', patch: { paint: { ...paint, paper: next } } }], 'done')
  const change = (patch: Partial<Paper>) => paper && set({ ...paper, ...patch })
  if (!nodes.some(({ kind }) => kind === 'above')) return <Soft>{colorText.noAbove}</Soft>
  const kind = paper?.kind ?? 'none'
  return (
    <>
      <Choice
        label={colorText.paper}
        value={kind}
        options={[
          { id: 'none', text: colorText.paperNone },
          { id: 'repeat', text: colorText.paperKinds.repeat },
          { id: 'mural', text: colorText.paperKinds.mural },
        ]}
        onChange={(next) =>
          set(next === 'none' ? null : { ...USUAL_PAPER, name: '', width: ROLL, ...paper, kind: next })
        }
      />
      {paper ? (
        <>
          <CommitText
            label={colorText.paperName}
            value={paper.name}
            most={LIMITS.name}
            onDone={(name) => change({ name })}
          />
          <CommitLength
            label={colorText.paperWidth}
            value={paper.width}
            format={wording.format}
            least={inches(1)}
            onDone={(width) => change({ width })}
          />
          <CommitLength
            label={paper.kind === 'mural' ? colorText.paperHeight : colorText.paperRepeat}
            value={paper.height}
            format={wording.format}
            least={ZERO}
            onDone={(height) => change({ height })}
          />
          {paper.kind === 'mural' ? (
            <CommitText
              label={colorText.paperPanels}
              value={String(paper.panels)}
              most={3}
              read={(text) =>
                /^\d+$/.test(text) && Number(text) >= 1 && Number(text) <= LIMITS.panelsOfPaper ? text : null
              }
              problem={`1 to ${LIMITS.panelsOfPaper}`}
              onDone={(text) => change({ panels: Number(text) })}
            />
          ) : null}
          <Choice
            label={colorText.paperFrom}
            value={paper.from}
            options={(paper.kind === 'mural' ? MURAL_FROMS : PAPER_FROMS).map((id) => ({
              id,
              text: colorText.paperFroms[id],
            }))}
            onChange={(from) => change({ from })}
          />
          {paper.kind === 'repeat' ? (
            <>
              <CommitLength
                label={colorText.paperRoll}
                value={paper.roll}
                format={wording.format}
                least={inches(1)}
                onDone={(roll) => change({ roll })}
              />
              {paper.height > 0 ? (
                <Choice
                  label={colorText.paperMatch}
                  value={paper.match}
                  options={(['straight', 'half'] as const).map((id) => ({
                    id,
                    text: colorText.paperMatches[id],
                  }))}
                  onChange={(match) => change({ match })}
                />
              ) : null}
            </>
          ) : null}
          <CommitLength
            label={colorText.paperOver}
            value={paper.over}
            format={wording.format}
            least={ZERO}
            onDone={(over) => change({ over })}
          />
          <CommitText
            label={colorText.paperHex}
            value={paper.hex}
            most={30}
            read={readHex}
            problem={colorText.hexProblem}
            onDone={(hex) => change({ hex })}
          />
          <Soft>{colorText.drops(nodes.filter((node) => node.kind === 'paper').length)}</Soft>
        </>
      ) : null}
    </>
  )
}
