import { Check, ChevronDown } from 'lucide-react'
import { memo } from 'react'
import { Button as AriaButton } from 'react-aria-components'
import { styled } from 'styled-components'
import type { CutCard } from '~/core/cutting/cutCards'
import type { ReleasedState } from '~/core/asbuilt/release'
import { edgesOf, type Piece } from '~/core/pieces'
import { useWallEditor } from '~/editor/WallEditor'
import { batchText, listed, materialName, sawText, say, rowNames, workTags } from '~/messages'
import { SteadyButton } from '~/ui/SteadyButton'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { space, touch, type } from '~/ui/theme'
import { CardCuts, CardHow } from './CardDetails'
import { PieceTicks } from './PieceTicks'
import type { RowState } from './useCutList'

/** A tick lays out its own row anew, and none of the others. */
const Item = styled.li`
  contain: layout style;
  border-bottom: 1px solid var(--line);
  &[data-lit] {
    background: var(--chalk-wash);
  }
  & > [data-more] {
    display: none;
    gap: ${space.xs};
    padding: 0 ${space.s} ${space.m} 52px;
  }
  &[data-lit] > [data-more] {
    display: grid;
  }
`
const Line = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
`
const Opener = styled(AriaButton)`
  display: grid;
  grid-template-columns: 36px minmax(0, 1fr) auto 20px;
  align-items: center;
  gap: ${space.s};
  min-height: 48px;
  padding: ${space.xs} ${space.s};
  border: 0;
  background: none;
  color: var(--ink);
  text-align: left;
  cursor: pointer;
  & > b:first-child {
    font-size: ${type.lead};
  }
  &[aria-expanded='true'] > svg {
    transform: rotate(180deg);
  }
  ${touch} {
    min-height: 52px;
  }
`
const What = styled.span`
  min-width: 0;
  font-size: ${type.body};
  line-height: 1.25;
  & small {
    display: block;
    font-size: ${type.small};
    color: var(--ink-soft);
  }
`
const Long = styled.span`
  font-size: ${type.lead};
  font-weight: 700;
  white-space: nowrap;
  & small {
    font-size: ${type.body};
    font-weight: 500;
    color: var(--ink-soft);
  }
`
const Tick = styled(SteadyButton)`
  min-width: 92px;
`

export interface CutRowProps {
  readonly card: CutCard
  /** The pieces of this row. */
  readonly pieces: readonly Piece[]
  readonly lit: boolean
  /** What happened to its pieces; nothing while the list is not released. */
  readonly state: RowState | null
  readonly details: readonly ReleasedState[]
  readonly onPick: (card: CutCard) => void
  readonly onCut: (names: readonly string[]) => void
}

/** Equal pieces in one row of the list: what they are, how many, how long; how they are cut, measured and fixed opens with a press. */
function CutRowPlain({ card, pieces, lit, state, details, onPick, onCut }: CutRowProps) {
  const { wording } = useWallEditor()
  const { row, advice } = card
  const many = row.pieceIds.length
  const tags = workTags(card, wording)
  const cut = state?.cut.length ?? 0
  const done = state !== null && cut === state.names.length
  const open = state?.names.filter((name) => !state.cut.includes(name)) ?? []
  return (
    <Item
      data-pick
      data-row={row.label}
      data-pieces={row.pieceIds.join(' ')}
      data-lit={lit || undefined}
      data-done={done || undefined}
    >
      <Line>
        <Opener aria-expanded={lit} aria-label={`Row ${row.label}`} onPress={() => onPick(card)}>
          <b>{row.label}</b>
          <What>
            {/* what the layout has no more is told by its names */}
            {rowNames(pieces, wording) || listed(state?.names ?? [])}
            <small>
              {batchText(advice, wording).name}
              {state && cut > 0 && !done ? ` · ${sawText.cutOf(cut, many)}` : ''}
            </small>
            {tags.length > 0 ? (
              <small data-work-tags>
                <Fractions text={tags.join(' · ')} />
              </small>
            ) : null}
          </What>
          <Long>
            <span className="number">
              <Fractions text={say(edgesOf(row).measured, wording)} />
            </span>{' '}
            <small>× {many}</small>
          </Long>
          <ChevronDown size={16} aria-hidden />
        </Opener>
        {state ? (
          done ? (
            <Soft as="span" style={{ minWidth: 92, textAlign: 'center' }}>
              <Check size={18} aria-label="cut" /> cut
            </Soft>
          ) : (
            <Tick
              aria-label={`${sawText.cut}: ${open.length === 1 ? (open[0] ?? '') : `one of ${row.label}`}`}
              onPress={() => onCut(open.slice(0, 1))}
            >
              {many === 1 ? sawText.cut : `${cut} / ${many}`}
            </Tick>
          )
        ) : null}
      </Line>
      <div data-more data-part="how" data-batch={advice.advice}>
        <Soft>
          <Fractions text={materialName(row.materialId, wording)} />
        </Soft>
        <CardCuts card={card} />
        <CardHow card={card} pieces={pieces} />
        {lit && state ? (
          <Row>
            <PieceTicks details={details} onCut={onCut} />
          </Row>
        ) : null}
      </div>
    </Item>
  )
}

export const CutRow = memo(
  CutRowPlain,
  (a, b) =>
    a.card === b.card &&
    a.pieces === b.pieces &&
    a.lit === b.lit &&
    a.onPick === b.onPick &&
    a.onCut === b.onCut &&
    JSON.stringify(a.state) === JSON.stringify(b.state) &&
    (!b.lit || a.details === b.details),
)
