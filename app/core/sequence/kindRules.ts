import type { Product } from '~/model'
import { type Caution, type Check, type Task, TASK_KINDS, type TaskKind, type WorkTool } from './task'

/** What a kind of task takes along and what is looked at: whatever the wall. What depends on the wall is added where it is made. */
export interface KindRule {
  readonly noisy?: true
  readonly tools: readonly WorkTool[]
  readonly supplies: readonly Product[]
  readonly cautions: readonly Caution[]
  readonly checks: readonly Check[]
}

const rule = (
  tools: readonly WorkTool[],
  supplies: readonly Product[] = [],
  cautions: readonly Caution[] = [],
  checks: readonly Check[] = [],
): KindRule => ({ tools, supplies, cautions, checks })
const noisy = (of: KindRule): KindRule => ({ ...of, noisy: true })

/** Common practice, no source; cautions are the usual ones, and stand at the step where they matter. */
export const KIND_RULES: Readonly<Record<TaskKind, KindRule>> = {
  protect: rule(['dropCloth'], ['dustSheet'], ['heavy']),
  remove: noisy(rule(['pryBar'], ['mask'], ['dust', 'inTheWall'], [])),
  floorBefore: rule([]),
  fillOld: rule(['puttyKnife'], ['filler']),
  skim: rule(['puttyKnife'], ['skim', 'mask'], ['texture', 'dust']),
  sandWall: rule(['sander', 'vacuum'], ['sandpaper', 'mask'], ['dust']),
  buy: rule([], [], [], ['boardsLie']),
  prepare: rule(
    ['sander', 'vacuum'],
    ['sandpaper', 'primer', 'shellac', 'mask'],
    ['dust', 'fumes'],
    ['endsSealed'],
  ),
  boxes: rule(['tester'], [], ['power', 'boxes']),
  panels: noisy(
    rule(['nailer', 'level', 'drill'], ['panels', 'nails'], ['nailer', 'inTheWall', 'heavy'], ['nailDepth']),
  ),
  wallFirst: rule(['roller', 'brush'], ['paint', 'tape', 'dustSheet'], ['fumes'], ['sameBatch']),
  mark: rule(['level', 'laser', 'tapeMeasure'], [], [], ['levelLine', 'readOpenings']),
  cut: noisy(rule(['saw', 'blocks'], ['mask'], ['saw', 'dust'], ['blocksFirst'])),
  stain: rule(['brush'], ['stain'], ['fumes'], ['sameBatch']),
  paintAhead: rule(['roller', 'brush'], ['paint'], ['fumes'], ['endsSealed', 'dryTouch']),
  fit: noisy(
    rule(
      ['nailer', 'gluing', 'level', 'blocks'],
      ['nails', 'pins', 'adhesive', 'miterGlue', 'props'],
      ['nailer', 'inTheWall', 'fumes'],
      ['levelLine', 'plumb', 'lookBack', 'nailDepth'],
    ),
  ),
  shift: rule([], ['dustSheet'], ['heavy'], ['laserAgain']),
  trimBack: noisy(rule(['nailer', 'saw'], ['nails'], ['nailer', 'saw', 'inTheWall'])),
  fill: rule(['puttyKnife'], ['filler'], [], ['nailDepth']),
  sandFill: rule(['sander', 'vacuum'], ['sandpaper', 'mask'], ['dust']),
  dust: rule(['vacuum'], [], ['dust']),
  caulk: rule(['caulkGun'], ['caulk'], ['fumes']),
  aboveCoat: rule(['roller', 'brush'], ['paint', 'tape'], ['ladder', 'fumes'], ['sameBatch', 'dryTouch']),
  fieldCoat: rule(['roller', 'brush'], ['paint', 'tape'], ['fumes'], ['sameBatch', 'dryTouch']),
  trimCoat: rule(['roller', 'brush'], ['paint', 'tape'], ['fumes'], ['sameBatch', 'dryTouch']),
  varnish: rule(['brush'], ['varnish'], ['fumes'], ['dryTouch']),
  paper: rule(['paperKnife', 'level', 'ladder'], ['paper', 'mural'], ['ladder', 'power'], ['numbersUp']),
  plates: rule(['tester'], [], ['power']),
  floorAfter: rule([]),
  touchUp: rule(['brush'], ['paint']),
  clear: rule([], [], ['heavy'], ['wayFree']),
  own: rule([]),
}

/** What an id says of its task: of what kind, where, which number; null for a task of one's own. */
export function readTaskId(id: string): Pick<Task, 'kind' | 'room' | 'wall' | 'number' | 'name'> | null {
  const [scope, of = '', ...rest] = id.split('/')
  if (scope === 'own') return null
  const last = rest.at(-1) ?? of
  const [, name = last, number] = /^(.*?)(?:-(\d+))?$/.exec(last) ?? []
  const kind = TASK_KINDS.find((each) => each === name)
  if (kind === undefined) return null
  const place = rest.length > 0 ? of : null
  return {
    kind,
    room: scope === 'room' ? place : null,
    wall: scope === 'wall' ? place : null,
    number: number === undefined ? null : Number(number),
    name: null,
  }
}

/** The cautions of a task's kind, by the task's id, whatever the wall; none for a task of one's own. */
export function cautionsOfKind(taskId: string): readonly Caution[] {
  const read = readTaskId(taskId)
  return read ? KIND_RULES[read.kind].cautions : []
}
