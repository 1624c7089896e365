import { ChevronLeft, ChevronRight } from 'lucide-react'
import { styled } from 'styled-components'
import { runningMarks } from '~/core/marks/runningMarks'
import { materialName, partName, say, stripName } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Soft, Spread } from '~/ui/page'
import { space, type } from '~/ui/theme'
import { edgesOf } from '~/core/pieces'
import { useSelected, useWallEditor } from './WallEditor'

const Card = styled.section`
  display: grid;
  gap: ${space.s};
  padding-top: ${space.m};
  border-top: 1px solid var(--line);
  & dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 2px ${space.m};
  }
  & dt {
    color: var(--ink-soft);
    font-size: ${type.small};
  }
  & dd {
    font-weight: 600;
  }
`

/** The one strip that is lit everywhere: its marks, its piece and its board, and the way to the next strip. */
export function StripInHand() {
  const { plan, boards, select, wording, workpiece } = useWallEditor()
  const selected = useSelected()
  const strips = [...new Set(plan.pieces.map(({ stripId }) => stripId))]
  const at = selected ? strips.indexOf(selected) : -1
  const step = (by: number) => select(strips[(at + by + strips.length) % strips.length] ?? null)
  const pieces = plan.pieces.filter(({ stripId }) => stripId === selected)
  const mark = runningMarks(plan.layout, 'left', workpiece.settings.tape).find(
    ({ stripId }) => stripId === selected,
  )
  const band = plan.layout.bands.find(({ id }) => id === selected)
  const whereCut = (pieceId: string) => {
    for (const { result } of boards.materials) {
      const board = result.ok
        ? result.value.boards.find((b) => b.pieces.some((p) => p.pieceId === pieceId))
        : undefined
      if (board) return `board ${board.number}`
    }
    return 'no board yet'
  }
  if (strips.length === 0) return null
  return (
    <Card aria-label="Strip in hand">
      <Spread>
        <h2>{selected ? stripName(selected, wording) : 'Strip in hand'}</h2>
        <span>
          <Button $kind="quiet" aria-label="Strip before" onPress={() => step(at < 0 ? 0 : -1)}>
            <ChevronLeft size={20} aria-hidden />
          </Button>
          <Button $kind="quiet" aria-label="Next strip" onPress={() => step(1)}>
            <ChevronRight size={20} aria-hidden />
          </Button>
        </span>
      </Spread>
      {at < 0 ? (
        <Soft>Press a strip to see its marks, its piece and its board.</Soft>
      ) : (
        <dl>
          {mark ? (
            <>
              <dt>left edge</dt>
              <dd>
                <Fractions text={say(mark.near.tick, wording)} />
              </dd>
              <dt>right edge</dt>
              <dd>
                <Fractions text={say(mark.far.tick, wording)} />
              </dd>
            </>
          ) : null}
          {band ? (
            <>
              <dt>from the floor</dt>
              <dd>
                <Fractions text={`${say(band.bottom, wording)} to ${say(band.top, wording)}`} />
              </dd>
            </>
          ) : null}
          {pieces.map((piece) => {
            const row = plan.cutList.find(({ pieceIds }) => pieceIds.includes(piece.id))
            return (
              <div key={piece.id} style={{ display: 'contents' }}>
                <dt>{pieces.length > 1 ? partName(piece.part) : 'cut'}</dt>
                <dd>
                  <Fractions text={say(edgesOf(piece).measured, wording)} /> · {row?.label} ·{' '}
                  {whereCut(piece.id)}
                </dd>
              </div>
            )
          })}
          <dt>of</dt>
          <dd>{pieces[0] ? <Fractions text={materialName(pieces[0].materialId, wording)} /> : null}</dd>
        </dl>
      )}
    </Card>
  )
}
