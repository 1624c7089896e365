import { inches, type Length, millimeters, nearestNanometer } from '~/length'

/** One edge a stud finder called out, from the left corner: where a stud begins or ends. */
export interface StudEdge {
  readonly at: Length
  readonly edge: 'begins' | 'ends'
}

/** Where the studs are thought to be. `confidence` is from 0 to 1. */
export interface StudEstimate {
  readonly centers: readonly Length[]
  readonly spacing: Length | null
  readonly seen: number
  readonly expected: number
  /** Root mean square of how far the seen centers lie from the regular ones, nanometers. */
  readonly scatter: number
  readonly confidence: number
}

/** Studs stand at 16 or 24 in on center (IRC R602, usual spacing); 400 and 600 mm where building is metric. */
const USUAL_SPACINGS = [inches(16), inches(24), millimeters(400), millimeters(600)]

/** A stud is 1 1/2 in thick (PS 20, dry dressed 2x); what is much wider or thinner is no single stud. */
const THICKNESS = inches(1.5)

/** Pairs each beginning with the next ending; what is no stud's width is dropped. */
function centersOf(edges: readonly StudEdge[]): number[] {
  const ordered = [...edges].sort((a, b) => a.at - b.at)
  const centers: number[] = []
  for (const [i, { at, edge }] of ordered.entries()) {
    const next = ordered[i + 1]
    if (edge !== 'begins' || next?.edge !== 'ends') continue
    const width = next.at - at
    if (width > THICKNESS * 0.4 && width < THICKNESS * 1.9) centers.push((at + next.at) / 2)
  }
  return centers
}

/** The best regular row of a spacing through the centers: its offset and how far the centers scatter. */
function fitRow(centers: readonly number[], spacing: number): { first: number; scatter: number } {
  // the circular mean keeps centers on either side of a multiple together
  const angle = (center: number) => (2 * Math.PI * center) / spacing
  const sine = centers.reduce((sum, center) => sum + Math.sin(angle(center)), 0)
  const cosine = centers.reduce((sum, center) => sum + Math.cos(angle(center)), 0)
  const offset = ((Math.atan2(sine, cosine) / (2 * Math.PI)) * spacing + spacing) % spacing
  const off = centers.map((center) => {
    const rest = (((center - offset) % spacing) + spacing) % spacing
    return Math.min(rest, spacing - rest)
  })
  return {
    first: offset,
    scatter: Math.sqrt(off.reduce((sum, each) => sum + each * each, 0) / centers.length),
  }
}

/**
 * Estimates stud centers and spacing from a sweep of edges over the wall's width. With fewer than three studs
 * seen, or when no usual spacing fits within half a stud's thickness, the centers are taken one by one. The
 * confidence is the share of expected studs seen, less what the scatter takes from it.
 */
export function estimateStuds(edges: readonly StudEdge[], width: Length): StudEstimate {
  const centers = centersOf(edges)
  const single = (confidence: number): StudEstimate => ({
    centers: centers.map(nearestNanometer),
    spacing: null,
    seen: centers.length,
    expected: centers.length,
    scatter: 0,
    confidence,
  })
  if (centers.length < 3) return single(centers.length === 0 ? 0 : 0.3)
  const rows = USUAL_SPACINGS.map((spacing) => ({ spacing, ...fitRow(centers, spacing) }))
  const fitting = rows.filter(({ scatter }) => scatter < THICKNESS / 2)
  // of rows that fit, the one whose scatter is least for its spacing: 8 in apart everything fits
  const best = fitting.sort((a, b) => a.scatter / a.spacing - b.scatter / b.spacing)[0]
  if (!best) return single(0.4)
  const expected = Math.floor((width - best.first) / best.spacing) + 1
  const row = Array.from({ length: expected }, (_, i) => nearestNanometer(best.first + i * best.spacing))
  const share = Math.min(1, centers.length / expected)
  return {
    centers: row,
    spacing: best.spacing,
    seen: centers.length,
    expected,
    scatter: best.scatter,
    confidence: share * Math.max(0, 1 - best.scatter / (THICKNESS / 2)),
  }
}
