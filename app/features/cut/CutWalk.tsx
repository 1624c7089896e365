import { Check, ChevronLeft, ChevronRight } from 'lucide-react'
import { useMemo, useState } from 'react'
import { styled } from 'styled-components'
import type { Release, ReleasedState } from '~/core/asbuilt/release'
import type { CutCard } from '~/core/cutting/cutCards'
import { sawTrips } from '~/core/cutting/openings'
import { edgesOf } from '~/core/pieces'
import { useAwake } from '~/editor/useAwake'
import { useWallEditor } from '~/editor/WallEditor'
import {
  batchText,
  fromBoardsText,
  groupSettingText,
  listed,
  markText,
  materialName,
  sawText,
  say,
  setupsText,
  edgesText,
  edgeTexts,
  visitOfText,
  rowNames,
  whyNot,
} from '~/messages'
import { PieceOnSaw } from '~/drawing/view/PieceOnSaw'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Fold } from '~/ui/Fold'
import { space, type } from '~/ui/theme'
import { Far, Huge, ThumbBar, ThumbDim, ThumbNext, WalkCard, WalkSoft, WalkState } from '~/ui/walk'
import { boardsHolding } from './boardsHolding'
import { CardCuts, CardHow } from './CardDetails'
import { useCutActs } from './CutActs'
import { PieceTicks, ReadTrue } from './PieceTicks'
import { useReleasing } from './Releasing'
import { rowStates } from './useCutList'
import { useSetups } from './useSetups'

/** Mixed numbers stay on one line. */
const Length = styled(Huge)`
  font-size: clamp(72px, 22vw, 128px);
  white-space: nowrap;
`
/** How the saw stands for this card; a change of it is said on a ground of its own. */
const Stands = styled.p`
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
const Drawing = styled.div`
  padding: ${space.s};
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
`
const Bar = styled(ThumbBar)`
  gap: ${space.s};
  & button {
    font-size: ${type.lead};
  }
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

/** One step of the walk: a row that is cut at its stop, or one opening that is read, cut and fitted before the next. */
interface Step {
  readonly key: string
  readonly card: CutCard
  /** The piece whose opening is read; null for a batch. */
  readonly open: ReleasedState | null
  /** Which trip to the saw it belongs to, and which openings are read in that visit. */
  readonly visit: { readonly trip: number; readonly of: number; readonly names: readonly string[] } | null
}

/** Batches first, by their settings; then trip by trip the openings that can be read by then. */
function stepsOf(cards: readonly CutCard[], release: Release | null): Step[] {
  if (!release) return cards.map((card) => ({ key: card.row.label, card, open: null, visit: null }))
  const trips = sawTrips(
    release.pieces.map(({ piece }) => ({
      name: piece.name,
      open: piece.advice.advice !== 'batch',
      after: piece.after,
    })),
  )
  const cardOf = new Map(cards.flatMap((card) => card.row.pieceIds.map((id) => [id, card] as const)))
  const byName = new Map(release.pieces.map((state) => [state.piece.name, state]))
  const batches = cards
    .filter(({ advice }) => advice.advice === 'batch')
    .map((card): Step => ({ key: card.row.label, card, open: null, visit: null }))
  const openings = trips.flatMap((names, i) =>
    names.flatMap((name): Step[] => {
      const state = byName.get(name)
      const card = state && cardOf.get(state.piece.pieceId)
      return state && card && state.piece.advice.advice !== 'batch'
        ? [{ key: name, card, open: state, visit: { trip: i + 1, of: trips.length, names } }]
        : []
    }),
  )
  return [...batches, ...openings]
}

/** How many set-ups what is left takes; worked out when it is looked at. */
function LeftSetups({ left }: { left: readonly Step[] }) {
  const cards = useMemo(() => [...new Set(left.map(({ card }) => card))], [left])
  return <p>{setupsText(useSetups(cards))}</p>
}

/** How the saw must stand for a step that it did not stand at before: another setting, or other stuff at the same one. */
function changeOf(card: CutCard, before: CutCard | undefined): 'saw' | 'stuff' | null {
  if (!before || groupSettingText(card.start, card.end) !== groupSettingText(before.start, before.end))
    return 'saw'
  return card.row.materialId === before.row.materialId ? null : 'stuff'
}

/** At the saw: one card at a time in the list's order of settings, readable from two meters, ticked and turned by thumb. */
export function CutWalk({ cards }: { cards: readonly CutCard[] }) {
  const { plan, boards, wording, select } = useWallEditor()
  const { release, record } = useCutActs()
  const releasing = useReleasing()
  const awake = useAwake()
  const states = rowStates(release)
  const steps = stepsOf(cards, release)
  const openNames = ({ card, open }: Step) => {
    if (open) return open.cutAt === null ? [open.piece.name] : []
    const state = states.get(card.row.label)
    return state?.names.filter((name) => !state.cut.includes(name)) ?? []
  }
  const isOpen = (step: Step) => release === null || openNames(step).length > 0
  const [kept, setKept] = useState<string | null>(null)
  const [lastCut, setLastCut] = useState<{ readonly key: string; readonly names: readonly string[] } | null>(
    null,
  )
  const found = steps.findIndex(({ key }) => key === kept)
  const at = found >= 0 ? found : Math.max(0, steps.findIndex(isOpen))
  const step = steps[at]
  if (!step) return null
  const { card, open, visit } = step
  const left = steps.filter(isOpen)
  const changes = changeOf(card, steps[at - 1]?.card)
  const { row } = card
  const names = openNames(step)
  const ids = open ? [open.piece.pieceId] : row.pieceIds
  const pieces = plan.pieces.filter(({ id }) => ids.includes(id))
  const details = release?.pieces.filter(({ piece }) => ids.includes(piece.pieceId)) ?? []
  const from = boardsHolding(new Set(ids), boards).map(({ number }) => number)
  const goTo = (index: number) => {
    const to = steps[(index + steps.length) % steps.length]
    setKept(to?.key ?? null)
    const id = to?.open?.piece.pieceId ?? to?.card.row.pieceIds[0]
    select(plan.pieces.find((piece) => piece.id === id)?.stripId ?? null)
  }
  const next = () => {
    const later = steps.findIndex((each, i) => i > at && isOpen(each))
    const any = steps.findIndex((each, i) => i !== at && isOpen(each))
    goTo(later >= 0 ? later : any >= 0 ? any : at)
  }
  const cut = (cutNow: readonly string[]) => {
    if (cutNow.length > 0) setLastCut({ key: step.key, names: cutNow })
    record(cutNow, { kind: 'pieceCut' })
  }
  const isCut = (name: string) =>
    release?.pieces.some(({ piece, cutAt }) => piece.name === name && cutAt !== null) === true
  const last =
    lastCut?.names.every(isCut) === true
      ? {
          text: sawText.undoCut(lastCut.names),
          undo: () => {
            record(lastCut.names, { kind: 'pieceUncut' })
            setLastCut(null)
            setKept(lastCut.key)
          },
        }
      : null
  const batch = batchText(card.advice, wording)
  const edges = edgesText(row, wording)
  const done = release !== null && left.length === 0
  const many = open ? 1 : row.pieceIds.length
  return (
    <WalkCard aria-label="One piece at a time">
      {done ? (
        <Far role="status">
          <Check size={24} aria-hidden /> {sawText.allDone(release.pieces.length)}
        </Far>
      ) : null}
      {releasing.form}
      <Far data-testid="cut-walk-where">
        {open ? open.piece.name : row.label} · × {many}
        <small>{sawText.card(at + 1, steps.length)}</small>
      </Far>
      <Stands data-changes={changes ?? undefined} data-testid="cut-walk-saw">
        {changes ? sawText.change[changes] : ''}
        {groupSettingText(card.start, card.end)}. <Fractions text={materialName(row.materialId, wording)} />
      </Stands>
      <Length data-testid="cut-walk-length" aria-live="polite">
        <Fractions text={say(edgesOf(row).measured, wording)} />
      </Length>
      <WalkSoft>
        {edges ? (
          <>
            <Fractions text={edges} />.{' '}
          </>
        ) : null}
        {rowNames(pieces, wording) || listed(details.map(({ piece }) => piece.name))}
        {from.length > 0 ? `. ${fromBoardsText(from)}` : ''}
      </WalkSoft>
      <Drawing>
        <PieceOnSaw card={row} width={330} height={92} texts={edgeTexts(row, wording)} />
        <b>{batch.name}</b>
      </Drawing>
      <WalkState last={last}>
        {release ? sawText.cutOf(many - names.length, many) : sawText.releaseWhy}
      </WalkState>
      {open && visit ? (
        <Drawing data-opening={open.piece.name}>
          <p>{visitOfText(visit)}</p>
          <ReadTrue key={open.piece.name} state={open} />
          {open.cutAt === null ? null : (
            <Button
              onPress={() =>
                record([open.piece.name], { kind: open.upAt === null ? 'pieceUp' : 'pieceDown' })
              }
            >
              {open.upAt === null ? sawText.up : sawText.down}
            </Button>
          )}
        </Drawing>
      ) : null}
      <Drawing>
        <Fold title="How it is cut">
          <CardCuts card={card} />
          <CardHow card={card} pieces={pieces} />
          {release ? (
            <PieceTicks details={details} onCut={(names) => record(names, { kind: 'pieceCut' })} />
          ) : null}
        </Fold>
        <Fold title={sawText.left} aside={String(left.length)}>
          <LeftSetups left={left} />
          <Outline>
            {left.map((each) => (
              <li key={each.key}>
                <b>{each.key}</b>
                <span>
                  {groupSettingText(each.card.start, each.card.end)}
                  {each.open ? '' : `, × ${each.card.row.pieceIds.length}`}
                </span>
                <b>
                  <Fractions text={say(edgesOf(each.card.row).measured, wording)} />
                </b>
              </li>
            ))}
          </Outline>
        </Fold>
      </Drawing>
      {awake === 'none' ? <WalkSoft>{markText.awake}</WalkSoft> : null}
      <Bar data-thumb-bar $columns="64px 92px 1fr">
        <ThumbDim aria-label={sawText.back} onPress={() => goTo(at - 1)}>
          <ChevronLeft size={28} aria-hidden />
        </ThumbDim>
        {release ? (
          <>
            <ThumbDim
              isDisabled={names.length < 2}
              {...(names.length < 2 ? { 'aria-label': `${sawText.cutOne}: ${whyNot.one}` } : {})}
              onPress={() => cut(names.slice(0, 1))}
            >
              {sawText.cutOne}
            </ThumbDim>
            <ThumbNext
              onPress={() => {
                setKept(step.key)
                cut(names)
                // what was read, cut and goes up now stays in hand until it is up
                if (!open) next()
                else if (names.length === 0) next()
              }}
            >
              {names.length === 0 ? 'Next' : open ? sawText.cutThis : sawText.cutAll(names.length)}{' '}
              <ChevronRight size={24} aria-hidden />
            </ThumbNext>
          </>
        ) : (
          <>
            <ThumbDim onPress={() => goTo(at + 1)} aria-label="Card after">
              <ChevronRight size={28} aria-hidden />
            </ThumbDim>
            <ThumbNext onPress={releasing.press}>{sawText.release}</ThumbNext>
          </>
        )}
      </Bar>
    </WalkCard>
  )
}
