import type { Paper } from '~/model'
import { boundsOf, type Polygon } from '../geometry'
import { paperDrops } from '../agree/paperDrops'
import { beginsAt, fewestRolls } from './rolls'

/** One drop as it is cut from its roll. */
export interface CutDrop {
  /** Counted from where it is hung first. */
  readonly number: number
  /** How high its place is, and how long it is cut: with what runs over, up to the next repeat. */
  readonly height: number
  readonly cut: number
  readonly roll: number
  /** Which of its roll's drops it is, in the order they are cut. */
  readonly turn: number
}

export interface Papering {
  /** In the order they are hung. */
  readonly drops: readonly CutDrop[]
  readonly rolls: number
  /** Rolls whose length is less than a drop: none can be cut. */
  readonly tooShort: boolean
}

/**
 * Cuts drops from rolls, as few as do. Each is as high as its place and runs over at head and foot; with a straight repeat a drop takes the
 * next whole repeat, and the roll's last one only its own length; with a half drop each second one that is hung begins half a repeat on, on
 * the roll it comes from. They are cut as they are hung where no other order needs fewer rolls. Lengths in nanometers. Common practice, no
 * source.
 */
export function cutDrops(
  heights: readonly number[],
  paper: Pick<Paper, 'roll' | 'height' | 'match' | 'over'>,
): Papering {
  const { roll, height: repeat, match, over } = paper
  const wanted = heights.map((height, i) => ({
    own: height + 2 * over,
    phase: match === 'half' && repeat > 0 && i % 2 === 1 ? repeat / 2 : 0,
  }))
  const tooShort = wanted.some(({ own, phase }) => own + phase > roll + 1e-6)
  const onRolls = fewestRolls(wanted, roll, repeat)
  const drops = onRolls.flatMap((of, i) => {
    let used = 0
    return of.map((index, turn): CutDrop => {
      const { own, phase } = wanted[index] ?? { own: 0, phase: 0 }
      const end = beginsAt(used, phase, repeat) + own
      const cut = end - used
      used = end
      return { number: index + 1, height: heights[index] ?? 0, cut, roll: i + 1, turn: turn + 1 }
    })
  })
  return { drops: drops.sort((a, b) => a.number - b.number), rolls: onRolls.length, tooShort }
}

/** How high each drop over an outline is, in the order they are hung. */
export function dropHeights(paper: Paper, outline: Polygon): number[] {
  return paperDrops(paper, outline).map(({ polygon }) => {
    const { bottom, top } = boundsOf(polygon)
    return top - bottom
  })
}

/** How the numbered panels of a mural lie over a wall. */
export interface MuralFit {
  readonly width: number
  readonly height: number
  /** What is to be cut off, or lacks where it is less than nothing, at each end and at head and foot. */
  readonly left: number
  readonly right: number
  readonly up: number
  /** How much less than wished runs over at the ends, and at head and foot. */
  readonly shortAcross: number
  readonly shortUp: number
  /** Seams from the left end of the wall. */
  readonly seams: readonly number[]
}

/** Lays a mural over a width and a height, the widest and the highest that were read. Nanometers. */
export function muralFit(paper: Paper, width: number, height: number): MuralFit {
  const whole = paper.panels * paper.width
  const left = paper.from === 'left' ? 0 : paper.from === 'right' ? whole - width : (whole - width) / 2
  const right = whole - width - left
  const tall = paper.height > 0 ? paper.height : height + 2 * paper.over
  const beyond = (tall - height) / 2
  const seams = Array.from({ length: paper.panels - 1 }, (_, i) => (i + 1) * paper.width - left).filter(
    (at) => at > 0 && at < width,
  )
  return {
    width: whole,
    height: tall,
    left,
    right,
    up: beyond,
    shortAcross: Math.max(0, paper.over - Math.min(left, right)),
    shortUp: Math.max(0, paper.over - beyond),
    seams,
  }
}
