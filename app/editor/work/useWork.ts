import { useCallback, useEffect, useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { useStore } from 'zustand'
import { type LearnedRate, workWithLearned } from '~/core/log/rates'
import { atMinute } from '~/core/sequence/dates'
import { taskId } from '~/core/sequence/roomMaker'
import { workState } from '~/core/sequence/workState'
import { browserWorkOutbox, newToken } from '~/editor/saving/browserSaver'
import { inScope, scopeOf } from './scope'
import { useJobFacts, type WallBodies } from './useJobFacts'
import { type SettingsPage, useJobSettings } from './useJobSettings'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import type { Wording } from '~/messages'
import type { WorkAct } from '~/model'
import type { WorkAsked } from '~/workers/workAsked'
import { findPlan } from '~/workers/workClient'

export interface WorkData extends SettingsPage {
  readonly name: string
  readonly rooms: readonly { readonly id: string; readonly name: string }[]
  readonly walls: readonly (WallBodies & { readonly cut: boolean })[]
  readonly unreadable: readonly string[]
  readonly workActs: readonly WorkAct[]
  /** What the crew's logs tell of its pace. */
  readonly learned: readonly Pick<LearnedRate, 'rate' | 'median' | 'low' | 'high' | 'jobs'>[]
  readonly member: string | null
}

/** An act without what every act has. */
export type NewWorkAct = WorkAct extends infer Each
  ? Each extends WorkAct
    ? Omit<Each, 'id' | 'doneAt' | 'member'>
    : never
  : never

/** Plans begin at whole five minutes, so that they do not change at every glance. */
const STEP = 5
const LOOK_AGAIN_MS = 60_000
const stepped = (minute: number) => Math.ceil(minute / STEP) * STEP

/** The minute by the clock of this browser, in steps; until the page is up that of the server. */
function useNow(first: number): number {
  const [now, setNow] = useState(stepped(first))
  useEffect(() => {
    const look = () => {
      const at = new Date()
      setNow(stepped(Math.floor(at.getTime() / 60_000) - at.getTimezoneOffset()))
    }
    look()
    const timer = setInterval(look, LOOK_AGAIN_MS)
    return () => clearInterval(timer)
  }, [])
  return now
}

/** What stands for a wall that was cut at its own stage. */
function cutAlready(wall: string, now: number): WorkAct {
  return {
    id: `cut ${wall}`,
    doneAt: 0,
    kind: 'taskDone',
    task: taskId('wall', wall, 'cut'),
    at: atMinute(now),
  }
}

/** The work of a job, a room or a wall: its tasks, what happened, and the plan as it follows from both. */
export function useWork(job: WorkData, serverNow: number) {
  const [params, setParams] = useSearchParams()
  const scope = scopeOf(params.get('for'), job)
  const page = useJobSettings(job)
  const { settings, work } = page
  const facts = useJobFacts(job.walls, settings)
  const now = useNow(serverNow)
  const [outbox] = useState(() => browserWorkOutbox(job.id, job.workActs))
  useEffect(() => outbox.start(), [outbox])
  useEffect(() => outbox.learn(job.workActs), [outbox, job.workActs])
  const own = useStore(outbox.store, (state) => state.acts)
  const waiting = useStore(outbox.store, (state) => state.waiting.length)
  // what is done here is done by whoever is signed in here
  const acts = useMemo(
    () => own.map((act): WorkAct => ('member' in act ? act : { ...(act as WorkAct), member: job.member })),
    [own, job.member],
  )
  const record = useCallback(
    (act: NewWorkAct) => outbox.record({ ...act, id: newToken(), doneAt: Date.now() } as WorkAct),
    [outbox],
  )
  const rooms = useMemo(() => inScope(facts.rooms, scope), [facts.rooms, scope])
  // a wall that is cut is cut, whoever ticked it where
  const happened = useMemo(
    () => [...acts, ...job.walls.filter(({ cut }) => cut).map(({ id }) => cutAlready(id, now))],
    [acts, job, now],
  )
  const paced = useMemo(() => workWithLearned(work, job.learned), [work, job.learned])
  const asked = useMemo(
    (): WorkAsked => ({ rooms, work: paced, acts: happened, now }),
    [rooms, paced, happened, now],
  )
  const [stopped, setStopped] = useState<WorkAsked | null>(null)
  const wants = facts.known && rooms.length > 0 && stopped !== asked
  const { answer: plan, searching, failed } = useWorkerAnswer(asked, findPlan, wants)
  const wording = useMemo(
    (): Wording => ({
      format: { units: settings.units, tape: settings.tape },
      materials: settings.materials,
      currency: settings.currency,
    }),
    [settings],
  )
  const places = useMemo(
    () => ({
      rooms: new Map(job.rooms.map(({ id, name }) => [id, name])),
      walls: new Map(job.walls.map(({ id, name }) => [id, name])),
    }),
    [job],
  )
  return {
    ...page,
    scope,
    setScope: (id: string) => setParams(id === 'job' ? {} : { for: id }, { replace: true }),
    facts,
    rooms,
    now,
    member: job.member,
    job: job.id,
    /** This minute, as acts write it. */
    at: () => {
      const at = new Date()
      return atMinute(Math.floor(at.getTime() / 60_000) - at.getTimezoneOffset())
    },
    acts,
    waiting,
    state: useMemo(() => workState(happened), [happened]),
    record,
    asked,
    paced,
    learned: job.learned,
    plan,
    searching: wants && searching,
    failed: failed || facts.failed,
    stop: () => setStopped(asked),
    isStopped: stopped === asked,
    wording,
    places,
  }
}
export type WorkInHand = ReturnType<typeof useWork>
