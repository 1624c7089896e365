import type { MarkingWay, SimulatedWay } from '~/core/evenness/simulate'
import type { Proved } from '~/core/evenness/tools'
import type { ToolProved } from '~/model'
import { NM_PER_INCH, NM_PER_MM } from '~/length'
import { sayWithUnit, type Wording } from './words'

export const markingWayName = (way: MarkingWay): string =>
  ({
    stepping: 'The tape stepped from mark to mark',
    running: 'Running marks from one hook',
    block: 'A spacer block',
    blockChecked: 'A block, checked on a mark every four',
  })[way]

/** Finer than the tape: to a 64th of an inch, or a tenth of a millimeter. */
export function fineSaid(nm: number, w: Wording): string {
  if (w.format.units === 'mm') return `${(nm / NM_PER_MM).toFixed(1)} mm`
  let [top, bottom] = [Math.round((nm / NM_PER_INCH) * 64), 64]
  if (top === 0) return nm > 0 ? 'under 1/64 in' : '0'
  while (top % 2 === 0 && bottom > 1) [top, bottom] = [top / 2, bottom / 2]
  const whole = Math.floor(top / bottom)
  const rest = top - whole * bottom
  return `${[whole > 0 || rest === 0 ? String(whole) : '', rest > 0 ? `${rest}/${bottom}` : ''].filter((each) => each !== '').join(' ')} in`
}

export const evenText = {
  title: 'How even will it be?',
  lead: (walls: number, bays: number) =>
    `${walls.toLocaleString('en-US')} walls of ${bays} bays, marked by a crew like yours.`,
  madeUp: 'Errors are made up until eight readings of what was built show your own.',
  learned: (readings: number) => `Errors learned from ${readings} readings of what you built.`,
  chart: 'How far off the worst gap is, in each way of marking',
  worst: 'Worst gap off by',
  good: (way: MarkingWay) => `Good enough here, and quickest: ${markingWayName(way).toLowerCase()}.`,
  none: 'None of these is good enough here: mark with a finer tape, or prove your tools.',
  rule: 'Good enough: in no more than one wall of ten an eye sees two neighbors differ. A rule of ours, no source.',
  seed: 'Throw again',
  line: (usual: string, nine: string, last: string) =>
    `worst gap usually ${usual}, 9 of 10 under ${nine}; last bay ${last}`,
  seenIn: (part: string) => `seen in ${part}`,
  walls: 'walls',
  tools: 'Prove your tools',
  errors: (tape: string, block: string) =>
    `One mark is off by ${tape}, one step of the block by ${block} (one standard deviation).`,
} as const

export const seenPart = ({ seen }: Pick<SimulatedWay, 'seen'>): string =>
  seen > 0 && seen < 0.01 ? 'under 1% of walls' : `${Math.round(seen * 100)}% of walls`

export const provedName = (tool: ToolProved): string =>
  ({ level: 'The level', laser: 'The laser', tapeHook: 'The tape’s hook' })[tool]

/** Turning tools round. Common practice, no source. */
export const toolsText = {
  title: 'Prove your tools',
  lead: 'Two minutes each, and again after a fall. What is found goes into how even a wall will be and how far a chain may be off.',
  how: (tool: ToolProved): readonly string[] =>
    ({
      level: [
        'Hold the level on the wall, bubble in the middle. Mark both ends.',
        'Turn it end for end on the left mark. Bubble in the middle again, mark the right end.',
        'The two right marks should be one. Type how far apart they are: above the first counts as plus.',
      ],
      laser: [
        'Stand the laser near one wall. Mark its line on that wall and on the far one.',
        'Turn it round beside the far wall so that it meets its first mark there. Mark the line on the near wall.',
        'The two marks on the near wall should be one. Type how far apart they are: above the first counts as plus.',
      ],
      tapeHook: [
        'Read something inside, the hook pushed against an end.',
        'Read the very same thing outside, the hook pulled over its edge, from a block of known length.',
        'Both should be the same. Type both readings.',
      ],
    })[tool],
  apart: 'The marks are apart by',
  over: 'Length between the marks',
  pushed: 'Pushed, it reads',
  pulled: 'Pulled, it reads',
  keep: 'Keep what was found',
  never: 'Not proved yet.',
  found: ({ error, over }: Proved, w: Wording) =>
    error === 0
      ? 'True.'
      : over === null
        ? `Off by ${sayWithUnit(Math.abs(error), w)}: pushed it reads ${error > 0 ? 'more' : 'less'} than pulled. Bend the hook, or add it by hand.`
        : `Off by ${sayWithUnit(Math.abs(error), w)} over ${sayWithUnit(over, w)}.`,
  when: (date: string) => `Proved on ${date}.`,
  allow: (closure: string) => `Allow ${closure} where a chain closes`,
  again: 'More than half a year ago: prove it again.',
  line: (off: string, over: string, good: boolean) =>
    good
      ? `Over ${over} that is ${off}: good enough.`
      : `Over ${over} that is ${off}, more than a piece may be off: turn it round halfway, or use another.`,
} as const
