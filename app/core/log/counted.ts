import type { CountedTime, LearnedKey, Work } from '~/model'
import type { RoomOfWork } from '../sequence/roomMaker'
import type { Task } from '../sequence/task'
import { caulked, gritsOf } from '../takeoff/supplies'
import { feet, squareFeet } from '../takeoff/volumes'
import type { WallFacts } from '../takeoff/wallFacts'

type Amount = { readonly rate: LearnedKey; readonly amount: number; readonly less?: number }

/** What of one wall a task of this kind does, in its rate's own unit; null where no rate speaks of it. */
function onWall({ kind }: Pick<Task, 'kind'>, facts: WallFacts, work: Work): Amount | null {
  const holes = facts.nails.reduce((sum, nails) => sum + nails.holes, 0)
  const wall = (area: number): Amount => ({ rate: `wallFeet.${work.paintWith}`, amount: squareFeet(area) })
  switch (kind) {
    case 'mark':
      return { rate: 'markOne', amount: facts.strips }
    case 'cut':
      return { rate: 'cutOne', amount: facts.pieces, less: facts.setUps * work.rates.setUp }
    case 'fit':
      return { rate: 'fitOne', amount: facts.furniture ? facts.pieces / 2 : facts.pieces }
    case 'prepare':
      return { rate: 'sandBoard', amount: facts.boards * gritsOf(facts, work).length }
    case 'trimCoat':
      return { rate: `coatBoard.${work.paintWith}`, amount: facts.boards }
    case 'fieldCoat':
      return wall(facts.areas.field)
    case 'aboveCoat':
      return wall(facts.areas.above)
    case 'caulk':
      return { rate: 'caulkFeet', amount: feet(caulked(facts, work)) }
    case 'fill':
      return { rate: 'fillOne', amount: holes + facts.joints.count }
    case 'remove':
      return { rate: 'removeFeet', amount: feet(facts.comesOff.length) }
    case 'skim':
      return { rate: 'skimFeet', amount: squareFeet(facts.areas.field + facts.areas.faces) }
    case 'panels':
      return { rate: 'sheetOne', amount: facts.panels?.pieces ?? 0 }
    case 'paper':
      return { rate: 'dropOne', amount: facts.paper?.heights.length ?? 0 }
    default:
      return null
  }
}

/** What a task did, as it is ticked: the count its time is for, and what it was estimated at; null where no rate speaks of it. */
export function countedOf(task: Task, rooms: readonly RoomOfWork[], work: Work): CountedTime | null {
  const walls = rooms
    .filter(({ id }) => task.room === null || id === task.room)
    .flatMap((room) => room.walls)
    .filter(({ wall }) => task.wall === null || wall === task.wall)
  const amounts = walls.flatMap((facts) => onWall(task, facts, work) ?? [])
  const [first] = amounts
  const amount = amounts.reduce((sum, each) => sum + each.amount, 0)
  if (!first || !(amount > 0)) return null
  return {
    rate: first.rate,
    amount: Math.round(amount * 100) / 100,
    less: amounts.reduce((sum, each) => sum + (each.less ?? 0), 0),
    planned: task.minutes,
  }
}
