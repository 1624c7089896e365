import { inches, type Length, nanometers, ZERO } from '~/length'
import type { LengthReading, Survey, WalkQuestion, Workpiece } from '~/model'
import type { Layout } from '../layout/layout'
import { type Chain, chainsOf, closingLimit, suspectsIn } from '../survey/closure'
import { latestReadings } from '../survey/latestReadings'
import { isOpening, isPlate } from '../survey/obstacles'
import { typedAgainst } from '../survey/measured'
import { unusualOf, withThingPart } from '../survey/unusual'
import { readingConflicts } from '../survey/wallShape'
import type { Block, Finding, FindingSays, WayOut } from './finding'

function open(
  says: FindingSays,
  key: string,
  severity: Finding['severity'] = 'wrong',
  figure: number | null = null,
): Finding {
  return { stage: 'measure', severity, says, stripIds: [], waysOut: [], blocks: { key, figure } }
}

function closureFindings({ wall, settings }: Workpiece, layout: Layout): Finding[] {
  const chains = chainsOf(wall.survey, layout.shape)
  const suspectsOf = suspectsIn(chains, settings.closure, wall.survey)
  return chains
    .filter(({ difference, readings }) => Math.abs(difference) > closingLimit(readings, settings.closure))
    .map((chain) => ({
      ...open(
        {
          code: 'chainOpen',
          thingId: chain.thing.id,
          kind: chain.thing.kind,
          axis: chain.axis,
          first: chain.first,
          size: chain.size,
          second: chain.second,
          whole: chain.whole,
          difference: chain.difference,
          readings: chain.readings,
          limit: closingLimit(chain.readings, settings.closure),
          suspects: suspectsOf(chain),
        },
        `chain.${chain.axis}.${chain.thing.id}`,
        'wrong',
        chain.difference,
      ),
      waysOut: chain.axis === 'across' ? [placeFromRight(wall.survey, chain)] : [],
    }))
}

/** Widths against leans, heights against falls: a chain like any other. */
function conflictFindings({ wall, settings }: Workpiece): Finding[] {
  return readingConflicts(wall.survey)
    .filter(({ difference, readings }) => difference > closingLimit(readings, settings.closure))
    .map(({ kind, places, difference, readings }) =>
      open(
        {
          code: 'readingsContradict',
          kind,
          places,
          difference,
          limit: closingLimit(readings, settings.closure),
        },
        `contradict.${kind}`,
        'wrong',
        difference,
      ),
    )
}

/** Moves the thing to where its reading from the right puts it; the chain then closes on the whole. */
function placeFromRight(survey: Survey, { thing, difference }: Chain): WayOut {
  const left = nanometers(Math.round(thing.left + difference))
  return {
    says: { code: 'placeFromRight' },
    edits: [
      {
        type: 'patchSurvey',
        patch: { things: survey.things.map((each) => (each.id === thing.id ? { ...each, left } : each)) },
      },
    ],
  }
}

function missingFindings({ survey }: Workpiece['wall']): Finding[] {
  const missing = (['width', 'height'] as const).flatMap((kind) => {
    const times = latestReadings(survey.readings, kind).length
    return times >= 2 ? [] : [open({ code: 'readOnce', kind, times }, `once.${kind}`, 'watch')]
  })
  const things = survey.things
    .filter(({ kind, fate }) => (isOpening(kind) || isPlate(kind)) && fate !== 'remove')
    .filter(({ fromRight }) => fromRight === null)
    .map(({ id, kind }) => open({ code: 'thingReadOnce', thingId: id, kind }, `once.${id}`, 'watch'))
  return [...missing, ...things]
}

/** Figures of things that are hardly ever so: asked about, since no other reading speaks against them. */
function unusualFindings({ wall: { survey }, settings }: Workpiece): Finding[] {
  return survey.things.flatMap((thing) =>
    unusualOf(thing, survey, settings.units).map((found): Finding => {
      const { part, value, turned } = found
      const says = { code: 'thingUnusual', thingId: thing.id, kind: thing.kind, ...found } as const
      const things = (to: Length) =>
        survey.things.map((each) => (each === thing ? withThingPart(thing, part, to) : each))
      return {
        ...open(says, `unusual.${thing.id}.${part}`, 'watch', value),
        waysOut:
          turned === null
            ? []
            : [
                {
                  says: { code: 'digitsTurned', part, value: turned },
                  edits: [{ type: 'patchSurvey', patch: { things: things(turned) } }],
                },
              ],
      }
    }),
  )
}

/** A fall or a lean beyond this is a slip, not a wall. */
const MOST_FALL = inches(12)
/** A width or height this far from the round one is a slip. */
export const MOST_OFF = 0.1

function isAbsurd({ kind, value }: LengthReading, survey: Survey): boolean {
  if (kind === 'width' || kind === 'height')
    return value <= 0 || Math.abs(value - survey[kind]) > survey[kind] * MOST_OFF
  return Math.abs(value) > MOST_FALL
}

function readingFindings({ survey }: Workpiece['wall'], closure: Length): Finding[] {
  const findings: Finding[] = []
  const seen = new Map<string, LengthReading>()
  for (const reading of survey.readings) {
    if (!('place' in reading)) continue
    const { kind, place, value } = reading
    const before = seen.get(`${kind} ${place}`)
    if (before && Math.abs(before.value - value) > closure)
      findings.push(
        open(
          { code: 'rereadDiffers', kind, place, before: before.value, now: value },
          `reread.${reading.id}`,
          'watch',
        ),
      )
    seen.set(`${kind} ${place}`, reading)
  }
  const asked = new Set<string>(typedAgainst(survey).map((each) => (each.readings > 1 ? each.kind : '')))
  for (const reading of seen.values()) {
    const { id, kind, place, value } = reading
    // where several readings agree it is the round figure that is asked about
    if (!isAbsurd(reading, survey) || asked.has(kind)) continue
    const expected = kind === 'width' || kind === 'height' ? survey[kind] : ZERO
    findings.push(
      open({ code: 'readingAbsurd', readingId: id, kind, place, value, expected }, `absurd.${id}`),
    )
  }
  return findings
}

/** Questions of the walk-round that are still open. */
export function openQuestions(survey: Survey): WalkQuestion[] {
  return (Object.keys(survey.walkRound) as WalkQuestion[]).filter(
    (question) => survey.walkRound[question] === null,
  )
}

/** What the survey has to say: chains that do not close, readings missing, absurd or in dispute. */
export function surveyFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  const { wall, settings } = workpiece
  const questions = openQuestions(wall.survey).length
  return [
    ...closureFindings(workpiece, layout),
    ...conflictFindings(workpiece),
    ...readingFindings(wall, settings.closure),
    ...missingFindings(wall),
    ...unusualFindings(workpiece),
    ...(questions > 0 ? [open({ code: 'notWalked', open: questions }, 'walk', 'note')] : []),
  ]
}

/** What still keeps the pieces from the saw: findings that block and were not overruled with a reason that still holds. */
export function blocking(findings: readonly Finding[], survey: Survey, within: Length): Finding[] {
  return findings.filter(({ blocks }) => blocks !== undefined && !isOverruled(blocks, survey, within))
}

/** A reason holds for the thing it was given for, while the figure stays within a tolerance of the one it was given for. */
function isOverruled({ key, figure }: Block, { overruled }: Survey, within: Length): boolean {
  return overruled.some(
    (each) =>
      each.key === key &&
      (figure === null || (each.figure !== null && Math.abs(each.figure - figure) <= within)),
  )
}
