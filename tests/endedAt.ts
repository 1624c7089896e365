// Makes or puts back a copy of a database and ends itself, as a killed process does, at the step that is named.
// tsx tests/endedAt.ts backup|update|restore FILE STEP [COPY]
import { join } from 'node:path'
import { backUp, backupFolder, copyBeforeUpdate } from '~/server/db/backups.server'
import { restoreFrom } from '~/server/db/restore.server'

const [what, file = '', at, copy = ''] = process.argv.slice(2)
const step = (name: string) => {
  if (name === at) process.kill(process.pid, 'SIGKILL')
}
if (what === 'backup') await backUp(file, join(backupFolder(file), 'copy-one.db'), step)
else if (what === 'update') copyBeforeUpdate(file, '2030-01-31T10:00:00.000Z', step)
else restoreFrom(copy, file, '2030-01-31T10:00:00.000Z', step)
