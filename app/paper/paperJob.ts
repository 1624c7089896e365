import { listAtSaw } from '~/core/asbuilt/listAtSaw'
import type { Release } from '~/core/asbuilt/release'
import { asRooms } from '~/core/room/beside'
import { computePlan, type Plan } from '~/core/computePlan'
import type { CutCard } from '~/core/cutting/cutCards'
import { toRelease } from '~/core/cutting/toRelease'
import { type LearnedRate, rateFrom, workWithLearned } from '~/core/log/rates'
import { stripNames } from '~/core/layout/stripNames'
import type { Datum } from '~/core/marks/runningMarks'
import { buildScene, type Scene } from '~/core/scene/buildScene'
import { type RunningDimensions, runningDimensions } from '~/core/scene/dimensions'
import type { Marking } from '~/core/scene/rods'
import { thingNames, type Wording } from '~/messages'
import type {
  Act,
  DesignDocument,
  Settings,
  StockLength,
  Supplier,
  Survey,
  WorkAct,
  Workpiece,
  YardAct,
} from '~/model'

/** A wall as it goes on paper: its documents, and what happened at it. */
export interface PaperWall {
  readonly id: string
  readonly name: string
  readonly room: string
  readonly survey: Survey
  readonly design: DesignDocument
  readonly acts: readonly Act[]
}

/** A job as it goes on paper and into files: plain data, so that a process of its own can make them. */
export interface PaperJob {
  readonly id: string
  readonly name: string
  readonly client: string
  readonly settings: Settings
  readonly rooms: readonly { readonly id: string; readonly name: string }[]
  readonly walls: readonly PaperWall[]
  readonly stock: { readonly lengths: readonly StockLength[]; readonly suppliers: readonly Supplier[] }
  readonly yardActs: readonly YardAct[]
  readonly workActs: readonly WorkAct[]
  /** What the crew's logs show of its pace: times on paper go by it, as on the page, wherever no rate was typed. */
  readonly learned: readonly Pick<LearnedRate, 'rate' | 'median'>[]
  /** The newest of its documents' revisions: what tells one print from a later one. */
  readonly revision: number
  /** When it is printed, in milliseconds since 1970, and minutes its own clock is off UTC. */
  readonly made: number
  readonly clock: number
}

/** A wall with all that follows from it, worked out once however many sheets show it. */
export interface PlannedWall {
  readonly wall: PaperWall
  readonly roomName: string
  readonly workpiece: Workpiece
  readonly plan: Plan
  readonly wording: Wording & { readonly currency: string }
  readonly scene: Scene
  readonly marking: Marking
  readonly dimensions: RunningDimensions
  readonly release: Release | null
  readonly cards: readonly CutCard[]
}

/** Plans a wall of a job, its marks running from one end. Throws where it can't be planned at all. */
export function plannedWall(
  wall: PaperWall,
  job: Pick<PaperJob, 'settings' | 'rooms'> & Partial<Pick<PaperJob, 'walls'>>,
  datum: Datum = 'left',
): PlannedWall {
  const { settings } = job
  const { units, tape, materials, currency } = settings
  const documents = ({ id, room, survey, design }: PaperWall) => ({
    id,
    room,
    workpiece: { wall: { survey, design }, settings } as Workpiece,
  })
  // the walls beside it say what its rails meet in the corners
  const met = asRooms((job.walls ?? []).filter(({ room }) => room === wall.room).map(documents))
  const { workpiece } = met.find(({ id }) => id === wall.id) ?? documents(wall)
  const plan = computePlan(workpiece)
  const marking: Marking = {
    datum,
    edge: 'near',
    hook: 'foot',
    tape,
    format: { units, tape },
  }
  return {
    wall,
    roomName: job.rooms.find(({ id }) => id === wall.room)?.name ?? '',
    workpiece,
    plan,
    wording: {
      format: { units, tape },
      materials,
      currency,
      strips: stripNames(plan.layout),
      things: thingNames(wall.survey.things),
    },
    scene: buildScene(plan, wall.survey, marking),
    marking,
    dimensions: runningDimensions(plan, wall.survey, marking),
    ...listAtSaw(toRelease(plan, workpiece), wall.acts, settings),
  }
}

/** The job's work at the pace of the crew's logs, and the rates that are theirs. */
export function pacedWork({ settings: { work }, learned }: Pick<PaperJob, 'settings' | 'learned'>) {
  return {
    work: workWithLearned(work, learned),
    byLogs: learned
      .filter(({ rate }) => rateFrom(work.rates, rate, learned) === 'log')
      .map(({ rate }) => rate),
  }
}
