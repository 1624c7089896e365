import type { z } from 'zod'
import { fail, ok, type Result } from '~/length'
import { type JobFile, parseJobFile } from '~/model'
import { materialsOf } from '../patterns/materialsOf'

/** One thing wrong with a file, with its path: rooms[0].walls[1].survey.width. */
export type FileProblem =
  | { readonly code: 'notJson'; readonly path: string; readonly detail: string }
  | { readonly code: 'schema'; readonly path: string; readonly issue: z.core.$ZodIssue }
  | { readonly code: 'unknownMaterial'; readonly path: string; readonly material: string }
  | { readonly code: 'sameId' | 'ownName'; readonly path: string; readonly id: string }
  | {
      readonly code: 'tooManyPieces'
      readonly path: string
      readonly count: number
      readonly most: number
    }

/** rooms, 0, name -> rooms[0].name; the whole document is "file". */
function pathText(path: readonly PropertyKey[]): string {
  if (path.length === 0) return 'file'
  return path
    .map((part, i) => (typeof part === 'number' ? `[${part}]` : `${i === 0 ? '' : '.'}${String(part)}`))
    .join('')
}

/** The problems of a schema a person can act on, below the path `above`: of a union, those of the branch that came nearest. */
export function schemaProblems(
  issues: readonly z.core.$ZodIssue[],
  above: readonly PropertyKey[],
): FileProblem[] {
  return issues.flatMap((issue): FileProblem[] => {
    const path = [...above, ...issue.path]
    if (issue.code === 'invalid_union' && issue.errors.length > 0) {
      const typed = issue.errors.find((branch) => branch.some(({ code }) => code === 'custom'))
      if (typed) return schemaProblems(typed, path)
    }
    return [{ code: 'schema', path: pathText(path), issue }]
  })
}

/** Names that a plan gives its own strips: a rail of one of them would be two strips of one name. */
const OWN_NAMES =
  /^(topRail|bottomRail|ledger|cap|border|filler-(left|right)|(batten|slat|stile|box|gridRail)-\d+)$/

function crossChecks(file: JobFile): FileProblem[] {
  const problems: FileProblem[] = []
  const known = new Set(file.settings.materials.map(({ id }) => id))
  const check = (path: string, material: string | undefined) => {
    if (material !== undefined && !known.has(material))
      problems.push({ code: 'unknownMaterial', path, material })
  }
  file.settings.shop.offers.forEach((offer, i) =>
    check(`settings.shop.offers[${i}].material`, offer.material),
  )
  const once = (path: string, list: readonly { readonly id: string }[], taken = new Set<string>()) =>
    list.forEach(({ id }, i) => {
      if (taken.has(id)) problems.push({ code: 'sameId', path: `${path}[${i}].id`, id })
      taken.add(id)
    })
  once('settings.materials', file.settings.materials)
  once('settings.shop.offers', file.settings.shop.offers)
  once('settings.shop.sheets', file.settings.shop.sheets)
  Object.keys(file.settings.shop.ripped).forEach((id) => check(`settings.shop.ripped.${id}`, id))
  once('rooms', file.rooms)
  const walls = new Set<string>()
  file.rooms.forEach((room, r) => {
    once(`rooms[${r}].walls`, room.walls, walls)
    room.walls.forEach((wall, w) => {
      const path = `rooms[${r}].walls[${w}]`
      once(`${path}.survey.things`, wall.survey.things)
      once(`${path}.survey.readings`, wall.survey.readings)
      once(`${path}.survey.flatness`, wall.survey.flatness)
      once(`${path}.survey.behind.keepOuts`, wall.survey.behind.keepOuts)
      once(`${path}.design.frame.rails`, wall.design.frame.rails)
      wall.design.frame.rails.forEach(({ id }, i) => {
        if (OWN_NAMES.test(id))
          problems.push({ code: 'ownName', path: `${path}.design.frame.rails[${i}].id`, id })
      })
      for (const { at, material } of materialsOf(wall.design)) check(`${path}.design.${at}`, material)
    })
  })
  return problems
}

/** Reads a job file: the whole job, or every problem with its path. Nothing is taken in by halves. */
export function readJobFile(text: string): Result<JobFile, readonly FileProblem[]> {
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch (error) {
    return fail([
      { code: 'notJson', path: 'file', detail: error instanceof Error ? error.message : String(error) },
    ])
  }
  const parsed = parseJobFile(raw)
  if (!parsed.success) return fail(schemaProblems(parsed.error.issues, []))
  const problems = crossChecks(parsed.data)
  return problems.length > 0 ? fail(problems) : ok(parsed.data)
}
