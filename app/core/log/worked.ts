import type { Act, CountedTime, LogStage, WorkAct } from '~/model'

/** Between two ticks more than this is a pause, and left out. A guess of ours, no source. */
export const PAUSE_MS = 20 * 60_000
/** Ticks nearer than this on the mean were made in one go afterwards: they tell no time. A guess of ours, no source. */
export const IN_ONE_GO_MS = 8_000
/** A start that nobody ended counts no longer than this. A guess of ours, no source. */
export const LEFT_RUNNING_MS = 12 * 3_600_000

/** Time somebody worked, by what says so: pressed, typed afterwards, or ticks alone. */
export interface Worked {
  /** The act that began it: what is struck out. */
  readonly id: string
  /** A stage of this wall, or a task of the job. */
  readonly of: string
  readonly member: string | null
  readonly from: number
  /** Null while it goes on. */
  readonly to: number | null
  readonly by: 'pressed' | 'typed' | 'ticks'
  readonly counted: CountedTime | null
  /** Its end lies before its start, by the clock it was written down with: it counts nothing until somebody says when. */
  readonly backwards: boolean
  /** Ticks in it, and what of its time lies between them. */
  readonly ticks: number
}

/** Minutes of it; none while nobody can say. */
export function minutesOfWork({ from, to, backwards }: Worked, now: number): number {
  if (backwards) return 0
  return Math.max(0, (to ?? Math.min(now, from + LEFT_RUNNING_MS)) - from) / 60_000
}

const TICKS: Readonly<Partial<Record<Act['kind'], LogStage>>> = {
  marked: 'mark',
  pieceCut: 'cut',
  pieceUp: 'fit',
  finishDone: 'finish',
}

/** Acts by when they were done; of the same instant in the order in which they were taken down. */
function inOrder<Of extends { readonly doneAt: number }>(acts: readonly Of[]): Of[] {
  return [...acts].sort((a, b) => a.doneAt - b.doneAt)
}

interface Pressing {
  readonly id: string
  readonly begins: boolean
  readonly of: string
  readonly at: number
  readonly member: string | null
  readonly counted: CountedTime | null
}

/** Starts and ends by one person of one thing, in the order they were taken down: an end before its start is told, not turned round. */
function pressed(all: readonly Pressing[]): Worked[] {
  const open = new Map<string, Pressing>()
  const found: Worked[] = []
  const make = (start: Pressing, to: number | null, counted: CountedTime | null): Worked => ({
    id: start.id,
    of: start.of,
    member: start.member,
    from: start.at,
    to,
    by: 'pressed',
    counted,
    backwards: to !== null && to < start.at,
    ticks: 0,
  })
  for (const each of all) {
    const key = `${each.member ?? ''} ${each.of}`
    const start = open.get(key)
    if (each.begins) {
      // pressed twice: what runs goes on
      if (!start) open.set(key, each)
    } else if (start) {
      found.push(make(start, each.at, each.counted))
      open.delete(key)
    }
  }
  return [...found, ...[...open.values()].map((start) => make(start, null, null))]
}

/** Runs of ticks without a pause between them, of one stage by one person; a lone tick tells no time. */
function byTicks(acts: readonly Act[], covered: readonly Worked[]): Worked[] {
  const groups = new Map<string, Act[]>()
  for (const act of inOrder(acts)) {
    const stage = TICKS[act.kind]
    if (!stage) continue
    const key = `${act.member ?? ''} ${stage}`
    groups.set(key, [...(groups.get(key) ?? []), act])
  }
  return [...groups].flatMap(([key, ticks]) => {
    const stage = key.split(' ')[1] ?? ''
    const spans: Act[][] = []
    for (const tick of ticks) {
      const last = spans.at(-1)?.at(-1)
      if (last && tick.doneAt - last.doneAt <= PAUSE_MS) spans.at(-1)?.push(tick)
      else spans.push([tick])
    }
    return spans.flatMap((span): Worked[] => {
      const [first, last] = [span[0], span.at(-1)]
      if (!first || !last || span.length < 2) return []
      if ((last.doneAt - first.doneAt) / (span.length - 1) < IN_ONE_GO_MS) return []
      const member = first.member ?? null
      const inside = covered.some(
        (each) =>
          each.of === stage &&
          each.member === member &&
          each.from <= last.doneAt &&
          (each.to ?? Infinity) >= first.doneAt,
      )
      if (inside) return []
      return [
        {
          id: first.id,
          of: stage,
          member,
          from: first.doneAt,
          to: last.doneAt,
          by: 'ticks',
          counted: null,
          backwards: false,
          ticks: span.length - 1,
        },
      ]
    })
  })
}

/** What was struck out of a log. */
export function struckOf(acts: readonly { readonly kind: string; readonly entry?: unknown }[]): Set<string> {
  return new Set(acts.flatMap(({ kind, entry }) => (kind === 'struck' ? [String(entry)] : [])))
}

/** The time worked on one wall: what was begun and ended, and what ticks alone tell beside it. Oldest first. */
export function workedOnWall(acts: readonly Act[]): Worked[] {
  const struck = struckOf(acts)
  const presses = acts.flatMap((act): Pressing[] =>
    act.kind === 'began' || act.kind === 'ended'
      ? [
          {
            id: act.id,
            begins: act.kind === 'began',
            of: act.stage,
            at: act.doneAt,
            member: act.member ?? null,
            counted: act.kind === 'ended' ? act.counted : null,
          },
        ]
      : [],
  )
  const began = pressed(presses)
  const counted = began.map((each) => ({
    ...each,
    ticks: acts.filter(
      (act) =>
        TICKS[act.kind] === each.of &&
        (act.member ?? null) === each.member &&
        act.doneAt >= each.from &&
        act.doneAt <= (each.to ?? Infinity),
    ).length,
  }))
  return inTime([...counted, ...byTicks(acts, began)].filter(({ id }) => !struck.has(id)))
}

/** The time worked on the tasks of a job: begun and ended, or typed afterwards. Oldest first. */
export function workedOnJob(acts: readonly WorkAct[]): Worked[] {
  const struck = struckOf(acts)
  const presses = acts.flatMap((act): Pressing[] =>
    act.kind === 'taskBegan' || act.kind === 'taskEnded' || act.kind === 'taskDone'
      ? [
          {
            id: act.id,
            begins: act.kind === 'taskBegan',
            of: act.task,
            at: act.doneAt,
            member: act.member ?? null,
            // a task that is ticked while it runs is ended by that
            counted: act.kind === 'taskBegan' ? null : (act.counted ?? null),
          },
        ]
      : [],
  )
  const typed = acts.flatMap((act): Worked[] =>
    act.kind === 'timed'
      ? [
          {
            id: act.id,
            of: act.task,
            member: act.member ?? null,
            from: act.from,
            to: act.to,
            by: 'typed',
            counted: act.counted,
            backwards: act.to <= act.from,
            ticks: 0,
          },
        ]
      : [],
  )
  return inTime([...pressed(presses), ...typed].filter(({ id }) => !struck.has(id)))
}

function inTime(worked: readonly Worked[]): Worked[] {
  return [...worked].sort((a, b) => a.from - b.from)
}

/** What runs now, by whom. */
export function running(worked: readonly Worked[], of: string, member: string | null): Worked | null {
  return worked.find((each) => each.of === of && each.to === null && each.member === member) ?? null
}
