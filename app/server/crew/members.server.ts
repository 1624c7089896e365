import { hash, verify } from '@node-rs/argon2'
import { asc, eq, sql } from 'drizzle-orm'
import { fail, ok, type Result } from '~/length'
import type { Database } from '../db/database.server'
import { members, sessions } from '../db/schema.server'
import { newId } from '../ids.server'

/** Fewer characters than this is no passphrase. */
export const LEAST_PASSPHRASE = 10
export const MOST_PASSPHRASE = 200
const MOST_NAME = 40

export interface Member {
  readonly id: string
  readonly name: string
  readonly shutOut: boolean
}

/** Why nobody was added. */
export type MemberIssue = 'nameMissing' | 'nameTaken' | 'passphraseShort' | 'passphraseLong'

const sameName = (name: string) => eq(sql`lower(${members.name})`, name.toLowerCase())

/** Adds a member of the crew; the passphrase is kept as an argon2id hash alone. */
export async function addMember(
  db: Database,
  typed: string,
  passphrase: string,
): Promise<Result<string, MemberIssue>> {
  const name = typed.trim().slice(0, MOST_NAME)
  if (name === '') return fail('nameMissing')
  if (passphrase.length < LEAST_PASSPHRASE) return fail('passphraseShort')
  if (passphrase.length > MOST_PASSPHRASE) return fail('passphraseLong')
  const hashed = await hash(passphrase)
  if (db.select({ id: members.id }).from(members).where(sameName(name)).get()) return fail('nameTaken')
  const id = newId()
  db.insert(members).values({ id, name, hash: hashed, createdAt: Date.now() }).run()
  return ok(id)
}

let decoy: Promise<string> | null = null

/** The member of that name and passphrase; null where there is none, who is shut out, or the passphrase is another's. */
export async function memberBy(db: Database, name: string, passphrase: string): Promise<Member | null> {
  const row = db.select().from(members).where(sameName(name.trim())).get()
  // a name nobody has takes as long as one with a wrong passphrase
  const hashed = row?.hash ?? (await (decoy ??= hash('nobody comes in by this')))
  const good = passphrase.length <= MOST_PASSPHRASE && (await verify(hashed, passphrase))
  return good && row && row.shutOutAt === null ? { id: row.id, name: row.name, shutOut: false } : null
}

/** All of the crew, by name. */
export function listMembers(db: Database): Member[] {
  return db
    .select()
    .from(members)
    .orderBy(asc(members.name))
    .all()
    .map(({ id, name, shutOutAt }) => ({ id, name, shutOut: shutOutAt !== null }))
}

/** Shuts a member out, and every browser they are in with; or lets them in again. */
export function shutOut(db: Database, memberId: string, out: boolean): void {
  db.update(members)
    .set({ shutOutAt: out ? Date.now() : null })
    .where(eq(members.id, memberId))
    .run()
  if (out) db.delete(sessions).where(eq(sessions.memberId, memberId)).run()
}
