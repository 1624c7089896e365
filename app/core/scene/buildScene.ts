import { rulesOf } from '../patterns/rules'
import type { Flatness, Survey, Thing } from '~/model'
import { curveOf, placeArch } from '../companions/arch'
import { itemOutline, placeRow } from '../companions/itemRow'
import type { Plan } from '../computePlan'
import { boundsOf, type Polygon, rectangle, unitVector } from '../geometry'
import { aboveOutline } from '../layout/above'
import { bracketsOf } from '../layout/brackets'
import { unevennesses } from '../survey/flatness'
import type { Role } from '../pieces'
import { paperDrops } from '../agree/paperDrops'
import { type DimensionNode, type HeightNode, type Marking, type RodMark, rodNodes } from './rods'
import { keepOutsOf } from '../survey/keepOuts'
import { isPlate, outlineOf } from '../survey/obstacles'
import { bendsWithin, type Profile, profileAt } from '../survey/profile'
import { wallOutline } from '../survey/wallShape'
import { baseAt, onLine, type WallLines } from '../survey/wallLines'

/** One thing on the drawing, in wall units, y up. Ids are stable while the thing keeps its place in the plan. */
export type SceneNode =
  | { readonly kind: 'wall'; readonly id: string; readonly polygon: Polygon }
  /** The wall with its deviations made larger for the eye. */
  | { readonly kind: 'deviation'; readonly id: string; readonly polygon: Polygon; readonly times: number }
  /** The part of the wall the layout covers, painted with it. */
  | { readonly kind: 'field'; readonly id: string; readonly polygon: Polygon }
  /** The wall above what the layout covers, and on it the drops or panels of a paper; a pattern comes again `every` so far from its head, nothing: it has none. */
  | { readonly kind: 'above'; readonly id: string; readonly polygon: Polygon }
  | {
      readonly kind: 'paper'
      readonly id: string
      readonly number: number
      readonly polygon: Polygon
      readonly every: number
    }
  | {
      readonly kind: 'running'
      readonly id: 'baseboard' | 'crown'
      readonly polygon: Polygon
      readonly kept: boolean
    }
  | {
      readonly kind: 'strip'
      readonly id: string
      readonly stripId: string
      readonly role: Role
      readonly polygon: Polygon
    }
  | {
      readonly kind: 'thing'
      readonly id: string
      readonly thing: Thing['kind']
      readonly outline: Polygon
      readonly inner: {
        readonly left: number
        readonly right: number
        readonly bottom: number
        readonly top: number
      }
      readonly kept: boolean
    }
  | {
      readonly kind: 'stud'
      readonly id: string
      readonly x: number
      readonly bottom: number
      readonly top: number
    }
  | { readonly kind: 'keepOut'; readonly id: string; readonly polygon: Polygon }
  /** How far the wall is out of flat there: the outline in which it is more than `part` of the gap, from the rim inward. */
  | {
      readonly kind: 'hollow'
      readonly id: string
      readonly readingId: string
      readonly shape: Flatness['shape']
      readonly part: number
      readonly polygon: Polygon
    }
  /** The floor that is still to come, over the one there is. */
  | { readonly kind: 'floorToCome'; readonly id: string; readonly polygon: Polygon }
  /** A bracket under a cap or a shelf, as it is seen from the room. */
  | { readonly kind: 'bracket'; readonly id: string; readonly polygon: Polygon }
  /** An arch: its curve from foot to foot; cased, with the outer edge of its band. */
  | {
      readonly kind: 'arch'
      readonly id: string
      readonly polygon: Polygon
      readonly outer: Polygon | null
    }
  /** A letter, a sign, a hook or a frame in a row. */
  | { readonly kind: 'item'; readonly id: string; readonly name: string; readonly polygon: Polygon }
  | RodMark
  | HeightNode
  | DimensionNode

/** The drawing as plain data. `width` and `height` are the wall's. */
export interface Scene {
  readonly width: number
  readonly height: number
  readonly nodes: readonly SceneNode[]
}

function along(profile: Profile, width: number, lift: number): { x: number; y: number }[] {
  return bendsWithin(profile, 0, width).map((x) => ({ x, y: profileAt(profile, x) + lift }))
}

/** The base line along its courses, lifted. */
function followed({ courses }: WallLines, lift: number): { x: number; y: number }[] {
  return courses.flatMap(({ left, right, line }) =>
    [left, right].map((x) => ({ x, y: onLine(line, x) + lift })),
  )
}

function runningNodes({ layout }: Plan, survey: Survey): SceneNode[] {
  const { lines } = layout
  const { baseboard, crown, width } = survey
  const { floor, ceiling } = layout.shape
  const nodes: SceneNode[] = []
  if (baseboard)
    nodes.push({
      kind: 'running',
      id: 'baseboard',
      kept: baseboard.fate === 'keep',
      polygon:
        lines.followed.length === 0
          ? [...along(floor, width, 0), ...along(floor, width, baseboard.height).reverse()]
          : [...followed(lines, 0), ...followed(lines, baseboard.height).reverse()],
    })
  if (crown)
    nodes.push({
      kind: 'running',
      id: 'crown',
      kept: crown.fate === 'keep',
      polygon: [...along(ceiling, width, -crown.height), ...along(ceiling, width, 0).reverse()],
    })
  return nodes
}

/** The part of the wall that is covered, course by course, from the base up to the top. */
function fieldNodes({ layout }: Plan): SceneNode[] {
  const { lines, shape } = layout
  const top = Math.min(layout.top, lines.headLine)
  if (rulesOf(layout).places === null || top <= lines.baseTop || layout.right <= layout.left) return []
  const covered = lines.courses
    .map((course) => ({
      line: course.line,
      ends: [Math.max(course.left, layout.left), Math.min(course.right, layout.right)],
    }))
    .filter(({ ends: [from = 0, to = 0] }) => to > from)
  const along = (lift: number) =>
    covered.flatMap(({ line, ends }) => ends.map((x) => ({ x, y: onLine(line, x) + lift })))
  const low =
    lines.followed.length === 0
      ? bendsWithin(shape.floor, layout.left, layout.right).map((x) => ({
          x,
          y: profileAt(shape.floor, x) + lines.build + lines.baseTop,
        }))
      : along(lines.baseTop)
  return [{ kind: 'field', id: 'field', polygon: [...low, ...along(top).reverse()] }]
}

/** The wall above the layout, up to the ceiling, with its paper. Nothing where a layout goes all the way up. */
function aboveNodes(plan: Plan): SceneNode[] {
  const polygon = aboveOutline(plan)
  if (!polygon) return []
  const { paper } = plan.layout.design.paint
  const drops = paper ? paperDrops(paper, polygon) : []
  return [
    { kind: 'above', id: 'above', polygon },
    ...drops.map(({ number, polygon: of }): SceneNode => ({
      kind: 'paper',
      id: `paper-${number}`,
      number,
      polygon: of,
      every: paper?.kind === 'repeat' ? paper.height : 0,
    })),
  ]
}

/** Shown from the rim, half way in, and where it is deepest: a paraboloid's depth is that part at these parts of its reach. */
const SHADES = [0, 0.4, 0.8]
const ROUND = 32

function hollowNodes({ flatness }: Survey): SceneNode[] {
  return unevennesses(flatness).flatMap(({ reading, directionDeg, along, across }) =>
    SHADES.map((part): SceneNode => {
      const reach = Math.sqrt(1 - part) / 2
      const u = unitVector(directionDeg)
      const polygon = Array.from({ length: ROUND }, (_, i) => {
        const angle = (2 * Math.PI * i) / ROUND
        const [s, t] = [along * reach * Math.cos(angle), across * reach * Math.sin(angle)]
        return { x: reading.x + s * u.x - t * u.y, y: reading.y + s * u.y + t * u.x }
      })
      const id = `${reading.id}-${part}`
      return { kind: 'hollow', id, readingId: reading.id, shape: reading.shape, part, polygon }
    }),
  )
}

function groundNodes({ layout }: Plan, { floorToCome, width }: Survey): SceneNode[] {
  if (!floorToCome) return []
  const { floor } = layout.shape
  const polygon = [...along(floor, width, 0), ...along(floor, width, floorToCome.build).reverse()]
  return [{ kind: 'floorToCome', id: 'floorToCome', polygon }]
}

/** How wide and how high a bracket looks from the room. Common practice, no source. */
const BRACKET = { width: 25_400_000, height: 127_000_000 } // 1 in by 5 in

function bracketNodes({ layout, pieces }: Plan): SceneNode[] {
  return bracketsOf(layout, pieces).map(({ bandId, x, y }, i) => ({
    kind: 'bracket',
    id: `bracket-${bandId}-${i + 1}`,
    polygon: rectangle(x - BRACKET.width / 2, y - BRACKET.height, x + BRACKET.width / 2, y),
  }))
}

function companionNodes({ layout, pieces }: Plan): SceneNode[] {
  const { arches, rows } = layout.design.companions
  const thickness = (id: string) => layout.materials.get(id)?.thickness ?? 0
  return [
    ...arches.flatMap((arch): SceneNode[] => {
      const placed = placeArch(arch, layout)
      const outer = placed && arch.band !== null ? curveOf(placed, arch.band) : null
      return placed ? [{ kind: 'arch', id: arch.id, polygon: curveOf(placed), outer }] : []
    }),
    ...rows.flatMap((row): SceneNode[] => {
      const placed = placeRow(row, layout, pieces, thickness)
      if (!placed) return []
      const base = baseAt(layout.lines, (placed.left + placed.right) / 2)
      return placed.items.map((item, i) => ({
        kind: 'item',
        id: `${row.id}-${i + 1}`,
        name: item.name,
        polygon: itemOutline(item, placed, base),
      }))
    }),
  ]
}

/** How much larger a deviation is drawn on demand. */
const EXAGGERATION = 10

/** Draws a plan: the wall as it is, what stands on it and behind it, the strips, and with `marking` the marks on its rods. */
export function buildScene(plan: Plan, survey: Survey, marking?: Marking): Scene {
  const { shape } = plan.layout
  const things = survey.things.map((thing): SceneNode => ({
    kind: 'thing',
    id: thing.id,
    thing: thing.kind,
    outline: outlineOf(thing),
    inner: {
      left: thing.left,
      right: thing.left + thing.width,
      bottom: thing.bottom,
      top: thing.bottom + thing.height,
    },
    kept: thing.fate !== 'remove' && thing.fate !== 'goesBack',
  }))
  // plates lie on top of the strips, so that a clash is seen
  const isPlateNode = (node: SceneNode) => node.kind === 'thing' && isPlate(node.thing)
  const outline = wallOutline(shape, survey)
  // as large as the wall truly is: a round figure may say less, and a ceiling rise over it
  const { right, top } = boundsOf(outline)
  return {
    width: Math.max(1, right),
    height: Math.max(1, top),
    nodes: [
      { kind: 'wall', id: 'wall', polygon: outline },
      ...fieldNodes(plan),
      ...aboveNodes(plan),
      ...survey.behind.studs.map((x, i): SceneNode => ({
        kind: 'stud',
        id: `stud-${i + 1}`,
        x,
        bottom: profileAt(shape.floor, x),
        top: profileAt(shape.ceiling, x),
      })),
      ...keepOutsOf(survey).map(({ id, outline }): SceneNode => ({ kind: 'keepOut', id, polygon: outline })),
      ...runningNodes(plan, survey),
      ...groundNodes(plan, survey),
      ...things.filter((node) => !isPlateNode(node)),
      ...plan.pieces.map((piece): SceneNode => ({
        kind: 'strip',
        id: piece.id,
        stripId: piece.stripId,
        role: piece.role,
        polygon: piece.polygon,
      })),
      ...bracketNodes(plan),
      ...companionNodes(plan),
      ...things.filter(isPlateNode),
      ...hollowNodes(survey),
      {
        kind: 'deviation',
        id: 'deviation',
        polygon: wallOutline(shape, survey, EXAGGERATION),
        times: EXAGGERATION,
      },
      ...(marking ? rodNodes(plan, marking) : []),
    ],
  }
}
