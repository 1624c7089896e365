import type { SessionWords } from '~/core/files/calendar'
import type { Task } from '~/core/sequence/task'
import { cautionText, checkText } from './taskText'
import { orderText } from './workText'

/** What a calendar says of a session of work: the task, which part of it, what is looked at and what one takes care of. */
export function sessionWords(
  { checks, cautions }: Task,
  name: string,
  part: { readonly number: number; readonly of: number } | null,
): SessionWords {
  return {
    title: part ? `${name}, ${orderText.parts(part.number, part.of)}` : name,
    description: [...checks.map(checkText), ...cautions.map(cautionText)].join('\n'),
  }
}
