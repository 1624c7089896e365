import type { JobNames } from '~/model'

const FIELDS: Readonly<Record<keyof JobNames, string>> = { name: 'the name', client: 'the client' }

/** Names that two windows gave one thing. */
export const renameText = {
  clash: (now: string) => `Another window named it “${now}” since.`,
  keepMine: (mine: string) => `Name it “${mine}”`,
  leave: (now: string) => `Leave it “${now}”`,
  job: (fields: readonly (keyof JobNames)[]) =>
    `Another window also changed ${fields.map((field) => FIELDS[field]).join(' and ')}. At the head of this page is how it stands now; press once more to keep what is typed here.`,
} as const
