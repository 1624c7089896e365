import { useMemo } from 'react'
import type { Finding, WayOut } from '~/core/findings/finding'
import { fixKey, type TriedFix } from '~/core/findings/tried'
import type { Plan } from '~/core/computePlan'
import type { Workpiece } from '~/model'
import { searchFixes } from '~/workers/proposalsClient'
import { useWorkerAnswer } from './useWorkerAnswer'

/**
 * What comes of the fixes of a plan, tried in a worker; null of one that is still tried. While a wall changes, a fix that was tried
 * before stands as it did. `failed` where the worker broke down: then nothing is known of any.
 */
export function useTriedFixes(workpiece: Workpiece, { findings }: Plan) {
  const any = findings.some(({ waysOut }) => waysOut.length > 0)
  const asked = useMemo(() => ({ workpiece, findings }), [workpiece, findings])
  const { answer, searching, failed } = useWorkerAnswer(asked, ask, any, 20_000)
  const tried = useMemo(() => {
    const known = new Map<string, TriedFix>()
    answer?.findings.forEach((finding, i) =>
      finding.waysOut.forEach((way, k) => {
        const one = answer.tried[i]?.[k]
        if (one) known.set(fixKey(finding, way), one)
      }),
    )
    return known
  }, [answer])
  const triedOf = (finding: Finding, way: WayOut): TriedFix | null => tried.get(fixKey(finding, way)) ?? null
  return { triedOf, searching, failed: failed && !searching }
}

function ask({
  workpiece,
  findings,
}: {
  readonly workpiece: Workpiece
  readonly findings: Plan['findings']
}) {
  const job = searchFixes(workpiece)
  return { ...job, answer: job.answer.then((tried) => ({ findings, tried })) }
}
