import type { Plan } from '~/core/computePlan'
import { count, say, uprightWords, type Wording } from './words'

/** The layout in a line: 11 battens to a rail at 62. */
export function layoutTitle({ layout }: Pick<Plan, 'layout'>, w: Wording): string {
  const { pattern, uprights, frames, bands, height, spacingIssue } = layout
  const { one, many } = uprightWords(pattern)
  if (pattern === 'rails') return bands.length === 0 ? 'No rails yet' : count(bands.length, 'rail')
  if (uprights.length === 0 || (pattern === 'grid' && spacingIssue)) return `No ${many} yet`
  if (pattern === 'boxes') return `${count(frames.length, one, many)} under a rail at ${say(height, w)}`
  if (pattern === 'grid') {
    const border = bands.some(({ role }) => role === 'border')
    const columns = uprights.length + (border ? -1 : 1)
    const rows = bands.filter(({ id }) => /^rail-\d+$/.test(id)).length + (border ? -1 : 1)
    return `A grid of ${columns} by ${rows}, up to ${say(height, w)}`
  }
  const rail = bands.some(({ id }) => id === 'topRail') ? 'a rail at ' : ''
  return `${count(uprights.length, one, many)} to ${rail}${say(height, w)}`
}
