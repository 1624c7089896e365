import { type Length, nearestNanometer, subtractLengths } from '~/length'
import {
  type Design,
  type DesignDocument,
  inForce,
  type Reading,
  type Spacing,
  type Survey,
  type Thing,
  withDesign,
  type Workpiece,
} from '~/model'
import { profileAt } from '~/core/survey/profile'
import { wallShape } from '~/core/survey/wallShape'

const other = { left: 'right', right: 'left' } as const
const negative = (length: Length) => nearestNanometer(0 - length)

/** A wall seen in a mirror: what is at its left stands at its right, as far from there. Its corner at the right's foot becomes the left one. */
export function mirrored(workpiece: Workpiece): Workpiece {
  const { survey, design } = workpiece.wall
  const shape = wallShape(survey)
  const end = nearestNanometer(profileAt(shape.right, 0))
  const flip = (x: Length) => subtractLengths(end, x)
  const mirror = (reading: Reading): Reading => {
    switch (reading.kind) {
      case 'width':
        return reading
      case 'height':
        return { ...reading, place: flip(reading.place) }
      case 'floorFall':
      case 'ceilingFall':
        throw new Error('a fall is told from the left corner: make the wall mirrorable first')
      case 'plumbLeft':
        return { ...reading, kind: 'plumbRight' }
      case 'plumbRight':
        return { ...reading, kind: 'plumbLeft' }
      case 'cornerLeft':
        return { ...reading, kind: 'cornerRight' }
      case 'cornerRight':
        return { ...reading, kind: 'cornerLeft' }
    }
  }
  const things = survey.things.map((thing): Thing => ({
    ...thing,
    left: nearestNanometer(end - thing.left - thing.width),
    fromRight: null,
    slope: thing.slope === null ? null : thing.slope === 'risesLeft' ? 'risesRight' : 'risesLeft',
  }))
  return {
    ...workpiece,
    wall: {
      survey: {
        ...survey,
        things,
        readings: survey.readings.map(mirror),
        turns: { left: survey.turns.right, right: survey.turns.left },
        flatness: survey.flatness.map((each) => ({ ...each, x: flip(each.x) })),
        behind: {
          ...survey.behind,
          studs: survey.behind.studs.map(flip).reverse(),
          keepOuts: survey.behind.keepOuts.map((each) => ({
            ...each,
            left: nearestNanometer(end - each.left - each.width),
          })),
        },
      },
      design: mirroredDesign(design, survey, end),
    },
  }
}

function mirroredSpacing(spacing: Spacing): Spacing {
  if (spacing.school === 'fromEnd') return { ...spacing, end: other[spacing.end] }
  if (!('ends' in spacing)) return spacing
  const { ends } = spacing
  return { ...spacing, ends: ends === 'gapStrip' ? 'stripGap' : ends === 'stripGap' ? 'gapStrip' : ends }
}

function mirroredDesign(document: DesignDocument, survey: Survey, end: Length): DesignDocument {
  const design = inForce(document)
  const { stand, extent, corners, fillers, sides } = design
  const patch: Partial<Design> = {
    spacing: mirroredSpacing(design.spacing),
    shift: negative(design.shift),
    extent: extent && {
      left: nearestNanometer(Math.max(0, end - extent.right)),
      right: subtractLengths(end, extent.left),
    },
    corners: { left: corners.right, right: corners.left },
    sides: { left: sides.right, right: sides.left },
    fillers: fillers && { left: fillers.right, right: fillers.left },
    stand:
      stand.kind === 'own'
        ? { kind: 'own', left: negative(stand.right), right: negative(stand.left) }
        : stand.kind === 'left' || stand.kind === 'right'
          ? { kind: other[stand.kind] }
          : stand,
  }
  return withDesign(document, patch)
}

/**
 * A wall as it can be mirrored: without widths, which would be reconciled from the other end, without falls, whose datum is the left
 * corner's foot, and laid out by nothing that is counted from the left.
 */
export function mirrorable(workpiece: Workpiece): Workpiece {
  const { survey, design } = workpiece.wall
  const { spacing } = inForce(design)
  const kept: readonly Reading['kind'][] = ['plumbLeft', 'plumbRight', 'height', 'cornerLeft', 'cornerRight']
  return {
    ...workpiece,
    wall: {
      survey: { ...survey, readings: survey.readings.filter(({ kind }) => kept.includes(kind)) },
      design: withDesign(design, {
        levelRule: 'level',
        joints: {},
        ...('about' in spacing ? { spacing: { ...spacing, about: null } } : {}),
        // every second stud is counted from the left
        ...(spacing.school === 'toStuds' ? { spacing: { ...spacing, every: 1 } } : {}),
      }),
    },
  }
}
