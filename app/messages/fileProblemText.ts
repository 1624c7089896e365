import type { z } from 'zod'
import type { FileProblem } from '~/core/files/readJobFile'
import type { LengthIssue, Units } from '~/length'
import { LIMITS } from '~/model'
import { lengthIssueText } from './lengthIssue'

const longestText = 'is longer than anything here may be: 100 m (328 ft) is the most.'

function customText(params: Record<string, unknown> | undefined, units: Units): string {
  const length = params?.length as LengthIssue | undefined
  if (length) return lengthIssueText(length, units)
  switch (params?.problem) {
    case 'notPositive':
      return 'must be more than zero.'
    case 'negative':
      return 'must not be less than zero.'
    case 'tapeNotInUnits':
      return 'this tape does not go with the units.'
    default:
      return 'can’t be used here.'
  }
}

function schemaText(issue: z.core.$ZodIssue, units: Units): string {
  switch (issue.code) {
    case 'invalid_type':
      return `expected ${issue.expected}${issue.message.includes('undefined') ? ', but nothing is there' : ''}.`
    case 'invalid_value':
      return `expected ${issue.values.map((value) => JSON.stringify(value)).join(' or ')}.`
    case 'too_small':
      if (issue.minimum === -LIMITS.length) return longestText

      return `is too small or too short; the least is ${issue.minimum}.`
    case 'too_big':
      if (issue.maximum === LIMITS.length) return longestText

      return `is too large or too long; the most is ${issue.maximum}.`
    case 'unrecognized_keys':
      return `has keys nobody knows: ${issue.keys.join(', ')}.`
    case 'invalid_union':
      return issue.discriminator
        ? `its "${issue.discriminator}" is none of the known ones.`
        : 'is neither a whole number of nanometers nor a length as people write it.'
    case 'invalid_format':
      return `is not written as it should be (${issue.format}).`
    case 'custom':
      return customText(issue.params, units)
    default:
      return 'can’t be used here.'
  }
}

/** One line for one problem: its path, then what is wrong. */
export function fileProblemText(problem: FileProblem, units: Units = 'inches'): string {
  switch (problem.code) {
    case 'notJson':
      return `${problem.path}: is not JSON. ${problem.detail}`
    case 'schema':
      return `${problem.path}: ${schemaText(problem.issue, units)}`
    case 'unknownMaterial':
      return `${problem.path}: there is no material "${problem.material}" in settings.materials.`
    case 'sameId':
      return `${problem.path}: "${problem.id}" is used twice; each id may stand once.`
    case 'tooManyPieces':
      return `${problem.path}: ${problem.count} pieces in all; the most is ${problem.most}.`
    case 'ownName':
      return `${problem.path}: "${problem.id}" is a name the plan gives its own strips. Choose another.`
  }
}
