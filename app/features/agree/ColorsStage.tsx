import { Switch } from 'react-aria-components'
import { styled } from 'styled-components'
import { colorsOf, contrastsOf } from '~/core/agree/wallColors'
import { newToken } from '~/editor/saving/browserSaver'
import { useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { colorText, contrastText, USE_NAMES } from '~/messages'
import { freeName, freshPaint, inForce, type Paint, PAINT_USES, type PaintUse, type WallPaint } from '~/model'
import { AddButton } from '~/ui/AddButton'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fold } from '~/ui/Fold'
import { Row, Soft } from '~/ui/page'
import { space } from '~/ui/theme'
import { AgreeFrame } from './AgreeFrame'
import { Beside, Picture } from './Beside'
import { PaintRow } from './PaintRow'
import { PaperFields } from './PaperFields'

const Panel = styled.div`
  display: grid;
  gap: ${space.l};
`
const Group = styled.section`
  display: grid;
  gap: ${space.s};
`
const Tick = styled(Switch)`
  display: flex;
  align-items: center;
  gap: ${space.s};
  min-height: 48px;
  cursor: pointer;
  & .box {
    display: inline-grid;
    place-items: center;
    width: 26px;
    height: 26px;
    border: 2px solid var(--edge);
    border-radius: 5px;
    background: var(--raised);
    color: var(--green);
    font-weight: 800;
  }
  &[data-focus-visible] .box {
    outline: 3px solid var(--chalk);
  }
`
/** Where a color of its own starts, by what it is for: quiet ones that stand apart. */
const FIRST: Readonly<Record<PaintUse, string>> = {
  trim: '#dcd8cc',
  field: '#7c8a80',
  above: '#ece8dd',
  plates: '#f4f2ec',
}
const AS_IS = 'asIs'

/** What the wall and its trim are painted in, and all colors that were thought of. */
export function ColorsStage() {
  const { workpiece, edit } = useWallEditor()
  const { paints } = workpiece.settings
  const { paint } = inForce(workpiece.wall.design)
  const colors = colorsOf({ paint }, { paints })
  const contrasts = contrastsOf(colors)
  const setPaint = (patch: Partial<WallPaint>) =>
    edit([{ type: 'patchDesign', patch: { paint: { ...paint, ...patch } } }], 'done')
  const setList = (next: readonly Paint[]) =>
    edit([{ type: 'patchSettings', patch: { paints: [...next] } }], 'done')
  const add = (use: PaintUse) => {
    const name = freeName(
      colorText.fresh,
      paints.map((each) => each.name),
    )
    const id = newToken().slice(0, 12)
    const fresh = freshPaint({ id, name, hex: FIRST[use], use })
    edit(
      [
        { type: 'patchSettings', patch: { paints: [...paints, fresh] } },
        { type: 'patchDesign', patch: { paint: { ...paint, [use]: paint[use] ?? id } } },
      ],
      'done',
    )
  }
  const isUsed = (id: string) => PAINT_USES.some((use) => paint[use] === id)
  return (
    <AgreeFrame title={colorText.title}>
      <Beside $panel="400px">
        <Picture>
          <WallStage rods={false} findings={false} height="min(52vh, 440px)" />
          <section aria-label={colorText.contrast}>
            <h2>{colorText.contrast}</h2>
            {contrasts.length === 0 ? <Soft>{colorText.contrastNone}</Soft> : null}
            <ul>
              {contrasts.map((each) => (
                <li key={each.between.join()} data-contrast={each.seen}>
                  {contrastText(each)}
                </li>
              ))}
            </ul>
            {contrasts.length === 0 ? null : <Soft>{colorText.lamp}</Soft>}
          </section>
        </Picture>
        <Panel>
          <Group aria-label={colorText.inUse}>
            <h2>{colorText.inUse}</h2>
            {PAINT_USES.map((use) => (
              <Choice
                key={use}
                label={USE_NAMES[use]}
                value={colors[use]?.id ?? AS_IS}
                options={[
                  { id: AS_IS, text: colorText.asIs },
                  ...[...paints]
                    .filter(({ state, id }) => state === 'listed' || id === paint[use])
                    .sort((a, b) => Number(b.use === use) - Number(a.use === use))
                    .map(({ id, name, code }) => ({
                      id,
                      text: name,
                      ...(code === '' ? {} : { hint: code }),
                    })),
                ]}
                onChange={(id) => setPaint({ [use]: id === AS_IS ? null : id })}
              />
            ))}
            <Row>
              {paint.trim !== null && paint.field !== paint.trim ? (
                <Button onPress={() => setPaint({ field: paint.trim })}>{colorText.sameAsTrim}</Button>
              ) : null}
            </Row>
            <Tick isSelected={paint.base} onChange={(base) => setPaint({ base })}>
              <span className="box" aria-hidden>
                {paint.base ? '✓' : ''}
              </span>
              {colorText.baseboard}
            </Tick>
          </Group>
          <Group aria-label={colorText.list}>
            <h2>{colorText.list}</h2>
            <Soft>{paints.length === 0 ? colorText.none : colorText.listHelp}</Soft>
            {[...paints]
              .sort((a, b) => PAINT_USES.indexOf(a.use) - PAINT_USES.indexOf(b.use))
              .map((each) => (
                <PaintRow
                  key={each.id}
                  paint={each}
                  used={isUsed(each.id)}
                  onChange={(patch) =>
                    setList(paints.map((other) => (other.id === each.id ? { ...other, ...patch } : other)))
                  }
                  onRemove={() => setList(paints.filter(({ id }) => id !== each.id))}
                />
              ))}
            <Row>
              {PAINT_USES.map((use) => (
                <AddButton key={use} what="paints" has={paints.length} onPress={() => add(use)}>
                  {colorText.add(USE_NAMES[use].toLowerCase())}
                </AddButton>
              ))}
            </Row>
          </Group>
          <Fold title={colorText.paper}>
            <PaperFields />
          </Fold>
        </Panel>
      </Beside>
    </AgreeFrame>
  )
}
