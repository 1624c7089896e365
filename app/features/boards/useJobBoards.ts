import { asRooms } from '~/core/room/beside'
import { useCallback, useMemo } from 'react'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { usePlannedBoards } from '~/editor/usePlannedBoards'
import { useYard } from '~/editor/useYard'
import { cutForNothing, inHandOf, jobRequests, type JobWish, stillToCut } from '~/core/yard/jobRequests'
import { stockChanges } from '~/core/yard/stockChanges'
import type { WallOfJob } from '~/core/yard/wallLeft'
import { boughtOf, wishOf } from '~/core/yard/yardState'
import type { Wording } from '~/messages'
import type { Act, Bodies, Settings, StockLength, StockMaterial, Supplier, YardAct } from '~/model'
import { findLeft } from '~/workers/boardsClient'

interface Kept<Body> {
  readonly id: string
  readonly revision: number
  readonly body: Body
}

export interface JobData {
  readonly id: string
  readonly name: string
  readonly rooms: readonly { readonly id: string; readonly name: string }[]
  readonly walls: readonly {
    readonly id: string
    readonly name: string
    readonly room: string
    readonly acts: readonly Act[]
    readonly survey: Kept<Bodies['survey']>
    readonly design: Kept<Bodies['design']>
  }[]
  readonly unreadable: readonly string[]
  readonly settings: Kept<Settings>
  readonly stock: {
    readonly materials: readonly StockMaterial[]
    readonly lengths: readonly StockLength[]
    readonly suppliers: readonly Supplier[]
  }
  readonly acts: readonly YardAct[]
}

/** What is planned together: the job, a room (room:id) or a wall (wall:id). */
export type Scope = 'job' | `room:${string}` | `wall:${string}`

const isIn = (scope: Scope, { id, room }: JobData['walls'][number]) =>
  scope === 'job' || scope === `room:${room}` || scope === `wall:${id}`

/** The boards of a job, a room or a wall: its pieces, what is in hand, the plan of each material as it gets better. */
export function useJobBoards(job: JobData, scope: Scope) {
  const yard = useYard(job.acts)
  const { acts } = yard
  const settings = job.settings.body
  const chosen = useMemo(() => job.walls.filter((wall) => isIn(scope, wall)), [job, scope])
  // what rails meet in a corner hangs on the walls that are left out of the scope as well
  const met = useMemo(
    () =>
      asRooms(
        job.walls.map(({ id, room, survey, design }) => ({
          id,
          room,
          workpiece: { wall: { survey: survey.body, design: design.body }, settings },
        })),
      ),
    [job, settings],
  )
  const walls = useMemo(
    () =>
      chosen.flatMap(({ id, name, acts: done }): WallOfJob[] => {
        const own = met.find((each) => each.id === id)
        return own ? [{ id, name, workpiece: own.workpiece, acts: done }] : []
      }),
    [chosen, met],
  )
  const { answer, failed, searching } = useWorkerAnswer(walls, findLeft, walls.length > 0)
  const lefts = useMemo(() => (searching ? [] : (answer ?? [])), [answer, searching])
  const all = useMemo(() => lefts.flatMap((each) => each.pieces), [lefts])
  const used = useMemo(() => [...new Set(all.map(({ material }) => material))], [all])
  const stateOf = useMemo(() => {
    const of = (state: StockLength['state']) =>
      settings.shop.offers.filter((offer) =>
        job.stock.lengths.some(
          (each) => each.material === offer.material && each.length === offer.length && each.state === state,
        ),
      )
    return { out: of('out'), later: of('later') }
  }, [job, settings])
  const wanted = useMemo(
    (): JobWish => ({
      wish: wishOf(acts, job.id),
      inHand: inHandOf(acts, job.id, lefts, settings),
      out: stateOf.out.map(({ id }) => id),
    }),
    [acts, job, lefts, settings, stateOf],
  )
  const pieces = useMemo(() => stillToCut(all, acts, job.id), [all, acts, job])
  const forNothing = useMemo(
    () =>
      cutForNothing(
        all,
        new Set(lefts.flatMap(({ cut }) => cut)),
        lefts.map(({ wall }) => wall),
        acts,
        job.id,
      ).length,
    [all, lefts, acts, job],
  )
  const several = lefts.filter((each) => each.pieces.length > 0).length > 1
  const asked = useCallback(
    (how: JobWish) => {
      const names = new Map(walls.map(({ id, name }) => [id, name]))
      return jobRequests(pieces, settings, how, ({ label, wall }) =>
        several ? `${label} ${names.get(wall) ?? ''}` : label,
      )
    },
    [pieces, settings, walls, several],
  )
  const requests = useMemo(() => asked(wanted), [asked, wanted])
  const boards = usePlannedBoards(requests)
  const wording = useMemo(
    (): Wording & { readonly currency: string } => ({
      format: { units: settings.units, tape: settings.tape },
      materials: settings.materials,
      currency: settings.currency,
    }),
    [settings],
  )
  return {
    yard,
    settings,
    chosen,
    walls,
    pieces,
    /** Walls of which nothing is left to cut. */
    done: lefts.filter((each) => each.pieces.length === 0 && each.cut.length > 0).map(({ name }) => name),
    forNothing,
    wanted,
    /** What would be asked for if it were wished otherwise. */
    asked,
    boards,
    wording,
    bought: useMemo(() => boughtOf(acts, job.id), [acts, job]),
    changes: useMemo(() => stockChanges(used, settings, job.stock.lengths), [used, settings, job]),
    outOfStock: stateOf.out.filter(({ material }) => used.includes(material)),
    later: stateOf.later.filter(({ material }) => used.includes(material)),
    state: failed ? ('failed' as const) : searching ? ('working' as const) : ('known' as const),
  }
}
export type JobBoards = ReturnType<typeof useJobBoards>
