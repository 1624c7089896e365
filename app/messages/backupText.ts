import { COPIES_TEXT } from './databaseText'

/** Everything in one file, out and in. */
export const backupText = {
  out: 'Save everything in one file',
  outHow: `All jobs, walls, photographs, stock, logs and the crew, as of this moment. Keep it as you keep the machine: who has it has everything. ${COPIES_TEXT}`,
  in: 'Take everything in from a file',
  inHow: 'Of a Regla that had its jobs before: everything is here then as it was there.',
  taking: 'Taking it in…',
  notEmpty:
    'Everything is only taken in where there is no job yet: nothing here may be lost. Start a Regla on a new database for it.',
  problem: {
    newer: 'This file was written by a newer Regla than this one. Start the newer one with it.',
    damaged: 'This file is damaged: a part of it is missing or changed. Nothing here has changed.',
    notADatabase: 'This file is none that Regla saved everything in. Nothing here has changed.',
    full: 'The disk is full: it could not be taken in. Nothing here has changed.',
    other: 'It could not be taken in. Nothing here has changed.',
  },
} as const
export type BackupProblem = keyof typeof backupText.problem
