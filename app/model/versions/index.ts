import type { z } from 'zod'
import { photoMarksSchema } from '../agree'
import { storedDesign } from '../design'
import type { Bodies, DocumentKind } from '../documents'
import { jobFileSchemaFor, unitsOf } from '../job'
import { wallOptionsSchema } from '../options'
import { storedSettings } from '../settings'
import { storedSurvey } from '../survey'
import { designFrom1 } from './designFrom1'
import { isRaw, type Raw, upgrade } from './upgrade'

/** The steps of each kind of document, by the version they start from. A survey and settings have had one version yet. */
const DESIGN_STEPS = { 1: designFrom1 }
const JOB_FILE_STEPS = { 1: (file: Raw): Raw => ({ ...file, version: 2 }) }

/** A wall's document of any version as the version of now would have it, read no further. */
function upgradeWall(wall: unknown): unknown {
  return isRaw(wall) ? { ...wall, design: upgrade(wall.design, DESIGN_STEPS) } : wall
}

function withWalls(room: unknown): unknown {
  return isRaw(room) && Array.isArray(room.walls) ? { ...room, walls: room.walls.map(upgradeWall) } : room
}

/** A body of any version as the version of now would have it, read no further. */
function upgradeBody(kind: DocumentKind, raw: unknown): unknown {
  return kind === 'design' ? upgrade(raw, DESIGN_STEPS) : raw
}

const SCHEMAS = {
  survey: storedSurvey,
  design: storedDesign,
  options: /*@__PURE__*/ wallOptionsSchema(),
  photo: /*@__PURE__*/ photoMarksSchema(),
  settings: storedSettings,
} as const

/** A body of any version, as it is now. For what comes from outside; the problems are Zod's. */
export function parseBody<K extends DocumentKind>(kind: K, raw: unknown): z.ZodSafeParseResult<Bodies[K]> {
  return SCHEMAS[kind].safeParse(upgradeBody(kind, raw)) as z.ZodSafeParseResult<Bodies[K]>
}

/** A stored body of any version, as it is now. Throws where no version could have stored it. */
export function readBody<K extends DocumentKind>(kind: K, raw: unknown): Bodies[K] {
  return SCHEMAS[kind].parse(upgradeBody(kind, raw)) as Bodies[K]
}

/** A job file of any version as the version of now would have it, read no further. */
function upgradeJobFile(raw: unknown): unknown {
  const file = upgrade(raw, JOB_FILE_STEPS)
  return isRaw(file) && Array.isArray(file.rooms) ? { ...file, rooms: file.rooms.map(withWalls) } : file
}

/** A job file of any version, as it is now, or Zod's problems with it. */
export function parseJobFile(raw: unknown) {
  const now = upgradeJobFile(raw)
  return jobFileSchemaFor(unitsOf(now)).safeParse(now)
}
