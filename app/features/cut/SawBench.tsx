import { useEffect, useState } from 'react'
import { Checkbox, CheckboxGroup, Label } from 'react-aria-components'
import { styled } from 'styled-components'
import { EditLength } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, ZERO } from '~/length'
import { sawBenchText, toolName, whyNot } from '~/messages'
import { type Tool, TOOLS } from '~/model'
import { Button } from '~/ui/Button'
import { DegWord } from '~/ui/DegWord'
import { Fold } from '~/ui/Fold'
import { Row, Soft } from '~/ui/page'
import { Pair } from '~/ui/fields'
import { Sentence } from '~/ui/Sentence'
import { TextBox } from '~/ui/TextBox'
import { space, touch } from '~/ui/theme'
import { keepSaw, type KeptSaw, loadSaws } from './keptSaws'

const Ticks = styled(CheckboxGroup)`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space.xs} ${space.m};
  & > span {
    grid-column: 1 / -1;
    font-weight: 600;
  }
`
const Tick = styled(Checkbox)`
  display: flex;
  align-items: center;
  gap: ${space.s};
  min-height: 44px;
  cursor: pointer;
  &::before {
    content: '';
    width: 20px;
    height: 20px;
    border: 1.5px solid var(--edge);
    border-radius: 4px;
    background: var(--raised);
  }
  &[data-selected]::before {
    content: '✓';
    line-height: 18px;
    text-align: center;
    font-weight: 700;
  }
  &[data-focus-visible] {
    outline: 3px solid var(--chalk);
  }
  ${touch} {
    min-height: 48px;
  }
`

/** The saw and the other tools of the job; profiles are kept for the crew and picked for each job. */
export function SawBench() {
  const { workpiece, edit } = useWallEditor()
  const { shop } = workpiece.settings
  const { saw, tools } = shop
  const set = (next: Partial<typeof shop>) => [
    { type: 'patchSettings' as const, patch: { shop: { ...shop, ...next } } },
  ]
  const setSaw = (next: Partial<typeof saw>) => edit(set({ saw: { ...saw, ...next } }), 'done')
  return (
    <Fold title={sawBenchText.title} {...(saw.name ? { aside: saw.name } : {})}>
      <Sentence>
        It swings{' '}
        <DegWord
          label={sawBenchText.swingLeft}
          value={shop.swing}
          least={0}
          most={80}
          onChange={(swing) => edit(set({ swing }), 'done')}
        />{' '}
        to the left and{' '}
        <DegWord
          label={sawBenchText.swingRight}
          value={saw.swingRight ?? shop.swing}
          least={0}
          most={80}
          onChange={(swingRight) => setSaw({ swingRight })}
        />{' '}
        to the right, and its blade tilts{' '}
        <DegWord
          label={sawBenchText.tiltLeft}
          value={saw.tiltLeft}
          least={0}
          most={80}
          onChange={(tiltLeft) => setSaw({ tiltLeft })}
        />{' '}
        to the left and{' '}
        <DegWord
          label={sawBenchText.tiltRight}
          value={saw.tiltRight}
          least={0}
          most={80}
          onChange={(tiltRight) => setSaw({ tiltRight })}
        />{' '}
        to the right.
      </Sentence>
      <Pair>
        <EditLength
          field="saw.crosscut"
          label={sawBenchText.crosscut}
          value={saw.crosscut}
          least={inches(1)}
          most={inches(40)}
          toEdits={(crosscut) => set({ saw: { ...saw, crosscut } })}
        />
        <EditLength
          field="saw.fence"
          label={sawBenchText.fence}
          value={saw.fence}
          least={ZERO}
          most={inches(20)}
          toEdits={(fence) => set({ saw: { ...saw, fence } })}
        />
      </Pair>
      <Detents detents={saw.detents} onChange={(detents) => setSaw({ detents })} />
      <Ticks
        value={tools}
        onChange={(picked) =>
          edit(set({ tools: TOOLS.filter((tool) => picked.includes(tool)) as Tool[] }), 'done')
        }
      >
        <Label>{sawBenchText.tools}</Label>
        {TOOLS.map((tool) => (
          <Tick key={tool} value={tool}>
            {toolName(tool)}
          </Tick>
        ))}
      </Ticks>
      <Kept />
    </Fold>
  )
}

function Detents({
  detents,
  onChange,
}: {
  detents: readonly number[]
  onChange: (detents: number[]) => void
}) {
  const [text, setText] = useState<string | null>(null)
  const keep = () => {
    if (text === null) return
    const read = text
      .split(/[\s,;°]+/)
      .filter((word) => word !== '')
      .map(Number)
    // what can't be read stays in the field, and nothing is kept of it
    if (!read.every((deg) => Number.isFinite(deg) && deg >= 0 && deg <= 80) || read.length > 20) return
    onChange([...new Set(read)].sort((a, b) => a - b))
    setText(null)
  }
  return (
    <TextBox
      label={sawBenchText.detents}
      value={text ?? detents.join(', ')}
      onChange={setText}
      onBlur={keep}
      maxLength={120}
    />
  )
}

/** The crew's saws: this one kept under its name, another one taken for the job. */
function Kept() {
  const { workpiece, edit } = useWallEditor()
  const { shop } = workpiece.settings
  const [saws, setSaws] = useState<readonly KeptSaw[]>([])
  const [name, setName] = useState(shop.saw.name)
  const [said, setSaid] = useState('')
  useEffect(() => {
    let over = false
    loadSaws()
      .then((read) => {
        if (!over) setSaws(read)
      })
      .catch(() => undefined)
    return () => {
      over = true
    }
  }, [])
  const keep = async () => {
    const saw = { ...shop.saw, name: name.trim() }
    try {
      setSaws(await keepSaw({ name: saw.name, swing: shop.swing, kerf: shop.kerf, saw }))
      edit([{ type: 'patchSettings', patch: { shop: { ...shop, saw } } }], 'done')
      setSaid(sawBenchText.kept(saw.name))
    } catch {
      setSaid(sawBenchText.notKept)
    }
  }
  const isHere = ({ swing, kerf, saw }: (typeof saws)[number]) =>
    JSON.stringify([swing, kerf, saw]) === JSON.stringify([shop.swing, shop.kerf, shop.saw])
  return (
    <>
      <Row>
        <TextBox label={sawBenchText.name} value={name} onChange={setName} maxLength={80} />
        <Button isDisabled={name.trim() === ''} why={whyNot.name} onPress={() => void keep()}>
          {sawBenchText.keep}
        </Button>
      </Row>
      <Soft role="status">{said}</Soft>
      {saws.length > 0 ? (
        <Row>
          {saws.map((kept) => (
            <Button
              key={kept.name}
              isDisabled={isHere(kept)}
              why={whyNot.here}
              onPress={() =>
                edit(
                  [
                    {
                      type: 'patchSettings',
                      patch: { shop: { ...shop, swing: kept.swing, kerf: kept.kerf, saw: kept.saw } },
                    },
                  ],
                  'done',
                )
              }
            >
              {sawBenchText.take(kept.name)}
            </Button>
          ))}
        </Row>
      ) : null}
    </>
  )
}
