import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import SqliteDatabase from 'better-sqlite3'
import { matchPath } from 'react-router'
import { wallWindow } from '../../../tests/windows'
import { inches } from '~/length'
import { type DesignDocument, may, mayChange, ROLES, type Right, type Standing, withDesign } from '~/model'
import { openDatabase, sqliteOf } from '../db/database.server'
import { createJob } from '../jobs.server'
import { changePage } from '../pageChanges.server'
import { pageOfWall, storedDocuments } from '../pages.server'
import { createWall } from '../walls.server'
import { withoutSecrets } from '../wholeBackup.server'
import { bearerOf, devicesOf, endDevice, isDevice, MOST_DEVICES, newDevice } from './deviceTokens.server'
import { addMember, giveRole, listMembers, shutOut } from './members.server'
import { newCode } from './pairing.server'
import { insteadOf, RIGHTS, rightFor } from './rights.server'
import { startSession } from './sessions.server'

const HELPER: Standing = { role: 'helper', seesPrices: false }
const PASSPHRASE = 'green field ladder'

/** The addresses of the routes file as they stand there: a new one without a row is found here. */
function routePaths(): string[] {
  const text = readFileSync('app/routes.ts', 'utf8')
  const paths: string[] = []
  let above = ''
  for (const line of text.split('\n')) {
    const nested = /^ {4}(?:route\('([^']+)'|index)/.exec(line)
    if (nested) {
      paths.push(`${above}${nested[1] ? `/${nested[1]}` : ''}`)
      continue
    }
    const path = /^ {2}route\('([^']+)'/.exec(line)?.[1]
    if (path === undefined) continue
    above = `/${path}`
    paths.push(above)
  }
  return paths
}

describe('rights', () => {
  test('each route has a row, but for those that are open to all', () => {
    const paths = routePaths()
    expect(paths.length).toBeGreaterThan(60)
    const open = ['/c/:token', '/c/:token/photo/:photoId', '/sign-in', '/healthz', '/*']
    const without = paths.filter((path) => !RIGHTS.has(path) && !open.includes(path))
    expect(without).toEqual([])
    const known = [...RIGHTS.keys()].filter((path) => path !== '/' && !paths.includes(path))
    expect(known).toEqual([])
  })

  test('each address finds its own row and none above it; what is unknown is written by nobody at the wall', () => {
    for (const [path, taken] of RIGHTS) {
      const plain = path.replaceAll(/:\w+/g, 'x1')
      const found = [...RIGHTS.keys()].filter((each) => matchPath(each, plain))
      expect(found.filter((each) => each.includes(':') || each === path)).toContain(path)
      expect(found.length).toBeLessThanOrEqual(2)
      expect([rightFor(plain, 'GET'), rightFor(plain, 'POST')]).toEqual([
        taken.read ?? 'jobs',
        taken.write ?? 'jobs',
      ])
    }
    expect(rightFor('/nowhere', 'POST')).toBe('jobs')
    expect(insteadOf('/jobs/a/walls/b/agree/colors')).toBe('/jobs/a/walls/b/mark')
    expect(insteadOf('/jobs/a/walls/b/buy')).toBeNull()
  })

  test('an owner may all, a lead all but backups and members, a helper works at the wall', () => {
    const rights: Right[] = ['wall', 'jobs', 'prices', 'links', 'owner']
    const of = (standing: Standing) => rights.filter((right) => may(standing, right))
    expect(of({ role: 'owner', seesPrices: false })).toEqual(rights)
    expect(of({ role: 'lead', seesPrices: false })).toEqual(['wall', 'jobs', 'prices', 'links'])
    expect(of(HELPER)).toEqual(['wall'])
    expect(of({ role: 'helper', seesPrices: true })).toEqual(['wall', 'prices'])
    for (const path of ['/jobs/j/boards', '/jobs/j/walls/w/buy', '/yard'])
      expect(may(HELPER, rightFor(path, 'GET'))).toBe(false)
    for (const [path, method] of [
      ['/backup', 'GET'],
      ['/backup', 'POST'],
      ['/jobs/j/client', 'POST'],
      ['/', 'POST'],
      ['/jobs/j', 'POST'],
      ['/jobs/j/export', 'GET'],
      ['/jobs/j/work/document', 'POST'],
    ] as const)
      expect([path, may(HELPER, rightFor(path, method))]).toEqual([path, false])
    expect(
      ['survey', 'photo', 'design', 'settings', 'options', 'work'].filter((kind) => mayChange(HELPER, kind)),
    ).toEqual(['survey', 'photo'])
  })

  test('a helper measures a wall and lays out none: of a save that does both nothing is kept, undo of a layout neither', async () => {
    const db = openDatabase(':memory:')
    const jobId = createJob(db, { name: 'Alder mill', client: '', units: 'inches', tape: '1/16' })
    const ids = { jobId, wallId: createWall(db, { jobId, roomName: 'Study', name: 'North' }) }
    const page = pageOfWall(db, ids)
    if (!page) throw new Error('no wall')
    const documents = storedDocuments(db, page)
    const body = (kind: 'survey' | 'design') => {
      const found = documents.find((each) => each.kind === kind)
      if (!found) throw new Error(kind)
      return { id: found.id, base: found.revision, body: found.body }
    }
    const save = (...sent: object[]) =>
      changePage(
        db,
        page,
        { intent: 'save', clashing: 'ask', token: `t${Math.random()}`, after: [], documents: sent },
        null,
        HELPER,
      )
    const survey = { ...body('survey'), body: { ...(body('survey').body as object), width: inches(111) } }
    const design = {
      ...body('design'),
      body: withDesign(body('design').body as DesignDocument, { locked: true }),
    }
    expect(save(survey, design)).toMatchObject({
      kind: 'refused',
      problems: [expect.stringContaining('lead')],
    })
    expect(storedDocuments(db, page)).toEqual(documents)
    expect(save(survey)).toMatchObject({ kind: 'done' })
    await wallWindow(db, ids).change('design', (now) => withDesign(now, { locked: true }))
    const { saver } = wallWindow(db, ids)
    const change = saver.store.getState().history.undo?.change
    const step = {
      intent: 'undo',
      change,
      documents: saver.store.getState().held.map(({ id, revision }) => ({ id, base: revision })),
    }
    expect(changePage(db, page, step, null, HELPER).kind).toBe('refused')
    expect(changePage(db, page, step).kind).toBe('done')
  })
})

describe('the owner', () => {
  test('whoever was first is one, and there is always one', async () => {
    const db = openDatabase(':memory:')
    await addMember(db, 'Ida', PASSPHRASE, 'helper')
    await addMember(db, 'Ben', PASSPHRASE)
    await addMember(db, 'Cleo', PASSPHRASE, 'lead')
    const roles = () => listMembers(db).map(({ name, role }) => `${name} ${role}`)
    expect(roles()).toEqual(['Ben helper', 'Cleo lead', 'Ida owner'])
    const id = (name: string) => listMembers(db).find((each) => each.name === name)?.id ?? ''
    for (const role of ROLES.filter((each) => each !== 'owner'))
      expect(giveRole(db, id('Ida'), { role, seesPrices: false })).toBe(false)
    expect(shutOut(db, id('Ida'), true)).toBe(false)
    expect(giveRole(db, id('Ben'), { role: 'owner', seesPrices: false })).toBe(true)
    expect(shutOut(db, id('Ida'), true)).toBe(true)
    // one that is shut out is no owner who could stay
    expect(giveRole(db, id('Ben'), { role: 'lead', seesPrices: false })).toBe(false)
    expect(roles()).toEqual(['Ben owner', 'Cleo lead', 'Ida owner'])
  })

  test('is whoever came first in a database of before there were roles; the others lead, as they did', () => {
    const folder = mkdtempSync(join(tmpdir(), 'regla-'))
    const file = join(folder, 'before.db')
    writeFileSync(file, gunzipSync(readFileSync('tests/versions/schema-8.sqlite.gz')))
    const before = new SqliteDatabase(file)
    before.prepare('update members set shut_out_at = 1').run()
    for (const [id, name, at] of [
      ['m-gone', 'Gone', 1],
      ['m-first', 'First', 2],
      ['m-next', 'Next', 3],
    ] as const)
      before
        .prepare('insert into members (id, name, hash, created_at, shut_out_at) values (?, ?, ?, ?, ?)')
        .run(id, name, 'x', at, id === 'm-gone' ? 9 : null)
    before.close()
    const db = openDatabase(file)
    const roles = Object.fromEntries(listMembers(db).map(({ id, role }) => [id, role]))
    sqliteOf(db).close()
    rmSync(folder, { recursive: true, force: true })
    expect(roles).toMatchObject({ 'm-gone': 'lead', 'm-first': 'owner', 'm-next': 'lead' })
    expect(Object.values(roles).filter((role) => role === 'owner')).toHaveLength(1)
  })

  test('has a backup that lets nobody in: no browser, no code, no device, not even in bytes that are left over', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'regla-'))
    const file = join(folder, 'copy.db')
    try {
      const db = openDatabase(file)
      const added = await addMember(db, 'Ida', PASSPHRASE)
      const ida = added.ok ? added.value : ''
      startSession(db, ida, 'passphrase', 'Firefox on a phone of the test', 5)
      newCode(db, ida, 5)
      newDevice(db, 'Laser of the test', 5)
      const keys = sqliteOf(db)
        .prepare('select id from sessions union select id from pairings union select id from device_tokens')
        .all() as { id: string }[]
      expect(keys).toHaveLength(3)
      sqliteOf(db).close()
      withoutSecrets(file)
      const bytes = readFileSync(file).toString('latin1')
      for (const { id } of keys) expect(bytes).not.toContain(id)
      expect(existsSync(`${file}-wal`)).toBe(false)
      const copy = new SqliteDatabase(file)
      for (const table of ['sessions', 'pairings', 'device_tokens'])
        expect(copy.prepare(`select count(*) n from ${table}`).get()).toEqual({ n: 0 })
      expect(copy.prepare('select count(*) n from members').get()).toEqual({ n: 1 })
      copy.close()
    } finally {
      rmSync(folder, { recursive: true, force: true })
    }
  })
})

test('a device has a token of its own, shown once, kept as a hash, and ended', () => {
  const db = openDatabase(':memory:')
  expect(newDevice(db, '  ', 1)).toBeNull()
  const token = newDevice(db, ' Hall laser ', 1) ?? ''
  expect(bearerOf(`Bearer ${token}`)).toBe(token)
  for (const bad of [null, '', token, `Basic ${token}`, `Bearer ${token}x`, `Bearer ${token} `])
    expect(bearerOf(bad)).toBeNull()
  expect(JSON.stringify(sqliteOf(db).prepare('select * from device_tokens').all())).not.toContain(token)
  expect(isDevice(db, token, 7)).toBe(true)
  expect(isDevice(db, `${token.slice(0, -1)}_`, 7)).toBe(false)
  const [device] = devicesOf(db)
  expect(device).toMatchObject({ name: 'Hall laser', usedAt: 7 })
  expect(endDevice(db, device?.id ?? '')).toBe(true)
  expect(isDevice(db, token, 8)).toBe(false)
  for (let i = 0; i < MOST_DEVICES; i++) newDevice(db, `n${i}`, 1)
  expect(newDevice(db, 'one more', 1)).toBeNull()
})
