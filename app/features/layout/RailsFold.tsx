import { rulesOf } from '~/core/patterns/rules'
import { Trash2 } from 'lucide-react'
import { newRail } from '~/core/edits/choosePattern'
import { EditLengthWord } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches } from '~/length'
import {
  capital,
  cornerEndName,
  fullText,
  heightRuleName,
  materialName,
  railUseName,
  stripName,
  whyNot,
} from '~/messages'
import {
  LIMITS,
  CORNER_ENDS,
  type CornerEnd,
  type Design,
  HEIGHT_RULES,
  type HeightRule,
  RAIL_USES,
  inForce,
} from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fold } from '~/ui/Fold'
import { Row, Soft } from '~/ui/page'
import { Sentence } from '~/ui/Sentence'
import { LedgeWords } from './LedgeWords'

type Rail = Design['rails'][number]

function RailSentence({ rail }: { rail: Rail }) {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const design = inForce(workpiece.wall.design)
  const put = (next: Partial<Rail>) =>
    design.rails.map((each) => (each.id === rail.id ? { ...each, ...next } : each))
  const patch = (rails: Design['rails']) => edit([{ type: 'patchDesign', patch: { rails } }], 'done')
  const name = wording.strips?.has(rail.id) ? stripName(rail.id, wording) : capital(railUseName(rail.use))
  const top = plan.layout.bands.find(({ id }) => id === rail.id)?.top ?? inches(1)
  return (
    <Sentence>
      {name} of{' '}
      <Choice
        word
        label={`${name}, material`}
        value={rail.material}
        options={workpiece.settings.materials.map(({ id }) => ({ id, text: materialName(id, wording) }))}
        onChange={(material) => patch(put({ material }))}
      />{' '}
      <Choice
        word
        label={`${name}, how it lies`}
        value={rail.lay}
        options={[
          { id: 'edge', text: 'its width on the wall' },
          { id: 'flat', text: 'laid flat' },
        ]}
        onChange={(lay) => patch(put({ lay }))}
      />
      , its top at{' '}
      <EditLengthWord
        field={`design.rails.${rail.id}`}
        label={`${name}, top from the floor`}
        value={top}
        least={inches(1)}
        most={inches(2400)}
        toEdits={(value) => [
          { type: 'patchDesign', patch: { rails: put({ top: { rule: 'typed', value } }) } },
        ]}
      />
      , which is{' '}
      <Choice<HeightRule>
        word
        label={`${name}, usual heights`}
        value={rail.top.rule}
        options={HEIGHT_RULES.map((rule) => ({ id: rule, text: heightRuleName(rule) }))}
        onChange={(rule) => patch(put({ top: rule === 'typed' ? { rule, value: top } : { rule } }))}
      />
      {rail.lay === 'flat' ? (
        <LedgeWords
          name={name}
          field={`design.rails.${rail.id}.ledge`}
          material={workpiece.settings.materials.find(({ id }) => id === rail.material)}
          ledge={rail.ledge}
          toEdits={(ledge) => {
            const { ledge: _, ...plain } = rail
            const next = ledge ? { ...plain, ledge } : plain
            const rails = design.rails.map((each) => (each.id === rail.id ? next : each))
            return [{ type: 'patchDesign', patch: { rails } }]
          }}
        />
      ) : null}
      .{' '}
      <Button
        $kind="quiet"
        aria-label={`Take ${name.toLowerCase()} away`}
        onPress={() => patch(design.rails.filter(({ id }) => id !== rail.id))}
      >
        <Trash2 size={16} aria-hidden />
      </Button>
    </Sentence>
  )
}

/** Horizontals besides those of the pattern, and how horizontals end at the corners of the room. */
export function RailsFold() {
  const { workpiece, edit } = useWallEditor()
  const design = inForce(workpiece.wall.design)
  return (
    <Fold
      title="Rails, shelves, corners"
      aside={design.rails.length === 0 ? 'none of their own' : String(design.rails.length)}
      open={rulesOf(design).places === null}
    >
      {design.rails.map((rail) => (
        <RailSentence key={rail.id} rail={rail} />
      ))}
      <Row>
        {RAIL_USES.map((use) => (
          <Button
            key={use}
            isDisabled={design.rails.length >= LIMITS.rails}
            why={whyNot.full}
            onPress={() => edit(newRail(workpiece, use), 'done')}
          >
            Add a {railUseName(use)}
          </Button>
        ))}
      </Row>
      {design.rails.length >= LIMITS.rails ? <Soft>{fullText('rails')}</Soft> : null}
      <Sentence>
        {(['left', 'right'] as const).map((side) => (
          <span key={side}>
            In the {side} corner horizontals{' '}
            <Choice<CornerEnd>
              word
              label={`Horizontals in the ${side} corner`}
              value={design.corners[side]}
              options={CORNER_ENDS.map((id) => ({ id, ...cornerEndName(id) }))}
              onChange={(end) =>
                edit(
                  [{ type: 'patchDesign', patch: { corners: { ...design.corners, [side]: end } } }],
                  'done',
                )
              }
            />
            .{' '}
          </span>
        ))}
      </Sentence>
    </Fold>
  )
}
