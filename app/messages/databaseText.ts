import { COPIES_KEPT } from '~/model'

/** Why the database can't be worked with, as messages need it. */
export interface DatabaseTroubleSaid {
  readonly code:
    | 'taken'
    | 'newer'
    | 'otherSchema'
    | 'gone'
    | 'empty'
    | 'damaged'
    | 'notADatabase'
    | 'notAllowed'
    | 'busy'
    | 'full'
  readonly file: string
  readonly by?: string
  readonly detail?: string
  readonly copies?: readonly string[]
}

/** What is wrong with the database and what to do, in one or two sentences; the same on the page and on the console. */
export function databaseText({ code, file, by, detail, copies = [] }: DatabaseTroubleSaid): string {
  switch (code) {
    case 'taken':
      return `Another Regla has ${file} open (${by}). Use that one, or stop it and load this page again; or start this one on another file with DB_FILE.`
    case 'newer':
      return `${file} was written by a newer Regla than this one, which leaves it untouched. Start the newer one, or give this one another file with DB_FILE.`
    case 'otherSchema':
      return `${file} was written by a Regla that was never handed out, and this one can’t read it. It is left as it is. Start the Regla that wrote it and save its jobs as files, or put a copy in its place with “npm run restore”.`
    case 'gone':
      return `${file} is not there, but copies of it are: ${copies.slice(0, 3).join(', ')}${copies.length > 3 ? ` and ${copies.length - 3} more` : ''}. Regla does not begin anew beside them. Put one back with “npm run restore”, which says what each holds; or move them away, or set DB_FILE to another file, to begin anew.`
    case 'empty':
      return `${file} is empty: nothing can be put back from it. Pick another copy; “npm run restore” says what each holds.`
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

/** What a copy of everything holds: 3 jobs, 12 walls, newest change 2030-01-31 10:02 UTC. */
export function holdsText({
  jobs,
  walls,
  newest,
}: {
  readonly jobs: number
  readonly walls: number
  readonly newest: number | null
}): string {
  const when = newest === null ? 'no change yet' : `newest change ${moment(newest)}`
  return `${jobs} ${jobs === 1 ? 'job' : 'jobs'}, ${walls} ${walls === 1 ? 'wall' : 'walls'}, ${when}`
}

const moment = (at: number) => `${new Date(at).toISOString().slice(0, 16).replace('T', ' ')} UTC`

/** How many copies are kept. */
export const COPIES_TEXT = `Kept beside the database: a copy a day for ${COPIES_KEPT.daily} days, ${COPIES_KEPT.update} from before updates, ${COPIES_KEPT.restore} from before something was put back, ${COPIES_KEPT.hand} made with “npm run backup”. Older ones go.`
