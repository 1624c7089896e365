import SqliteDatabase from 'better-sqlite3'

/** Why the database can't be worked with, as far as a person can do something about it. */
export type DatabaseTrouble =
  | { readonly code: 'taken'; readonly file: string; readonly by: string }
  | { readonly code: 'newer'; readonly file: string }
  /** It went through migrations that no Regla that landed ever had. */
  | { readonly code: 'otherSchema'; readonly file: string }
  /** It is not there, and copies of it are: nothing is begun beside them. */
  | { readonly code: 'gone'; readonly file: string; readonly copies: readonly string[] }
  /** A copy with nothing in it. */
  | { readonly code: 'empty'; readonly file: string }
  | { readonly code: 'damaged'; readonly file: string; readonly detail: string }
  | { readonly code: 'notADatabase'; readonly file: string }
  | { readonly code: 'notAllowed'; readonly file: string; readonly detail: string }
  | { readonly code: 'busy'; readonly file: string }
  | { readonly code: 'full'; readonly file: string }

/** Thrown where the database can't be opened or written; what to do about it is said in messages. */
export class DatabaseError extends Error {
  constructor(
    readonly trouble: DatabaseTrouble,
    cause?: unknown,
  ) {
    super(`${trouble.code}: ${trouble.file}`, { cause })
  }
}

function codeOf(error: unknown): string {
  if (error instanceof SqliteDatabase.SqliteError) return error.code
  const { code } = error as { code?: unknown }
  return typeof code === 'string' ? code : ''
}

/** What an error of SQLite or of the file system means for a database file; null where it is a fault of the program. */
export function troubleOf(error: unknown, file: string): DatabaseTrouble | null {
  if (error instanceof DatabaseError) return error.trouble
  const cause = error instanceof Error ? error.cause : undefined
  const code = codeOf(error)
  const detail = error instanceof Error ? error.message : String(error)
  if (code.startsWith('SQLITE_NOTADB')) return { code: 'notADatabase', file }
  if (code.startsWith('SQLITE_CORRUPT')) return { code: 'damaged', file, detail }
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED')) return { code: 'busy', file }
  if (code.startsWith('SQLITE_FULL') || code === 'ENOSPC') return { code: 'full', file }
  if (/^(SQLITE_(READONLY|CANTOPEN|IOERR|PERM|AUTH)|EACCES|EPERM|EROFS|EISDIR|ENOTDIR|EEXIST)/.test(code))
    return { code: 'notAllowed', file, detail }
  return cause === undefined ? null : troubleOf(cause, file)
}
