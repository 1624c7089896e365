import { useMemo, useState } from 'react'
import { type BuiltSection, builtWall, offPlan } from '~/core/asbuilt/built'
import { builtHeights, offHeights } from '~/core/asbuilt/builtUp'
import { type ReleasedState, releaseOf } from '~/core/asbuilt/release'
import { type FitCard, fitWalk } from '~/core/fit/fitWalk'
import { newToken } from '~/editor/saving/browserSaver'
import { type PieceAct, useRelease } from '~/editor/useRelease'
import { useActs, useOutbox, useSelected, useWallEditor } from '~/editor/WallEditor'
import { type Length, nearestNanometer, tickOf } from '~/length'
import { heldBy } from '~/core/takeoff/fixings'

/** A card of the walk with what happened to its piece. */
export interface FitStop {
  readonly card: FitCard
  /** What of it was released; null before, and for a piece that came since. */
  readonly state: ReleasedState | null
  readonly name: string
  readonly inPlace: boolean
}

/** The fitting of the wall in hand: its pieces in order, what happened to each, what is up where. */
export function useFit() {
  const { plan, workpiece, select } = useWallEditor()
  const selected = useSelected()
  const outbox = useOutbox()
  const acts = useActs()
  const { release, plan: wanted, freeze, record: recordIn } = useRelease()
  const inPlace = useMemo(
    () =>
      new Set(plan.cutList.flatMap((row) => (wanted.adviceOf(row).advice === 'batch' ? [] : row.pieceIds))),
    [plan, wanted],
  )
  const cards = useMemo(
    () => fitWalk(workpiece, plan, { datum: 'left', hook: 'foot', inPlace }),
    [workpiece, plan, inPlace],
  )
  const labels = useMemo(
    () =>
      new Map(
        plan.cutList.flatMap(({ label, pieceIds }) =>
          pieceIds.map((id, i) => [id, `${label}${i + 1}`] as const),
        ),
      ),
    [plan],
  )
  const stops = useMemo((): FitStop[] => {
    const states = new Map(release?.pieces.map((state) => [state.piece.pieceId, state]))
    return cards.map((card) => {
      const state = states.get(card.pieceId) ?? null
      return {
        card,
        state,
        name: state?.piece.name ?? labels.get(card.pieceId) ?? card.pieceId,
        inPlace: inPlace.has(card.pieceId),
      }
    })
  }, [cards, release, labels, inPlace])
  const built = useMemo(
    (): BuiltSection[] => builtWall(workpiece, plan.layout, acts, release),
    [workpiece, plan, acts, release],
  )
  const tick = tickOf(workpiece.settings.tape)
  const off = useMemo(() => offPlan(built, tick / 2), [built, tick])
  const offUp = useMemo(
    () => offHeights(builtHeights(plan.layout, acts, release), tick / 2),
    [plan, acts, release, tick],
  )
  const [kept, setKept] = useState<string | null>(null)
  const [lastUp, setLastUp] = useState<{ readonly piece: string; readonly wasCut: boolean } | null>(null)
  const isOpen = ({ state }: FitStop) => (state?.upAt ?? null) === null
  const indexOf = (id: string | null) => stops.findIndex(({ card }) => card.pieceId === id)
  const firstOpen = stops.findIndex((stop) => isOpen(stop) && !stop.state?.skipped)
  const any = stops.findIndex(isOpen)
  // the piece in hand, else the strip that is lit, else the first that is not up
  const keptAt = indexOf(kept)
  const lit = selected === null ? -1 : stops.findIndex(({ card }) => card.stripId === selected)
  const at = Math.max(0, [keptAt, lit, firstOpen, any].find((found) => found >= 0) ?? 0)
  const goTo = (index: number) => {
    const stop = stops[(index + stops.length) % Math.max(1, stops.length)]
    setKept(stop?.card.pieceId ?? null)
    select(stop?.card.stripId ?? null)
  }
  /** Takes down what happened to a piece; the list goes out first where it has not, or where the piece came since. */
  const record = (stop: FitStop, act: PieceAct) => {
    const nameIn = () =>
      releaseOf(outbox.store.getState().acts)?.pieces.find(({ piece }) => piece.pieceId === stop.card.pieceId)
        ?.piece.name
    if (nameIn() === undefined) freeze()
    const name = nameIn()
    if (name !== undefined) recordIn([name], act)
  }
  const next = () => {
    const stop = stops[at]
    if (!stop) return
    if (isOpen(stop)) {
      setLastUp({ piece: stop.card.pieceId, wasCut: (stop.state?.cutAt ?? null) !== null })
      const upright = plan.layout.uprights.find(({ id }) => id === stop.card.stripId)
      const band = plan.layout.bands.find(({ id }) => id === stop.card.stripId)
      record(stop, {
        kind: 'pieceUp',
        left: upright ? nearestNanometer(upright.left) : null,
        bottom: band?.bottom ?? null,
      })
    }
    const after = stops.findIndex((each, i) => i > at && isOpen(each))
    const before = stops.findIndex((each, i) => i !== at && isOpen(each))
    if (after >= 0 || before >= 0) goTo(after >= 0 ? after : before)
  }
  /** What went up last by this card, while it is up. */
  const last = stops.find((each) => each.card.pieceId === lastUp?.piece && !isOpen(each)) ?? null
  /** It was not put up after all; what was cut before stays cut. */
  const takeDown = (of: FitStop) => {
    record(of, { kind: lastUp?.wasCut === true ? 'pieceDown' : 'pieceUncut' })
    setLastUp(null)
    goTo(stops.indexOf(of))
  }
  /** Off it comes again: its nails leave holes where they were. */
  const pull = (stop: FitStop) => {
    const own = plan.pieces.filter(({ id }) => id === stop.card.pieceId)
    const nails = heldBy(own, workpiece, workpiece.settings.work.spread).flatMap((held) => held.nailsAt())
    record(stop, {
      kind: 'pulledOff',
      holes: nails.length,
      at: nails.slice(0, 60).map(({ x, y }) => ({ x: nearestNanometer(x), y: nearestNanometer(y) })),
    })
    return nails.length
  }
  const readAt = (
    strip: string,
    edge: 'left' | 'right',
    place: number | null,
    planned: number,
    by: 'tape' | 'laser',
  ) =>
    outbox.record({
      id: newToken(),
      kind: 'builtAt',
      strip,
      edge,
      place: place === null ? null : nearestNanometer(place),
      planned: nearestNanometer(planned),
      with: by,
      doneAt: Date.now(),
    })
  const readHigh = (
    strip: string,
    edge: 'bottom' | 'top',
    place: Length | null,
    planned: Length,
    by: 'tape' | 'laser',
  ) =>
    outbox.record({
      id: newToken(),
      kind: 'builtHeight',
      strip,
      edge,
      place,
      planned,
      with: by,
      doneAt: Date.now(),
    })
  return {
    stops,
    at,
    stop: stops[at] ?? null,
    goTo,
    next,
    last,
    takeDown,
    record,
    pull,
    readAt,
    readHigh,
    release,
    acts,
    built,
    off,
    offUp,
    freeze,
    isOpen,
    tick,
  }
}
export type Fit = ReturnType<typeof useFit>
