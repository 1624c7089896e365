import { useEffect, useMemo, useState } from 'react'
import { type BoardIssue, type BoardPlan, type BoardRequest, planBoardsQuickly } from '~/core/stock'
import type { Result } from '~/length'
import { proveBoards, warmUpBoards } from '~/workers/boardsClient'

/** The boards of one material: the plan so far, and whether a better one is being looked for. */
export interface MaterialBoards {
  readonly request: BoardRequest
  readonly result: Result<BoardPlan, BoardIssue>
  readonly state: 'searching' | 'settled' | 'stopped'
}

export interface Boards {
  readonly materials: readonly MaterialBoards[]
  readonly searching: boolean
  /** Every material has had its first turn: what is shown hardly changes any more. */
  readonly looked: boolean
  /** Pieces of the wall that are cut already, by material; none where nobody asked. */
  readonly cut: ReadonlyMap<string, number>
  /** A handle is held: these are the boards of the wall before the pull. */
  readonly rests: boolean
  readonly stop: () => void
}

const NOTHING_CUT: ReadonlyMap<string, number> = new Map()

/** Wait this long after the last change before the proof is started. */
const PAUSE_MS = 180
/** How long each material is looked at, one round after the other. */
const ROUNDS = [3_000, 20_000] as const

/** The better of two answers for one material: what was found in an earlier turn does not give way to a worse one of a later. */
export function betterBoards(
  old: Result<BoardPlan, BoardIssue> | null,
  fresh: Result<BoardPlan, BoardIssue>,
): Result<BoardPlan, BoardIssue> {
  if (!old?.ok || !fresh.ok || fresh.value.proven) return fresh
  const [a, b] = [old.value, fresh.value]
  const is = b.known.sum - a.known.sum || b.boards.length - a.boards.length || b.bought - a.bought
  const kept = is < 0 ? b : a
  return { ok: true, value: { ...kept, bound: Math.max(a.bound, b.bound) } }
}

/**
 * Board plans that follow what is asked: a good plan with its bound at once, replaced by better ones and the proven one
 * from the worker. A change ends a search that is under way.
 */
export function usePlannedBoards(fresh: readonly BoardRequest[]): Boards {
  const key = JSON.stringify(fresh)
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the key is the request's whole content
  const requests = useMemo(() => fresh, [key])
  const quick = useMemo(() => requests.map((request) => planBoardsQuickly(request)), [requests])
  const [proof, setProof] = useState<{
    key: string
    results: readonly (Result<BoardPlan, BoardIssue> | null)[]
    over: boolean
    looked: boolean
  }>({
    key: '',
    results: [],
    over: false,
    looked: false,
  })
  const [stopped, setStopped] = useState('')

  useEffect(warmUpBoards, [])
  useEffect(() => {
    if (stopped === key) return
    let job: ReturnType<typeof proveBoards> | null = null
    let ended = false
    const timer = setTimeout(async () => {
      const results: (Result<BoardPlan, BoardIssue> | null)[] = requests.map(() => null)
      let open = requests.flatMap((request, i) => (quick[i]?.ok ? [{ request, i }] : []))
      let looked = false
      const show = (over = false) => {
        if (!ended) setProof({ key, results: [...results], over, looked })
      }
      const keep = (i: number, result: Result<BoardPlan, BoardIssue>) => {
        results[i] = betterBoards(results[i] ?? null, result)
        show()
      }
      // every material has its turn before one that is hard has a longer one
      for (const [round, ms] of ROUNDS.entries()) {
        const last = round === ROUNDS.length - 1
        const next: typeof open = []
        for (const { request, i } of open) {
          if (ended) return
          job = proveBoards(request, ms, (plan) => keep(i, { ok: true, value: plan }))
          try {
            const result = await job.answer
            keep(i, result)
            if (result.ok && !result.value.proven) next.push({ request, i })
          } catch {
            // the best plan so far stands, with its bound, and the page says that it is not proven
            next.push({ request, i })
          }
        }
        looked = true
        show(last || next.length === 0)
        if (next.length === 0) return
        open = next
      }
    }, PAUSE_MS)
    return () => {
      ended = true
      clearTimeout(timer)
      job?.cancel()
    }
  }, [key, quick, requests, stopped])

  return useMemo(() => {
    const materials = requests.map((request, i): MaterialBoards => {
      const proven = proof.key === key ? proof.results[i] : null
      const first = quick[i]
      const state = stopped === key || (proof.key === key && proof.over) ? 'stopped' : 'searching'
      if (proven)
        return { request, result: proven, state: proven.ok && !proven.value.proven ? state : 'settled' }
      if (!first) throw new Error(`no first plan for request ${i}`)
      return {
        request,
        result: first,
        state: first.ok ? state : 'settled',
      }
    })
    return {
      materials,
      searching: materials.some(({ state }) => state === 'searching'),
      looked: proof.key === key && proof.looked,
      cut: NOTHING_CUT,
      rests: false,
      stop: () => setStopped(key),
    }
  }, [key, proof, quick, requests, stopped])
}
