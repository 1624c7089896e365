import { rulesOf } from '~/core/patterns/rules'
import { inches } from '~/length'
import { EditLengthWord } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { heightRuleName, materialName, say } from '~/messages'
import { type Design, HEIGHT_RULES, type HeightRule, inForce } from '~/model'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { Sentence } from '~/ui/Sentence'
import { LedgeWords } from './LedgeWords'
import { StandWords } from './StandWords'

/** What the uprights end under: a rail, with a cap or a small shelf on it. */
function TopWords() {
  const { workpiece, wording, edit } = useWallEditor()
  const design = inForce(workpiece.wall.design)
  const patch = (next: Partial<Design>) => edit([{ type: 'patchDesign', patch: next }], 'done')
  const materials = workpiece.settings.materials.map(({ id }) => ({ id, text: materialName(id, wording) }))
  const none = 'none'
  const cap = design.cap ? `${design.cap.lay}:${design.cap.material}` : none
  return (
    <>
      {' '}
      and run up to{' '}
      <Choice
        word
        label="Top rail"
        value={design.topRail?.material ?? none}
        options={[
          { id: none, text: 'the height, without a rail' },
          ...materials.map(({ id, text }) => ({ id, text: `a top rail of ${text}` })),
        ]}
        onChange={(material) => patch({ topRail: material === none ? null : { material } })}
      />
      , with{' '}
      <Choice
        word
        label="Cap"
        value={cap}
        options={[
          { id: none, text: 'no cap' },
          ...materials.flatMap(({ id, text }) => [
            { id: `flat:${id}`, text: `a cap of ${text} laid flat` },
            { id: `edge:${id}`, text: `a cap of ${text} on edge` },
          ]),
        ]}
        onChange={(id) => {
          const [lay, material] = id.split(':')
          if ((lay === 'flat' || lay === 'edge') && material) patch({ cap: { material, lay } })
          else patch({ cap: null })
        }}
      />
      {design.cap?.lay === 'flat' ? (
        <LedgeWords
          name="Cap"
          field="design.cap"
          material={workpiece.settings.materials.find(({ id }) => id === design.cap?.material)}
          ledge={design.cap.ledge}
          toEdits={(ledge) => {
            const { ledge: _, ...cap } = design.cap ?? { material: '', lay: 'flat' as const }
            return [{ type: 'patchDesign', patch: { cap: ledge ? { ...cap, ledge } : cap } }]
          }}
        />
      ) : null}
      . Top of the rail at{' '}
    </>
  )
}

/** What frames the battens: foot, top rail, cap and height, as a sentence of controls. */
export function FrameSentence() {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const design = inForce(workpiece.wall.design)
  const patch = (next: Partial<Design>) => edit([{ type: 'patchDesign', patch: next }], 'done')
  const materials = workpiece.settings.materials.map(({ id }) => ({ id, text: materialName(id, wording) }))
  const foot = design.foot.kind === 'rail' ? `rail:${design.foot.material}` : design.foot.kind
  const { framesItself, places } = rulesOf(design)
  return (
    <Sentence>
      {framesItself ? 'It stands' : 'They stand'}
      {places === 'uprights' ? <StandWords /> : null} on{' '}
      <Choice
        word
        label="What they stand on"
        value={foot}
        options={[
          { id: 'baseboard', text: 'the baseboard' },
          { id: 'floor', text: 'the floor, or what stays there' },
          ...(framesItself
            ? []
            : materials.map(({ id, text }) => ({ id: `rail:${id}`, text: `a bottom rail of ${text}` }))),
        ]}
        onChange={(id) => {
          const [kind, material] = id.split(':')
          if (kind === 'rail' && material) patch({ foot: { kind, material } })
          else if (kind === 'baseboard' || kind === 'floor') patch({ foot: { kind } })
        }}
      />
      {framesItself ? ' and reaches up to ' : <TopWords />}
      <EditLengthWord
        field="design.height"
        label="Height from the finished floor"
        value={plan.layout.height}
        least={inches(1)}
        most={inches(2400)}
        toEdits={(value) => [{ type: 'patchDesign', patch: { height: { rule: 'typed', value } } }]}
      />
      , which is{' '}
      <Choice<HeightRule>
        word
        label="Usual heights"
        value={design.height.rule}
        options={HEIGHT_RULES.map((rule) => ({ id: rule, text: heightRuleName(rule) }))}
        onChange={(rule) =>
          patch({ height: rule === 'typed' ? { rule, value: plan.layout.height } : { rule } })
        }
      />
      {plan.layout.top > plan.layout.height ? (
        <Fractions text={` (cap to ${say(plan.layout.top, wording)})`} />
      ) : null}
      .
    </Sentence>
  )
}
