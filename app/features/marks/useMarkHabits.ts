import { LEVEL_FROM, type LevelFrom } from '~/core/marks/markWalk'
import type { Datum, Edge, Hook } from '~/core/marks/runningMarks'
import { useKept } from '~/ui/useKept'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Length, nearestNanometer } from '~/length'

export const LINES = ['foot', 'head', 'laser'] as const
export type Line = (typeof LINES)[number]
const EDGES = ['near', 'center', 'far'] as const

/** How the marks of a wall are made: where the tape is hooked, which edge is drawn, what heights go by, how far the walk has come. */
export interface MarkHabits {
  readonly datum: Datum
  readonly edge: Edge
  readonly line: Line
  readonly laser: Length
  readonly heightsFrom: 'floor' | 'present' | 'laser'
  /** Where the level line is struck from. */
  readonly levelFrom: LevelFrom
  /** The strip the walk stands at. */
  readonly at: string | null
}

const START: MarkHabits = {
  datum: 'left',
  edge: 'near',
  line: 'foot',
  laser: inches(48),
  heightsFrom: 'floor',
  levelFrom: 'highest',
  at: null,
}

/** Kept for each wall, from stage to stage and after a reload. */
export function useMarkHabits() {
  const { identity } = useWallEditor()
  const [kept, keep] = useKept<MarkHabits>(`regla marking ${identity.id}`, START)
  const habits: MarkHabits = {
    datum: kept.datum === 'right' ? 'right' : 'left',
    edge: EDGES.find((each) => each === kept.edge) ?? START.edge,
    line: LINES.find((each) => each === kept.line) ?? START.line,
    laser: Number.isFinite(kept.laser) ? nearestNanometer(kept.laser) : START.laser,
    heightsFrom: kept.heightsFrom === 'laser' || kept.heightsFrom === 'present' ? kept.heightsFrom : 'floor',
    levelFrom: LEVEL_FROM.find((each) => each === kept.levelFrom) ?? START.levelFrom,
    at: typeof kept.at === 'string' ? kept.at : null,
  }
  const hook: Hook = habits.line === 'laser' ? { height: habits.laser } : habits.line
  return { ...habits, hook, keep }
}
