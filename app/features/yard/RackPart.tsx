import { useState } from 'react'
import { Trash2 } from 'lucide-react'
import { styled } from 'styled-components'
import { nextLabel, rackOf } from '~/core/yard/yardState'
import type { useYard } from '~/editor/useYard'
import { inches, type Length } from '~/length'
import { materialName, say, type Wording, yardText } from '~/messages'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { CommitLength } from '~/ui/CommitLength'
import { Fractions } from '~/ui/Fractions'
import { Row, Sheet, Soft } from '~/ui/page'
import { space, type } from '~/ui/theme'

const Rack = styled.ul`
  display: grid;
  gap: ${space.s};
  border-left: 8px solid var(--edge);
  padding-left: ${space.s};
`
const Offcut = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 130px auto;
  gap: ${space.m};
  align-items: center;
`
/** The offcut itself, as long as it is beside the others. */
const Stick = styled.div`
  display: flex;
  align-items: center;
  gap: ${space.s};
  min-width: min-content;
  min-height: 34px;
  padding: 0 ${space.s};
  background: var(--board);
  color: var(--rod-ink);
  border: 1px solid var(--rod-edge);
  font-size: ${type.small};
  white-space: nowrap;
`

/** The rack: offcuts with their labels, as long beside one another as they are; counted and corrected. */
export function RackPart({
  yard,
  wording,
}: {
  readonly yard: ReturnType<typeof useYard>
  readonly wording: Wording
}) {
  const rack = rackOf(yard.acts)
  const [stuff, setStuff] = useState(wording.materials[0]?.id ?? '')
  const [length, setLength] = useState<Length>(inches(36))
  const longest = Math.max(...rack.map((offcut) => offcut.length))
  const label = nextLabel(yard.acts)
  return (
    <Sheet aria-label={yardText.rack}>
      <h2>{yardText.rack}</h2>
      <Soft>{rack.length === 0 ? yardText.rackNone : yardText.rackHelp}</Soft>
      {rack.length > 0 ? (
        <Rack>
          {rack.map((offcut) => (
            <Offcut key={offcut.id} data-offcut={offcut.label}>
              <Stick style={{ width: `${(offcut.length / longest) * 100}%` }}>
                <b>{offcut.label}</b>
                <Fractions
                  text={`${materialName(offcut.material, wording)} ${say(offcut.length, wording)}`}
                />
              </Stick>
              <CommitLength
                label={yardText.measured(offcut.label)}
                value={offcut.length}
                format={wording.format}
                least={inches(1)}
                onDone={(measured) => yard.record({ kind: 'measured', offcut: offcut.id, length: measured })}
              />
              <Button
                $kind="quiet"
                aria-label={yardText.gone(offcut.label)}
                onPress={() => yard.record({ kind: 'gone', offcut: offcut.id })}
              >
                <Trash2 size={17} aria-hidden />
              </Button>
            </Offcut>
          ))}
        </Rack>
      ) : null}
      <Row>
        <Choice<string>
          label={yardText.add}
          value={stuff}
          options={wording.materials.map(({ id }) => ({ id, text: materialName(id, wording) }))}
          onChange={setStuff}
        />
        <CommitLength
          label={yardText.addLengthOf}
          value={length}
          format={wording.format}
          least={inches(1)}
          most={inches(480)}
          onDone={setLength}
        />
        <Button
          onPress={() => yard.record({ kind: 'racked', material: stuff, length, label, job: null, of: null })}
        >
          {yardText.put(label)}
        </Button>
      </Row>
    </Sheet>
  )
}
