import { canonicalText, inPickedColors } from '~/core/agree/clientWord'
import { type OptionFigures, optionFigures } from '~/core/agree/optionFigures'
import { colorsOf } from '~/core/agree/wallColors'
import { computePlan } from '~/core/computePlan'
import { stripNames } from '~/core/layout/stripNames'
import { buildScene } from '~/core/scene/buildScene'
import {
  figureText,
  layoutTitle,
  money,
  type ShownKind,
  thingNames,
  type Wording,
  wallSizeText,
} from '~/messages'
import { inForce, PAINT_USES, type Settings, type Workpiece } from '~/model'
import type { ClientPageView, ClientWallView, PagePart, Shown, ShownOption } from './clientView'

type OptionView = ClientWallView['options'][number]

function wordingOf({ wall, settings }: Workpiece, plan: ReturnType<typeof computePlan>): Wording {
  const { units, tape, materials, currency } = settings
  return {
    format: { units, tape },
    materials,
    currency,
    strips: stripNames(plan.layout),
    things: thingNames(wall.survey.things),
  }
}

/** How lengths are written outside of an option. */
export function pageWording({ units, tape, materials }: Settings): Wording {
  return { format: { units, tape }, materials }
}

function priceOf(page: ClientPageView, wallId: string, figures: OptionFigures): string | null {
  const { signed, settings } = page
  const signedPrice = signed?.body.walls.find((each) => each.wallId === wallId)?.price
  const price = signed ? signedPrice : figures.cost?.whole ? figures.cost.sum : null
  return typeof price === 'number' ? money(price, settings.currency) : null
}

/** Works out what a client reads of an option, in the colors picked so far. */
export function shownOption(page: ClientPageView, wall: ClientWallView, option: OptionView): ShownOption {
  const { settings, link, signed } = page
  const parts = new Set(link.body.parts)
  const pick = page.picks[wall.id] ?? { option: null, colors: {} }
  const design = signed ? option.design : inPickedColors(option.design, pick, settings)
  const workpiece: Workpiece = { wall: { survey: wall.survey, design }, settings, beside: option.beside }
  const plan = computePlan(workpiece)
  const w = wordingOf(workpiece, plan)
  const scene = buildScene(plan, wall.survey)
  const palette = colorsOf(inForce(design), settings)
  const isAbove = scene.nodes.some(({ kind }) => kind === 'above')
  const figures = parts.has('price') || parts.has('hours') ? optionFigures(workpiece, plan) : null
  const named = PAINT_USES.flatMap((use) => {
    const paint = use === 'above' && !isAbove ? null : palette[use]
    if (!paint) return []
    const note = parts.has('notes') && paint.note !== '' ? ` (${paint.note})` : ''
    return [{ use, hex: paint.hex, name: `${paint.name}${paint.code === '' ? '' : ` ${paint.code}`}${note}` }]
  })
  return {
    name: option.name,
    title: layoutTitle(plan, w),
    scene,
    palette,
    colors: parts.has('colors') ? named : [],
    ...(parts.has('price') && figures ? { price: priceOf(page, wall.id, figures) } : {}),
    ...(parts.has('hours') && figures
      ? { hours: { hours: figureText('hours', figures, w), days: figureText('days', figures, w) } }
      : {}),
  }
}

/** The key of an option of a wall. */
export function optionKey(wallId: string, optionId: string): string {
  return `${wallId}/${optionId}`
}

export function shownOf(page: ClientPageView): Shown {
  return new Map(
    page.walls.flatMap((wall) =>
      wall.options.map((option) => [optionKey(wall.id, option.id), shownOption(page, wall, option)] as const),
    ),
  )
}

/** The paints a client may pick for a wall, by what they are for; none where the link shows no colors. */
export function offeredPaints({ settings, link }: ClientPageView) {
  if (!link.body.parts.includes('colors')) return []
  return PAINT_USES.map((use) => ({
    use,
    paints: settings.paints.filter((paint) => paint.use === use && paint.state === 'listed'),
  })).filter(({ paints }) => paints.length > 0)
}

function optionParts(wall: ClientWallView, option: OptionView, shown: ShownOption): PagePart[] {
  const { name, title, scene, palette, colors, price, hours } = shown
  const at = { wall: wall.id, option: option.id }
  const part = (kind: ShownKind, value: unknown): PagePart => ({ ...at, kind, text: canonicalText(value) })
  const picture = wall.photo && { id: wall.photo.id, marks: wall.photo.marks }
  return [
    part('drawing', { name, title, scene }),
    part('colors', { palette, colors }),
    ...(price === undefined ? [] : [part('price', { price })]),
    ...(hours === undefined ? [] : [part('hours', hours)]),
    ...(picture === null ? [] : [part('photo', { picture, scene, palette })]),
  ]
}

/**
 * All that a page shows, part by part. Two pages show the same where their parts are the same: a law compares this with the pages
 * themselves.
 */
export function pageParts(page: ClientPageView, shown: Shown): PagePart[] {
  const { link, job, client, settings, walls, picks, remarks } = page
  const whole = (kind: ShownKind, wall: string | null, value: unknown): PagePart => ({
    kind,
    wall,
    option: null,
    text: canonicalText(value),
  })
  const offered = offeredPaints(page).map(({ use, paints }) => [
    use,
    paints.map(({ id, name, code }) => [id, name, code]),
  ])
  return [
    whole('page', null, { job, client, words: link.body.words, walls: walls.map(({ id }) => id) }),
    ...walls.flatMap((wall) => [
      whole('wall', wall.id, {
        name: wall.name,
        size: wallSizeText(wall.survey, pageWording(settings)),
        options: wall.options.map(({ id }) => id),
        offered,
      }),
      whole('choice', wall.id, picks[wall.id] ?? null),
      whole(
        'remarks',
        wall.id,
        remarks.filter((each) => each.wall === wall.id),
      ),
      ...wall.options.flatMap((option) => {
        const facts = shown.get(optionKey(wall.id, option.id))
        return facts ? optionParts(wall, option, facts) : []
      }),
    ]),
  ]
}
