/** Why the database can't be worked with, as messages need it. */
export interface DatabaseTroubleSaid {
  readonly code: 'taken' | 'newer' | 'damaged' | 'notADatabase' | 'notAllowed' | 'busy' | 'full'
  readonly file: string
  readonly by?: string
  readonly detail?: string
}

/** What is wrong with the database and what to do, in one or two sentences; the same on the page and on the console. */
export function databaseText({ code, file, by, detail }: DatabaseTroubleSaid): string {
  switch (code) {
    case 'taken':
      return `Another Regla has ${file} open (${by}). Use that one, or stop it and load this page again; or start this one on another file with DB_FILE.`
    case 'newer':
      return `${file} was written by a newer Regla than this one, which leaves it untouched. Start the newer one, or give this one another file with DB_FILE.`
    case 'damaged':
      return `${file} is damaged${detail ? ` (${detail})` : ''}. It is left as it is. Put the last good copy in its place with “npm run restore”, which lists the copies kept beside it.`
    case 'notADatabase':
      return `${file} is no Regla database. It is left as it is. Move it away, or give Regla another file with DB_FILE; copies are put back with “npm run restore”.`
    case 'notAllowed':
      return `${file} can’t be opened or written${detail ? ` (${detail})` : ''}. See that the file and its folder may be written by whoever runs Regla.`
    case 'busy':
      return `${file} is being written by something else for longer than Regla waits. Nothing was saved; try once more.`
    case 'full':
      return `The disk that holds ${file} is full. Nothing was saved. Make room, then try once more: what you changed is kept in this browser until then.`
  }
}
