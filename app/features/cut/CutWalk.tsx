import { Check, ChevronLeft, ChevronRight } from 'lucide-react'
import { useState } from 'react'
import { styled } from 'styled-components'
import type { CutCard } from '~/core/cutting/cutCards'
import { planSetups } from '~/core/cutting/setups'
import { sawLimits } from '~/core/cutting/sawSetting'
import { useAwake } from '~/editor/useAwake'
import { useWallEditor } from '~/editor/WallEditor'
import {
  batchText,
  groupSettingText,
  markText,
  materialName,
  sawText,
  say,
  setupsText,
  shortPointText,
} from '~/messages'
import { PieceOnSaw } from '~/drawing/view/PieceOnSaw'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Fold } from '~/ui/Fold'
import { low, narrow, space, type } from '~/ui/theme'
import { CardCuts, CardHow } from './CardDetails'
import { useCutActs } from './CutActs'
import { PieceTicks } from './PieceTicks'
import { rowNames } from './rowNames'
import { rowStates } from './useCutList'

const Card = styled.section`
  display: none;
  ${narrow} {
    order: -1;
    display: grid;
    gap: ${space.xs};
    margin: 0 0 ${space.m};
    padding: ${space.m} ${space.l};
    border-radius: 12px;
    background: var(--bar);
    color: var(--bar-ink);
    & :focus-visible {
      outline-color: var(--bar-ink);
    }
  }
`
const Huge = styled.p`
  font-size: clamp(72px, 22vw, 128px);
  line-height: 1.05;
  font-weight: 750;
  letter-spacing: -0.02em;
  white-space: nowrap;
  ${low} {
    font-size: min(128px, 34vh);
  }
`
const Far = styled.p`
  font-size: 1.375rem;
  line-height: 1.25;
  font-weight: 600;
  & small {
    float: right;
    font-size: ${type.lead};
    font-weight: 500;
    color: var(--bar-soft);
  }
`
/** How the saw stands for this card; a change of it is said on a ground of its own. */
const Set = styled.p`
  min-height: 2.6em;
  font-size: ${type.lead};
  line-height: 1.3;
  color: var(--bar-soft);
  &[data-changes] {
    padding: ${space.xs} ${space.s};
    border-radius: 6px;
    background: var(--rod);
    color: var(--rod-ink);
    font-weight: 650;
  }
`
const Soft = styled.p`
  font-size: ${type.lead};
  color: var(--bar-soft);
`
const Drawing = styled.div`
  padding: ${space.s};
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
`
const Way = styled.div`
  ${narrow} {
    position: fixed;
    z-index: 6;
    inset: auto 0 0;
    display: grid;
    grid-template-columns: 64px 92px 1fr;
    gap: ${space.s};
    padding: ${space.s} ${space.m} calc(${space.s} + env(safe-area-inset-bottom));
    background: var(--bar);
    border-top: 1px solid var(--bar-soft);
    & button {
      min-height: 72px;
      font-size: ${type.lead};
    }
  }
`
const Next = styled(Button)`
  background: var(--rod);
  color: var(--rod-ink);
`
const Dim = styled(Button)`
  background: none;
  color: var(--bar-ink);
`
const Outline = styled.ol`
  display: grid;
  gap: ${space.xs};
  & li {
    display: grid;
    grid-template-columns: 2em 1fr auto;
    gap: ${space.s};
  }
`

/** At the saw: one card at a time in the list's order of settings, readable from two metres, ticked and turned by thumb. */
export function CutWalk({ cards }: { cards: readonly CutCard[] }) {
  const { plan, wording, workpiece, select } = useWallEditor()
  const { release, record, freeze } = useCutActs()
  const awake = useAwake()
  const states = rowStates(release)
  const isOpen = ({ row }: CutCard) => {
    const state = states.get(row.label)
    return !state || state.cut.length < state.names.length
  }
  const [label, setLabel] = useState<string | null>(null)
  const kept = cards.findIndex(({ row }) => row.label === label)
  const at = kept >= 0 ? kept : Math.max(0, cards.findIndex(isOpen))
  const card = cards[at]
  if (!card) return null
  const left = cards.filter(isOpen)
  const before = cards[at - 1]
  const changes = before?.group !== card.group
  const { row } = card
  const state = states.get(row.label)
  const open = state?.names.filter((name) => !state.cut.includes(name)) ?? []
  const pieces = plan.pieces.filter(({ id }) => row.pieceIds.includes(id))
  const details = release?.pieces.filter(({ piece }) => row.pieceIds.includes(piece.pieceId)) ?? []
  const goTo = (index: number) => {
    const to = cards[(index + cards.length) % cards.length]
    setLabel(to?.row.label ?? null)
    const first = plan.pieces.find(({ id }) => id === to?.row.pieceIds[0])
    select(first?.stripId ?? null)
  }
  const next = () => {
    const later = cards.findIndex((each, i) => i > at && isOpen(each))
    const any = cards.findIndex((each, i) => i !== at && isOpen(each))
    goTo(later >= 0 ? later : any >= 0 ? any : at)
  }
  const saw = sawLimits(workpiece.settings.shop)
  const batch = batchText(card.advice, wording)
  const done = release !== null && left.length === 0
  return (
    <Card aria-label="One piece at a time">
      {done ? (
        <Far role="status">
          <Check size={24} aria-hidden /> {sawText.allDone(release.pieces.length)}
        </Far>
      ) : null}
      <Far data-testid="cut-walk-where">
        {row.label} · × {row.pieceIds.length}
        <small>{sawText.card(at + 1, cards.length)}</small>
      </Far>
      <Set data-changes={changes || undefined} data-testid="cut-walk-saw">
        {changes ? sawText.change : ''}
        {groupSettingText(card.start, card.end)}. {materialName(row.materialId, wording)}
      </Set>
      <Huge data-testid="cut-walk-length" aria-live="polite">
        <Fractions text={say(row.cutLength, wording)} />
      </Huge>
      <Soft>
        {row.shortLength < row.longLength ? (
          <>
            <Fractions text={shortPointText(row.shortLength, wording)} />.{' '}
          </>
        ) : null}
        {rowNames(pieces, wording)}
      </Soft>
      <Drawing>
        <PieceOnSaw card={row} width={330} height={92} texts={{ long: '', short: null }} />
        <b>{batch.name}</b>
      </Drawing>
      <Soft role="status">
        {state ? sawText.cutOf(state.cut.length, state.names.length) : sawText.releaseWhy}
      </Soft>
      <Drawing>
        <Fold title="How it is cut">
          <CardCuts card={card} />
          <CardHow card={card} pieces={pieces} />
          {release ? (
            <PieceTicks details={details} onCut={(names) => record(names, { kind: 'pieceCut' })} />
          ) : null}
        </Fold>
        <Fold title={sawText.left} aside={String(left.length)}>
          <p>
            {setupsText(
              planSetups(
                left.map((each) => ({ ...each.row, advice: each.advice.advice })),
                saw,
              ),
            )}
          </p>
          <Outline>
            {left.map((each) => (
              <li key={each.row.label}>
                <b>{each.row.label}</b>
                <span>
                  {groupSettingText(each.start, each.end)}, × {each.row.pieceIds.length}
                </span>
                <b>
                  <Fractions text={say(each.row.cutLength, wording)} />
                </b>
              </li>
            ))}
          </Outline>
        </Fold>
      </Drawing>
      {awake === 'none' ? <Soft>{markText.awake}</Soft> : null}
      <Way data-thumb-bar>
        <Dim aria-label={sawText.back} onPress={() => goTo(at - 1)}>
          <ChevronLeft size={28} aria-hidden />
        </Dim>
        {release ? (
          <>
            <Dim isDisabled={open.length < 2} onPress={() => record(open.slice(0, 1), { kind: 'pieceCut' })}>
              {sawText.cutOne}
            </Dim>
            <Next
              onPress={() => {
                record(open, { kind: 'pieceCut' })
                next()
              }}
            >
              {open.length === 0 ? 'Next' : sawText.cutAll(open.length)}{' '}
              <ChevronRight size={24} aria-hidden />
            </Next>
          </>
        ) : (
          <>
            <Dim onPress={() => goTo(at + 1)} aria-label="Card after">
              <ChevronRight size={28} aria-hidden />
            </Dim>
            <Next onPress={freeze}>{sawText.release}</Next>
          </>
        )}
      </Way>
    </Card>
  )
}
