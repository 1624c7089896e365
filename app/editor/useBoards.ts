import { useEffect, useMemo, useState } from 'react'
import {
  type BoardIssue,
  type BoardPlan,
  type BoardRequest,
  boardRequests,
  planBoardsQuickly,
} from '~/core/stock'
import type { CutRow } from '~/core/pieces'
import type { Result } from '~/length'
import type { Settings } from '~/model'
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
  /** A handle is held: these are the boards of the wall before the pull. */
  readonly rests: boolean
  readonly stop: () => void
}

/** Wait this long after the last change before the proof is started. */
const PAUSE_MS = 180

/**
 * Board plans that follow the cut list: a good plan with its bound at once, replaced by the proven one from
 * the worker. A change ends a search that is under way.
 */
export function useBoards(cutList: readonly CutRow[], settings: Settings): Boards {
  const fresh = boardRequests(cutList, settings)
  const key = JSON.stringify(fresh)
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the key is the request's whole content
  const requests = useMemo(() => fresh, [key])
  const quick = useMemo(() => requests.map((request) => planBoardsQuickly(request)), [requests])
  const [proof, setProof] = useState<{
    key: string
    results: readonly (Result<BoardPlan, BoardIssue> | null)[]
  }>({
    key: '',
    results: [],
  })
  const [stopped, setStopped] = useState('')

  useEffect(warmUpBoards, [])
  useEffect(() => {
    if (stopped === key) return
    let job: ReturnType<typeof proveBoards> | null = null
    let ended = false
    const timer = setTimeout(async () => {
      const results: (Result<BoardPlan, BoardIssue> | null)[] = requests.map(() => null)
      for (const [i, request] of requests.entries()) {
        if (ended) return
        job = proveBoards(request)
        try {
          results[i] = await job.answer
        } catch {
          // the first plan stands, with its bound, and the page says that it is not proven
          if (!ended) setStopped(key)
          return
        }
        if (!ended) setProof({ key, results: [...results] })
      }
    }, PAUSE_MS)
    return () => {
      ended = true
      clearTimeout(timer)
      job?.cancel()
    }
  }, [key, requests, stopped])

  return useMemo(() => {
    const materials = requests.map((request, i): MaterialBoards => {
      const proven = proof.key === key ? proof.results[i] : null
      const first = quick[i]
      if (proven) return { request, result: proven, state: 'settled' }
      if (!first) throw new Error(`no first plan for request ${i}`)
      return {
        request,
        result: first,
        state: first.ok ? (stopped === key ? 'stopped' : 'searching') : 'settled',
      }
    })
    return {
      materials,
      searching: materials.some(({ state }) => state === 'searching'),
      rests: false,
      stop: () => setStopped(key),
    }
  }, [key, proof, quick, requests, stopped])
}
