import { useEffect, useMemo, useState } from 'react'
import type { CutCard } from '~/core/cutting/cutCards'
import { sawLimits } from '~/core/cutting/sawSetting'
import { planSetups, sawRows, type SetupPlan } from '~/core/cutting/setups'
import { useWallEditor } from '~/editor/WallEditor'
import { proveSetups } from '~/workers/boardsClient'

/** The set-ups of some cards: a good order at once, the one of fewest when a worker has searched for it. */
export function useSetups(cards: readonly CutCard[]): SetupPlan {
  const { workpiece } = useWallEditor()
  const { shop, materials } = workpiece.settings
  const rows = useMemo(() => sawRows(cards, materials), [cards, materials])
  const saw = useMemo(() => sawLimits(shop), [shop])
  const first = useMemo(() => planSetups(rows, saw, 'atOnce'), [rows, saw])
  const [found, setFound] = useState<{ readonly of: SetupPlan; readonly plan: SetupPlan } | null>(null)
  useEffect(() => {
    if (first.proven) return
    let over = false
    const job = proveSetups(rows, saw)
    job.answer
      .then((plan) => {
        if (!over) setFound({ of: first, plan })
      })
      // the first order stands, with its bound
      .catch(() => undefined)
    return () => {
      over = true
      job.cancel()
    }
  }, [first, rows, saw])
  return found?.of === first ? found.plan : first
}
