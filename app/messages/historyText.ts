import type { ChangedPart } from '~/model'
import { partsText } from './savingText'

/** What was changed of a wall or a job, by whom and when. */
export const historyText = {
  title: 'What was changed',
  none: 'Nothing was changed since it was made.',
  failed: 'The server does not answer just now: it alone knows what was changed. Try again when it is back.',
  again: 'Try again',
  look: (when: string) => `Look at it as it was, ${when}`,
  lookShort: 'Look',
  then: (when: string) => `As it was, ${when}`,
  restore: 'Bring it back to this',
  restored: 'It is as it was then. Undo takes this back, and nothing that came since is lost.',
  settingsStay:
    'Strips that are cut or up stay so, and what goes for the whole job (tape, stuff, prices) stays as it is now.',
  same: 'No wall was otherwise than it is now.',
  more: (walls: number) => `${walls} more walls were otherwise then.`,
  close: 'Close it',
  noSuchChange: 'There is no such change here.',
  what: (parts: readonly ChangedPart[], walls: readonly string[]) =>
    walls.length === 0 ? partsText(parts) : `${walls.slice(0, 3).join(', ')}: ${partsText(parts)}`,
  how: { done: '', undone: 'taken back since', step: 'a step back or forward', made: '' },
  first: 'as it was first',
} as const
