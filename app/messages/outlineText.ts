import type { OutlineIssue, OutlineUnit } from '~/core/files/outline'
import type { OutlineShapeIssue } from '~/core/files/outlineSurvey'
import { say, sayWithUnit, type Wording } from './words'

export const outlineText = {
  open: 'Outline from a drawing',
  how: 'A closed line in SVG or DXF, as large as the wall: from a plan, a scan or another program.',
  unit: 'Its units are',
  units: {
    mm: 'millimeters',
    cm: 'centimeters',
    m: 'meters',
    in: 'inches',
    ft: 'feet',
    px96: 'pixels, 96 an inch',
    pt: 'points, 72 an inch',
  } satisfies Readonly<Record<OutlineUnit, string>>,
  ask: 'The file does not say what its numbers are. Pick the unit that makes the wall as large as it is.',
  others: (others: number) =>
    others === 0
      ? ''
      : others === 1
        ? '1 smaller line is left out.'
        : `${others} smaller lines are left out.`,
  becomes: (width: number, height: number, w: Wording) =>
    `The wall becomes ${say(width, w)} wide along the floor and ${sayWithUnit(height, w)} high at the left corner.`,
  missing: (parts: number) =>
    parts === 0
      ? ''
      : parts === 1
        ? '1 slope or missing part is put on it.'
        : `${parts} slopes or missing parts are put on it.`,
  replaces: (readings: number) =>
    readings === 0
      ? ''
      : `What was read of its size and shape (${readings}) gives way to it; undo brings it back.`,
  take: 'Take it as this wall',
  away: 'Put it away',
  picture: 'The outline that was read',
} as const

/** Why a file gives no outline. */
export function outlineIssueText(issue: OutlineIssue): string {
  switch (issue.code) {
    case 'unreadable':
      return 'This file can’t be read: it is no SVG and no DXF, or a part of it is missing.'
    case 'open':
      return `No line in it is closed${issue.lines > 1 ? ` (${issue.lines} open ones)` : ''}. Close the wall’s outline into one line and save it again.`
    case 'empty':
      return 'There is no closed line in it. Words and pictures are not read; turn what is drawn into lines.'
    case 'badNumber':
      return 'Some of its numbers are none, or far too large.'
  }
}

/** Why an outline is no wall. */
export function outlineShapeText(issue: OutlineShapeIssue, w: Wording): string {
  switch (issue.code) {
    case 'tooSmall':
      return `It would be ${say(Math.round(issue.width), w)} by ${sayWithUnit(Math.round(issue.height), w)}: too small for a wall. Is the unit right?`
    case 'tooLarge':
      return 'It would be larger than any wall. Is the unit right?'
    case 'odd':
      return `Near ${say(Math.round(issue.at.x), w)} from the left and ${say(Math.round(issue.at.y), w)} up something of the wall is missing that is neither a rectangle nor a slope. Draw it without, and put it on the wall as a missing part.`
    case 'tooManyCorners':
      return `It has ${issue.corners} corners: more than a survey holds. Draw it with fewer.`
  }
}
