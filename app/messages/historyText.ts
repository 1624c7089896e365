import type { ChangedPart } from '~/model'
import { partsText } from './savingText'

/** What was changed of a wall or a job, by whom and when. */
export const historyText = {
  title: 'History',
  none: 'No changes yet.',
  failed: 'The server does not answer, and only it has the history. Try again when it is back.',
  again: 'Try again',
  look: (when: string) => `Look at it as it was, ${when}`,
  lookShort: 'Look',
  then: (when: string) => `As it was, ${when}`,
  restore: 'Restore this version',
  restored: 'Restored. You can undo this, and later changes stay in the history.',
  settingsStay: 'Pieces you cut or fitted stay as they are. So do the job’s tape, stock and prices.',
  same: 'No wall has changed since.',
  more: (walls: number) => `${walls} more walls have changed since.`,
  close: 'Close',
  noSuchChange: 'There is no such change here.',
  what: (parts: readonly ChangedPart[], walls: readonly string[]) =>
    walls.length === 0 ? partsText(parts) : `${walls.slice(0, 3).join(', ')}: ${partsText(parts)}`,
  how: { done: '', undone: 'undone since', step: 'undo or redo', made: '' },
  first: 'first version',
} as const
