import { FLAT_WAYS, type FlatWay, type Workpiece } from '~/model'
import { flatAdvice, type FlatAdvice } from '../cutting/flat'
import type { Piece } from '../pieces'
import { SKIM_BEYOND } from '../survey/flatness'
import type { Finding, WayOut } from './finding'

function chooseWay(way: FlatWay): WayOut {
  return { says: { code: 'flatWay', way }, edits: [{ type: 'patchDesign', patch: { unflat: way } }] }
}

function deepest(advice: readonly FlatAdvice[]): FlatAdvice | undefined {
  return [...advice].sort((a, b) => b.behind.depth - a.behind.depth)[0]
}

/**
 * Strips the wall is not flat behind, those that are treated alike together, with the other ways to treat them; and strips that are
 * to be pulled in farther than they bend, which stops the work until another way is chosen.
 */
export function flatFindings(workpiece: Workpiece, pieces: readonly Piece[]): Finding[] {
  const advice = flatAdvice(pieces, workpiece)
  const groups = new Map<string, FlatAdvice[]>()
  for (const each of advice) {
    const key = `${each.behind.shape} ${each.way} ${each.tooFar}`
    groups.set(key, [...(groups.get(key) ?? []), each])
  }
  const findings = [...groups.values()].flatMap((group): Finding[] => {
    const worst = deepest(group)
    if (!worst) return []
    const { behind, way, tooFar } = worst
    const stripIds = [...new Set(group.map(({ stripId }) => stripId))]
    return [
      {
        stage: 'layout',
        severity: tooFar ? 'wrong' : way === 'pull' || way === 'fill' ? 'note' : 'watch',
        ...(tooFar ? { blocks: { key: `bends.${behind.shape}`, figure: behind.depth } } : {}),
        says: {
          code: 'notFlat',
          shape: behind.shape,
          depth: behind.depth,
          length: behind.length,
          way,
          tooFar,
          stripIds,
        },
        stripIds,
        waysOut: FLAT_WAYS.filter(
          (each) => each !== way && !(each === 'shim' && behind.shape === 'belly'),
        ).map(chooseWay),
      },
    ]
  })
  const deep = deepest(advice.filter(({ behind }) => behind.depth > SKIM_BEYOND))
  return deep
    ? [
        ...findings,
        {
          stage: 'layout',
          severity: 'watch',
          says: { code: 'skimFirst', depth: deep.behind.depth, beyond: SKIM_BEYOND as never },
          stripIds: [deep.stripId],
          waysOut: [],
        },
      ]
    : findings
}
