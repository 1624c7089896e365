import { Trash2 } from 'lucide-react'
import { styled } from 'styled-components'
import { readHex } from '~/core/agree/wallColors'
import { colorText, SHEEN_NAMES, STATE_NAMES, USE_NAMES } from '~/messages'
import { LIMITS, type Paint, PAINT_USES, SHEENS } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { CommitText } from '~/ui/CommitText'
import { Fold } from '~/ui/Fold'
import { Row } from '~/ui/page'
import { space, touch } from '~/ui/theme'

const Line = styled.div`
  display: grid;
  grid-template-columns: 48px minmax(0, 1fr);
  gap: 0 ${space.m};
  align-items: start;
`
/** The color itself; pressed, the browser's own picker opens. */
const Swatch = styled.input`
  width: 48px;
  height: 48px;
  padding: 0;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: none;
  cursor: pointer;
  ${touch} {
    width: 48px;
  }
`
const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: ${space.m};
`

const day = (text: string) => (text === '' || /^\d{4}-\d\d-\d\d$/.test(text) ? text : null)

/** One color of the job, with all that is known of it. */
export function PaintRow({
  paint,
  used,
  onChange,
  onRemove,
}: {
  readonly paint: Paint
  readonly used: boolean
  readonly onChange: (patch: Partial<Paint>) => void
  readonly onRemove: () => void
}) {
  const { name, code, hex, sheen, use, state, note, batch, triedOn } = paint
  const told = [code, SHEEN_NAMES[sheen], state === 'dropped' ? STATE_NAMES.dropped : '']
  return (
    <Line data-paint={name}>
      <Swatch
        type="color"
        value={hex}
        aria-label={colorText.swatch(name)}
        onChange={(event) => onChange({ hex: readHex(event.target.value) ?? hex })}
      />
      <Fold title={name} aside={told.filter((each) => each !== '').join(', ')}>
        <Fields>
          <CommitText
            label={colorText.name}
            value={name}
            most={LIMITS.name}
            read={(text) => (text === '' ? null : text)}
            problem={colorText.fresh}
            onDone={(value) => onChange({ name: value })}
          />
          <CommitText
            label={colorText.code}
            value={code}
            most={40}
            onDone={(value) => onChange({ code: value })}
          />
          <CommitText
            label={colorText.hex}
            value={hex}
            most={30}
            read={readHex}
            problem={colorText.hexProblem}
            onDone={(value) => onChange({ hex: value })}
          />
          <Choice
            label={colorText.sheen}
            value={sheen}
            options={SHEENS.map((id) => ({ id, text: SHEEN_NAMES[id] }))}
            onChange={(value) => onChange({ sheen: value })}
          />
          <Choice
            label={colorText.use}
            value={use}
            options={PAINT_USES.map((id) => ({ id, text: USE_NAMES[id] }))}
            onChange={(value) => onChange({ use: value })}
          />
          <CommitText
            label={colorText.batch}
            value={batch}
            most={40}
            onDone={(value) => onChange({ batch: value })}
          />
          <CommitText
            label={colorText.triedOn}
            value={triedOn ?? ''}
            most={10}
            placeholder="2026-03-21"
            read={day}
            problem="2026-03-21"
            onDone={(value) => onChange({ triedOn: value === '' ? null : value })}
          />
          <CommitText
            label={colorText.note}
            value={note}
            most={LIMITS.note}
            onDone={(value) => onChange({ note: value })}
          />
        </Fields>
        <Row>
          <Button onPress={() => onChange({ state: state === 'dropped' ? 'listed' : 'dropped' })}>
            {state === 'dropped' ? colorText.back : colorText.drop}
          </Button>
          {used ? null : (
            <Button $kind="quiet" aria-label={colorText.remove(name)} onPress={onRemove}>
              <Trash2 size={18} aria-hidden />
            </Button>
          )}
        </Row>
      </Fold>
    </Line>
  )
}
