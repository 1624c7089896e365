import { request } from 'node:https'
import { createCookie } from 'react-router'
import { may, type Right, ROLES, type Standing } from '~/model'
import { addMember } from '~/server/crew/members.server'
import { insteadOf, RIGHTS, rightFor } from '~/server/crew/rights.server'
import { startSession } from '~/server/crew/sessions.server'
import { openDatabase, sqliteOf } from '~/server/db/database.server'
import { createJob } from '~/server/jobs.server'
import { createWall } from '~/server/walls.server'
import { newFile, startTarget } from './target'

const HOST = '127.0.0.2'
const PASSPHRASE = 'green field ladder'
/** Where something in JSON is posted. */
const JSON_PATHS = /\/(document|acts|history|readings|saws|log-photos)$/

interface Said {
  readonly status: number
  readonly location: string
}

function askTls(
  port: number,
  path: string,
  method: string,
  cookie: string,
  form: string | null,
): Promise<Said> {
  const type = JSON_PATHS.test(path) ? 'application/json' : 'application/x-www-form-urlencoded'
  const body = form ?? (type === 'application/json' ? '{}' : 'intent=nothing')
  const posted = method === 'POST' ? { 'content-type': type, 'content-length': String(body.length) } : {}
  return new Promise((done) => {
    const sent = request(
      // a path as it is written, whatever an address library would make of it
      {
        host: HOST,
        port,
        path,
        method,
        rejectUnauthorized: false,
        agent: false,
        headers: { cookie, ...posted },
      },
      (answer) => {
        answer.resume()
        // what is never ending, as the news are, is known by its head
        done({ status: answer.statusCode ?? 0, location: answer.headers.location ?? '' })
        if (method === 'GET') answer.destroy()
      },
    )
    sent.on('error', () => done({ status: 0, location: '' }))
    sent.end(method === 'POST' ? body : undefined)
  })
}

/** What came of asking for each address by each role, and for the sign-in by odd spellings of it. */
export interface Roles {
  readonly asked: number
  /** Answers that are not what the table of rights says: let in where it says no, or refused where it says yes. */
  readonly wrong: readonly string[]
  /** Guesses of a passphrase by odd spellings of the address, and how many of them were judged. */
  readonly odd: { readonly guesses: number; readonly judged: number }
  /** Guesses by the plain address in one go, and how many of them were judged. */
  readonly plain: { readonly guesses: number; readonly judged: number }
}

const ODD = [
  '/x/../sign-in',
  '/./sign-in',
  '/x/%2e%2e/sign-in',
  '/%2e/sign-in',
  '//sign-in',
  '/sign-in/%2e',
  '/x%2f..%2fsign-in',
  '/\\sign-in',
]

/** Asks for each address as each role and as nobody, and guesses a passphrase in every spelling of the address. */
export async function eachRouteByEachRole(guesses: number): Promise<Roles> {
  const file = newFile()
  const db = openDatabase(file)
  const jobId = createJob(db, { name: 'Roles', client: '', units: 'inches', tape: '1/16' })
  const wallId = createWall(db, { jobId, roomName: 'Hall', name: 'North' })
  const cookie = createCookie('__Host-regla')
  const visitors: { name: string; standing: Standing | null; cookie: string }[] = [
    { name: 'nobody', standing: null, cookie: '' },
  ]
  for (const role of ROLES) {
    const added = await addMember(db, role, PASSPHRASE, role)
    if (!added.ok) throw new Error(added.issue)
    const token = startSession(db, added.value, 'passphrase', 'attack', Date.now())
    visitors.push({
      name: role,
      standing: { role, seesPrices: false },
      cookie: await cookie.serialize(token),
    })
  }
  sqliteOf(db).close()
  const target = await startTarget(file, { REGLA_HOST: HOST })
  const wrong: string[] = []
  let asked = 0
  const fill = (path: string) =>
    path
      .replace(':jobId', jobId)
      .replace(':wallId', wallId)
      .replace(':optionId', wallId)
      .replace(':device', 'laser')
      .replaceAll(/:\w+/g, 'x1')
  const isGood = (standing: Standing | null, path: string, method: string, right: Right, said: Said) => {
    if (!standing) return said.status === 401 || (said.status === 302 && said.location.startsWith('/sign-in'))
    if (may(standing, right)) return said.status !== 403 && said.status !== 401 && said.status !== 0
    const instead = method === 'GET' ? insteadOf(path) : null
    return instead === null ? said.status === 403 : said.status === 302 && said.location === instead
  }
  for (const pattern of RIGHTS.keys())
    for (const method of ['GET', 'POST'])
      for (const { name, standing, cookie: held } of visitors) {
        const path = fill(pattern)
        // what is done on this page is told apart by who does it to whom: the crew's own test asks for that
        if (path === '/crew' && method === 'POST' && standing) continue
        const said = await askTls(target.port, path, method, held.split(';')[0] ?? '', null)
        asked += 1
        if (!isGood(standing, path, method, rightFor(path, method), said))
          wrong.push(`${method} ${pattern} as ${name}: ${said.status} ${said.location}`)
      }
  const guess = (path: string, i: number) =>
    askTls(target.port, path, 'POST', '', `name=owner&passphrase=guess%20number%20${i}`)
  const odd = { guesses: 0, judged: 0 }
  for (const path of ODD)
    for (let i = 0; i < guesses; i++) {
      odd.guesses += 1
      // 403 is what a wrong passphrase gets: only then was it looked at
      if ((await guess(path, i)).status === 403) odd.judged += 1
    }
  const plain = { guesses: 3 * guesses, judged: 0 }
  for (let i = 0; i < plain.guesses; i++) if ((await guess('/sign-in', i)).status === 403) plain.judged += 1
  await target.kill('SIGTERM')
  return { asked, wrong, odd, plain }
}
