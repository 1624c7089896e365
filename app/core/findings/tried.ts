import type { Workpiece } from '~/model'
import { computePlan, type Plan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { stripNames } from '../layout/stripNames'
import type { Finding, FindingSays, Severity, WayOut } from './finding'

/** What comes of a fix, by trying it. */
export interface TriedFix {
  /** What it is for is gone then, is less, or is as it was; `now` is the way that is chosen already. */
  readonly mends: 'gone' | 'less' | 'not' | 'now'
  /** What is wrong or needs a look then and does not now, the worst first. */
  readonly causes: readonly FindingSays[]
  /** What strips are called then, for saying that. */
  readonly strips: ReturnType<typeof stripNames>
}

/**
 * What a finding is about, whichever strip shows it: a fix that sends the same trouble to another strip mends nothing. Strips and pieces
 * are named anew by many a fix.
 */
function subjectOf({ says }: Finding): string {
  const about = ['thingId', 'side', 'axis', 'edge', 'what', 'of', 'archId', 'rowId', 'materialId'] as const
  return [says.code, ...about.map((key) => (key in says ? String(says[key as keyof typeof says]) : ''))].join(
    '|',
  )
}

/** How much a finding amounts to, in nanometers or pieces; 1 where it only is or is not. */
export function sizeOf(says: FindingSays): number {
  switch (says.code) {
    case 'stripMeets':
    case 'archOver':
    case 'rowOver':
    case 'bandOffWall':
    case 'leansFar':
    case 'thingOffWall':
    case 'holeShows':
    case 'proudOfStrip':
      return Math.abs(says.by)
    case 'proudOf':
      return says.strip - says.trim
    case 'plateTooNear':
    case 'nearHeat':
      return says.asked - says.space
    case 'gapOutsideLimits':
      return Math.max(says.least - says.gap, says.gap - says.most, 0)
    case 'floorFalls':
    case 'ceilingFalls':
    case 'sideGap':
    case 'lineOpen':
      return Math.abs(says.gap)
    case 'smallPieces':
      return says.pieceIds.length
    case 'lineSliver':
      return says.pieces
    case 'topAboveHead':
      return says.top - says.headLine
    case 'pieceLongerThanBoards':
      return says.length - says.longest
    case 'endSliver':
      return Math.max(1, says.gap - says.end)
    case 'boxBroken':
      return says.boxes
    default:
      return 1
  }
}

/** What offers another way to have something rather than an end to it: it stays, and says what was chosen. */
const CHOICES: ReadonlySet<FindingSays['code']> = new Set([
  'bandJoined',
  'floorFalls',
  'topsFollow',
  'widthChanged',
  'notFlat',
  'sideGap',
])

const RANK: Readonly<Record<Severity, number>> = { wrong: 3, watch: 2, note: 1, good: 0 }
const matters = ({ severity }: Pick<Finding, 'severity'>) => severity === 'wrong' || severity === 'watch'

interface Total {
  readonly count: number
  readonly size: number
  readonly worst: Finding
}

/** How many findings there are of each subject, and what they amount to together. */
function totals(findings: readonly Finding[]): Map<string, Total> {
  const found = new Map<string, Total>()
  for (const each of findings) {
    if (each.severity === 'good') continue
    const key = subjectOf(each)
    const known = found.get(key)
    const size = sizeOf(each.says)
    found.set(key, {
      count: (known?.count ?? 0) + 1,
      size: (known?.size ?? 0) + size,
      worst: known && sizeOf(known.worst.says) >= size ? known.worst : each,
    })
  }
  return found
}

/** Whether another way was chosen, and is no trouble itself. */
function isChosen(finding: Finding, after: Finding): boolean {
  // what is taken up in another way is as wide as before
  if (after.says.code === 'widthChanged') return true
  if (JSON.stringify(after.says) === JSON.stringify(finding.says)) return false
  if (after.says.code === 'notFlat') return !after.says.tooFar
  return after.says.code !== 'sideGap' || !matters(after)
}

/** What a fix of a finding of this plan comes to: the wall is planned again with it. */
export function tryFix(workpiece: Workpiece, plan: Plan, finding: Finding, { edits }: WayOut): TriedFix {
  const changed = applyEdits(workpiece, edits)
  if (JSON.stringify(changed) === JSON.stringify(workpiece))
    return { mends: CHOICES.has(finding.says.code) ? 'now' : 'not', causes: [], strips: new Map() }
  const next = computePlan(changed)
  const [now, then] = [totals(plan.findings), totals(next.findings)]
  const key = subjectOf(finding)
  const [before, after] = [now.get(key), then.get(key)]
  const isLess =
    before !== undefined &&
    after !== undefined &&
    (CHOICES.has(finding.says.code)
      ? isChosen(finding, after.worst)
      : after.count < before.count ||
        after.size < before.size - 2 ||
        RANK[after.worst.severity] < RANK[before.worst.severity])
  const causes = [...then]
    .filter(([of, { count, worst }]) => of !== key && matters(worst) && count > (now.get(of)?.count ?? 0))
    .map(([, { worst }]) => worst)
    .sort((a, b) => Number(a.severity === 'watch') - Number(b.severity === 'watch'))
    .map(({ says }) => says)
  return {
    mends: after === undefined ? 'gone' : isLess ? 'less' : 'not',
    causes,
    strips: causes.length > 0 ? stripNames(next.layout) : new Map(),
  }
}

/** A fix by what it is for, whichever obstacle or strip that is about, and what it says: other figures move while a wall changes. */
export function fixKey({ says }: Finding, way: WayOut): string {
  return JSON.stringify([Object.values(says).filter((each) => typeof each === 'string'), way.says])
}

/** What comes of every fix that a plan offers: by the place of its finding in the plan, and its own in the finding. */
export function tryFixes(workpiece: Workpiece, plan: Plan = computePlan(workpiece)): TriedFix[][] {
  return plan.findings.map((finding) => finding.waysOut.map((way) => tryFix(workpiece, plan, finding, way)))
}
