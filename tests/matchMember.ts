import type { MatchMember } from '~/core/room/matchWalls'
import { equalGap } from '~/core/spacing'
import { inches } from '~/length'

/** A member of a match whose boxes on a span with a margin of 4 are 10 to 60 wide. */
export function memberOf(wallId: string, span: number, locked = false): MatchMember {
  const choices = Array.from({ length: 40 }, (_, i) => i + 2)
    .map((strips) => ({ strips, gap: equalGap(inches(span), inches(4), strips, 'strip') }))
    .filter(({ gap }) => gap >= inches(10) && gap <= inches(60))
  const now = choices[0] ?? { strips: 2, gap: 0 }
  return { wallId, sectionId: 'all', locked, strips: now.strips, gap: now.gap, choices }
}
