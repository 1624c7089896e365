import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import { useStore } from 'zustand'
import { boardFlaws } from '~/core/stock/boardFlaws'
import type { BoardPlan } from '~/core/stock'
import { newToken } from '~/editor/saving/browserSaver'
import { useOutbox } from '~/editor/WallEditor'
import { flawAtName, flawName, flawText, sawText } from '~/messages'
import { FLAW_AT, type Flaw, type FlawAt, FLAWS } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Row, Soft } from '~/ui/page'

/** Boards with something the matter: their pieces go where it shows least. What is said of a board is an act, no undo takes it back. */
export function Flaws({ plan }: { plan: BoardPlan }) {
  const outbox = useOutbox()
  const acts = useStore(outbox.store, (state) => state.acts)
  const { materialId, boards } = plan
  const flaws = boardFlaws(acts).filter((each) => each.materialId === materialId)
  const [open, setOpen] = useState(false)
  const [board, setBoard] = useState('1')
  const [flaw, setFlaw] = useState<Flaw>('knot')
  const [at, setAt] = useState<FlawAt>('first')
  const say = (number: number, what: { flaw: Flaw; at: FlawAt } | null) =>
    outbox.record({
      id: newToken(),
      kind: 'flawed',
      materialId,
      board: number,
      flaw: what,
      doneAt: Date.now(),
    })
  return (
    <div>
      {flaws.map((each) => (
        <Row key={each.board} data-flaw={each.board}>
          <Soft>{flawText(each.board, each.flaw, each.at)}</Soft>
          <Button
            $kind="quiet"
            aria-label={`Board ${each.board} is sound after all`}
            onPress={() => say(each.board, null)}
          >
            <Trash2 size={17} aria-hidden />
          </Button>
        </Row>
      ))}
      {flaws.length > 0 ? <Soft>{sawText.flawsGo}</Soft> : null}
      {open ? (
        <Row>
          <Choice
            label="Board"
            value={board}
            options={boards.map(({ number }) => ({ id: String(number), text: String(number) }))}
            onChange={setBoard}
          />
          <Choice
            label="What is the matter"
            value={flaw}
            options={FLAWS.map((id) => ({ id, text: flawName(id) }))}
            onChange={setFlaw}
          />
          <Choice
            label="Where on it"
            value={at}
            options={FLAW_AT.map((id) => ({ id, text: flawAtName(id) }))}
            onChange={setAt}
          />
          <Button
            onPress={() => {
              say(Number(board), { flaw, at })
              setOpen(false)
            }}
          >
            {sawText.flawKeep}
          </Button>
        </Row>
      ) : (
        <Button $kind="quiet" onPress={() => setOpen(true)}>
          {sawText.flawMark}
        </Button>
      )}
    </div>
  )
}
