import { hash, verify } from '@node-rs/argon2'
import { asc, eq, sql } from 'drizzle-orm'
import { fail, ok, type Result } from '~/length'
import { type Role, ROLES, type Standing } from '~/model'
import { type Database, inTransaction } from '../db/database.server'
import { members, sessions } from '../db/schema.server'
import { newId } from '../ids.server'

/** Fewer characters than this is no passphrase. */
export const LEAST_PASSPHRASE = 10
export const MOST_PASSPHRASE = 200
const MOST_NAME = 40

export interface Member extends Standing {
  readonly id: string
  readonly name: string
  readonly shutOut: boolean
}

/** Why nobody was added. */
export type MemberIssue = 'nameMissing' | 'nameTaken' | 'passphraseShort' | 'passphraseLong'

function asMember({ id, name, role, seesPrices, shutOutAt }: typeof members.$inferSelect): Member {
  return { id, name, role, seesPrices, shutOut: shutOutAt !== null }
}

const sameName = (name: string) => eq(sql`lower(${members.name})`, name.toLowerCase())

/** Adds a member of the crew; the passphrase is kept as an argon2id hash alone. The first of all is the owner, whatever was asked for. */
export async function addMember(
  db: Database,
  typed: string,
  passphrase: string,
  role: Role = 'helper',
): Promise<Result<string, MemberIssue>> {
  const name = typed.trim().slice(0, MOST_NAME)
  if (name === '') return fail('nameMissing')
  if (passphrase.length < LEAST_PASSPHRASE) return fail('passphraseShort')
  if (passphrase.length > MOST_PASSPHRASE) return fail('passphraseLong')
  const hashed = await hash(passphrase)
  if (db.select({ id: members.id }).from(members).where(sameName(name)).get()) return fail('nameTaken')
  const id = newId()
  inTransaction(db, (tx) => {
    const first = tx.select({ id: members.id }).from(members).limit(1).get() === undefined
    const given = first ? 'owner' : role
    tx.insert(members).values({ id, name, hash: hashed, role: given, createdAt: Date.now() }).run()
  })
  return ok(id)
}

let decoy: Promise<string> | null = null

/** The member of that name and passphrase; null where there is none, who is shut out, or the passphrase is another's. */
export async function memberBy(db: Database, name: string, passphrase: string): Promise<Member | null> {
  const row = db.select().from(members).where(sameName(name.trim())).get()
  // a name nobody has takes as long as one with a wrong passphrase
  const hashed = row?.hash ?? (await (decoy ??= hash('nobody comes in by this')))
  const good = passphrase.length <= MOST_PASSPHRASE && (await verify(hashed, passphrase))
  return good && row && row.shutOutAt === null ? asMember(row) : null
}

/** All of the crew, by name. */
export function listMembers(db: Database): Member[] {
  return db.select().from(members).orderBy(asc(members.name)).all().map(asMember)
}

/** The role of that name; missing where there is none. */
export function roleOf(name: string): Role | undefined {
  return ROLES.find((role) => role === name)
}

/** Whether nobody else who may come in is an owner. */
function isLastOwner(db: Database, memberId: string): boolean {
  const owners = listMembers(db).filter(({ role, shutOut }) => role === 'owner' && !shutOut)
  return owners.length === 1 && owners[0]?.id === memberId
}

/** Shuts a member out, and every browser they are in with; or lets them in again. False where no owner would be left. */
export function shutOut(db: Database, memberId: string, out: boolean): boolean {
  return inTransaction(db, (tx) => {
    if (out && isLastOwner(tx, memberId)) return false
    tx.update(members)
      .set({ shutOutAt: out ? Date.now() : null })
      .where(eq(members.id, memberId))
      .run()
    if (out) tx.delete(sessions).where(eq(sessions.memberId, memberId)).run()
    return true
  })
}

/** Gives a member another role, or shows a helper prices. False where no owner would be left. */
export function giveRole(db: Database, memberId: string, { role, seesPrices }: Standing): boolean {
  return inTransaction(db, (tx) => {
    if (role !== 'owner' && isLastOwner(tx, memberId)) return false
    tx.update(members).set({ role, seesPrices }).where(eq(members.id, memberId)).run()
    return true
  })
}
