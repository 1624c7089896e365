import type { LengthIssue, Units } from '~/length'

function example(units: Units): string {
  switch (units) {
    case 'inches':
      return '29 3/4'
    case 'feet-inches':
      return "2' 5 3/4"
    case 'mm':
      return '756'
  }
}

/** What was read, what is wrong and what to do, for a length somebody typed. */
export function lengthIssueText(issue: LengthIssue, units: Units): string {
  const write = `Write it like ${example(units)}.`
  switch (issue.code) {
    case 'lengthEmpty':
      return `Nothing is written here. ${write}`
    case 'lengthUnreadable':
      return issue.rest === ''
        ? `“${issue.read}” stops before its number. ${write}`
        : `“${issue.read}” can't be read from “${issue.rest}” on. ${write}`
    case 'lengthZeroDenominator':
      return `“${issue.read}” divides by zero. ${write}`
    case 'lengthUnitTwice':
      return `“${issue.read}” gives ${issue.unit === 'ft' ? 'feet' : issue.unit === 'in' ? 'inches' : issue.unit} twice. ${
        units === 'mm'
          ? 'Write one number: 2745, 2 745 or 2,745.'
          : "Join a fraction to its number: 12 1/2, or feet to inches: 2' 6."
      }`
    case 'lengthTooLarge':
      return `“${issue.read}” is longer than any room: 100 m (328 ft) is the most. Check the unit and the number of digits.`
    case 'lengthTooLong':
      return `“${issue.read}…” goes on for ${issue.characters} characters, which is no length. ${write}`
  }
}

/** A readable length that can't stand in this place. */
export function lengthLimitText(read: string, least: string | null, most: string | null): string {
  if (least !== null && most !== null)
    return `${read} is outside ${least} to ${most}. Write a length between them.`
  if (least !== null) return `${read} is too small here. Write ${least} or more.`
  return `${read} is too large here. Write ${most} or less.`
}
