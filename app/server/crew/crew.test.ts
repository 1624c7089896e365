import { openDatabase, sqliteOf } from '../db/database.server'
import { safePath } from './entry.server'
import { addMember, listMembers, memberBy, shutOut } from './members.server'
import { CODE_MINUTES, newCode, takeCode } from './pairing.server'
import {
  browserName,
  endSession,
  memberOf,
  putOut,
  SESSION_DAYS,
  startSession,
  whoIsIn,
} from './sessions.server'

const NOW = 1_900_000_000_000
const DAY = 86_400_000

async function withIda() {
  const db = openDatabase(':memory:')
  // somebody is the owner, whoever is shut out
  await addMember(db, 'Olga', 'blue field ladder')
  const added = await addMember(db, ' Ida ', 'green field ladder')
  if (!added.ok) throw new Error(added.issue)
  return { db, ida: added.value }
}

describe('the crew', () => {
  test('comes in by name and passphrase, of which only a hash is kept', async () => {
    const { db, ida } = await withIda()
    expect(await memberBy(db, 'ida', 'green field ladder')).toMatchObject({ id: ida, name: 'Ida' })
    expect(await memberBy(db, 'Ida', 'green field latter')).toBeNull()
    expect(await memberBy(db, 'Nobody', 'green field ladder')).toBeNull()
    expect(await memberBy(db, 'Ida', 'x'.repeat(1_000_000))).toBeNull()
    const [{ hash } = { hash: '' }] = sqliteOf(db).prepare('select hash from members').all() as {
      hash: string
    }[]
    expect(hash).toMatch(/^\$argon2id\$/)
  })

  test('names once, passphrases long enough', async () => {
    const { db } = await withIda()
    expect(await addMember(db, 'IDA', 'another long one')).toEqual({ ok: false, issue: 'nameTaken' })
    expect(await addMember(db, ' ', 'another long one')).toEqual({ ok: false, issue: 'nameMissing' })
    expect(await addMember(db, 'Ole', 'short')).toEqual({ ok: false, issue: 'passphraseShort' })
    expect(listMembers(db)).toHaveLength(2)
  })

  test('a session lets in until its time is over, it is ended, or put out', async () => {
    const { db, ida } = await withIda()
    const start = () => startSession(db, ida, 'passphrase', 'A browser', NOW)
    const token = start()
    expect(memberOf(db, token, NOW)).toMatchObject({ name: 'Ida' })
    expect(memberOf(db, `${token}x`, NOW)).toBeNull()
    expect(memberOf(db, token, NOW + SESSION_DAYS * DAY)).toBeNull()
    endSession(db, token)
    expect(memberOf(db, token, NOW)).toBeNull()
    const other = start()
    const [inside] = whoIsIn(db, NOW)
    expect(inside).toMatchObject({ name: 'Ida', by: 'passphrase', browser: 'A browser' })
    expect(browserName('')).toBe('a browser')
    expect(browserName('Mozilla/5.0 (Android 14; Mobile; rv:131.0) Gecko/131.0 Firefox/131.0')).toBe(
      'Firefox on Android',
    )
    // what the file holds is no cookie
    expect(memberOf(db, inside?.id ?? '', NOW)).toBeNull()
    putOut(db, inside?.id ?? '')
    expect(memberOf(db, other, NOW)).toBeNull()
  })

  test('who is shut out is out everywhere at once, and may be let in again', async () => {
    const { db, ida } = await withIda()
    const token = startSession(db, ida, 'passphrase', '', NOW)
    shutOut(db, ida, true)
    expect(memberOf(db, token, NOW)).toBeNull()
    expect(await memberBy(db, 'Ida', 'green field ladder')).toBeNull()
    shutOut(db, ida, false)
    expect(memberOf(db, token, NOW)).toBeNull()
    expect(await memberBy(db, 'Ida', 'green field ladder')).toMatchObject({ name: 'Ida' })
  })

  test('a code lets one phone in, once, for a few minutes', async () => {
    const { db, ida } = await withIda()
    const code = newCode(db, ida, NOW)
    expect(code).toMatch(/^[A-Z2-9]{8}$/)
    expect(takeCode(db, 'AAAAAAAA', NOW)).toBeNull()
    expect(takeCode(db, ` ${code.slice(0, 4).toLowerCase()}-${code.slice(4)} `, NOW + 1000)).toBe(ida)
    expect(takeCode(db, code, NOW + 1000)).toBeNull()
    const late = newCode(db, ida, NOW)
    expect(takeCode(db, late, NOW + CODE_MINUTES * 60_000)).toBeNull()
    const ofShutOut = newCode(db, ida, NOW)
    shutOut(db, ida, true)
    expect(takeCode(db, ofShutOut, NOW)).toBeNull()
  })

  test('after signing in it goes on within this server alone', () => {
    expect(safePath('/jobs/a?x=1')).toBe('/jobs/a?x=1')
    for (const to of [
      null,
      '',
      'https://evil.example',
      '//evil.example',
      '/\\evil.example',
      '/a\\b',
      '/a\nb',
    ])
      expect(safePath(to)).toBe('/')
  })
})
