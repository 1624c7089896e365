import type { Act, NoteKind, WorkAct } from '~/model'
import { minutesOfWork, struckOf, type Worked } from './worked'

/** One line of a day's page. */
export type DayLine =
  | {
      readonly kind: 'worked'
      readonly id: string
      readonly at: number
      readonly place: string
      readonly of: string
      readonly member: string | null
      readonly minutes: number
      readonly by: Worked['by']
      readonly backwards: boolean
      readonly running: boolean
    }
  | {
      readonly kind: 'done'
      readonly id: string
      readonly at: number
      readonly place: string
      readonly what: 'marked' | 'cut' | 'up' | 'spoiled' | 'pulled' | 'finish' | 'task' | 'read'
      /** Names of what was done, or how many. */
      readonly names: readonly string[]
      readonly member: string | null
    }
  | {
      readonly kind: 'noted'
      readonly id: string
      readonly at: number
      readonly place: string
      readonly what: NoteKind
      readonly text: string
      readonly spot: { readonly x: number; readonly y: number } | null
      readonly photo: string | null
      readonly member: string | null
    }
  | {
      readonly kind: 'used'
      readonly id: string
      readonly at: number
      readonly place: string
      readonly product: string
      readonly color: string
      readonly batch: string
      readonly member: string | null
    }

export interface DayPage {
  /** Days since 1970 by the clock on the wall. */
  readonly day: number
  readonly lines: readonly DayLine[]
}

/** What happened at a place: a wall, or the job itself under an empty name. */
export interface PlaceActs {
  readonly place: string
  readonly acts: readonly (Act | WorkAct)[]
  readonly worked: readonly Worked[]
}

const DONE: Readonly<Partial<Record<string, Extract<DayLine, { kind: 'done' }>['what']>>> = {
  marked: 'marked',
  pieceCut: 'cut',
  pieceUp: 'up',
  spoiled: 'spoiled',
  pulledOff: 'pulled',
  finishDone: 'finish',
  taskDone: 'task',
  builtAt: 'read',
  builtHeight: 'read',
}

function nameOf(act: Act | WorkAct): string {
  if ('piece' in act) return act.piece
  if ('item' in act) return act.item
  if ('strip' in act) return act.strip
  if ('task' in act) return act.task
  return ''
}

/**
 * The pages of the days, newest first, as they write themselves: time worked, what was marked, cut and fitted (of one place and one person
 * together), notes, what was used. `dayOf` tells the day by the clock on the wall. What was struck out is not in it.
 */
export function dayPages(
  places: readonly PlaceActs[],
  now: number,
  dayOf: (at: number) => number,
): DayPage[] {
  const days = new Map<number, DayLine[]>()
  const put = (line: DayLine) => {
    const day = dayOf(line.at)
    days.set(day, [...(days.get(day) ?? []), line])
  }
  for (const { place, acts, worked } of places) {
    const struck = struckOf(acts)
    for (const each of worked)
      put({
        kind: 'worked',
        id: each.id,
        at: each.from,
        place,
        of: each.of,
        member: each.member,
        minutes: minutesOfWork(each, now),
        by: each.by,
        backwards: each.backwards,
        running: each.to === null,
      })
    const together = new Map<string, Extract<DayLine, { kind: 'done' }>>()
    for (const act of acts) {
      if (struck.has(act.id)) continue
      const member = act.member ?? null
      if (act.kind === 'noted')
        put({
          kind: 'noted',
          id: act.id,
          at: act.doneAt,
          place,
          what: act.what,
          text: act.text,
          spot: act.at,
          photo: act.photo,
          member,
        })
      else if (act.kind === 'used') put({ ...act, kind: 'used', at: act.doneAt, place, member })
      const what = DONE[act.kind]
      if (!what) continue
      const key = `${dayOf(act.doneAt)} ${what} ${member ?? ''}`
      const known = together.get(key)
      const name = nameOf(act)
      together.set(key, {
        kind: 'done',
        id: known?.id ?? act.id,
        at: Math.max(known?.at ?? 0, act.doneAt),
        place,
        what,
        names: [...new Set([...(known?.names ?? []), name])],
        member,
      })
    }
    for (const line of together.values()) put(line)
  }
  return [...days]
    .sort(([a], [b]) => b - a)
    .map(([day, lines]) => ({ day, lines: lines.sort((a, b) => a.at - b.at) }))
}
