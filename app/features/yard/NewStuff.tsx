import { useState } from 'react'
import { useFetcher } from 'react-router'
import { readMaterialLines } from '~/core/files/stockLines'
import type { Units } from '~/length'
import { stockLineProblemText, yardText, whyNot } from '~/messages'
import { STOCK_KINDS, type StockKind, type StockMaterial } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Row, Sheet } from '~/ui/page'
import { TextLines } from '~/ui/TextLines'

/** A name as an id: safe in an address, and told from others by its size. */
function idOf(name: string, width: number): string {
  const plain = name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
  return `${plain === '' ? 'stuff' : plain}-${width}`.slice(0, 64)
}

/** Stuff the crew keeps besides the usual sizes: a line each. */
export function NewStuff({ units }: { readonly units: Units }) {
  const fetcher = useFetcher()
  const [text, setText] = useState('')
  const [kind, setKind] = useState<StockKind>('square')
  const read = readMaterialLines(text, units)
  const keep = async () => {
    if (!read.ok) return
    for (const { name, width, thickness } of read.value) {
      const material: StockMaterial = {
        kind,
        material: { id: idOf(name, width), nominal: name.slice(0, 40), name: '', width, thickness },
      }
      await fetcher.submit(
        { intent: 'keepForCrew', value: JSON.stringify({ material, lengths: [] }) },
        { method: 'post', action: '/yard' },
      )
    }
    setText('')
  }
  return (
    <Sheet aria-label={yardText.newStuff}>
      <h2>{yardText.newStuff}</h2>
      <TextLines
        label={yardText.newStuffHelp}
        value={text}
        onChange={setText}
        rows={2}
        problems={read.ok ? [] : read.issue.map((problem) => stockLineProblemText(problem, units))}
        help=""
      />
      <Row>
        <Choice<StockKind>
          label={yardText.newKind}
          value={kind}
          options={STOCK_KINDS.map((id) => ({ id, text: yardText.kind(id) }))}
          onChange={setKind}
        />
        <Button
          isDisabled={!read.ok || read.value.length === 0}
          why={whyNot.material}
          onPress={() => void keep()}
        >
          {yardText.keepStuff(read.ok ? read.value.length : 0)}
        </Button>
      </Row>
    </Sheet>
  )
}
