import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import SqliteDatabase from 'better-sqlite3'

/** A server of this project's own on loopback, with a database nobody else uses: all that is ever attacked. */
export interface Target {
  readonly port: number
  readonly file: string
  readonly said: () => string
  readonly kill: (signal: NodeJS.Signals) => Promise<void>
}

export interface Asked {
  readonly method?: string
  readonly headers?: Readonly<Record<string, string>>
  readonly body?: string | Buffer
}

export interface Answered {
  /** 0 where no answer came. */
  readonly status: number
  readonly body: string
  readonly location: string
  readonly ms: number
}

// apart from those of others that run beside it, and below those a system hands out to clients (from 32 768 on)
let ports = 20_000 + ((process.pid * 14) % 12_000)

export function newFile(): string {
  return join(mkdtempSync(join(tmpdir(), 'regla-attack-')), 'regla.db')
}

/** Asks without any of a browser's manners: headers as they are given. */
export function ask(
  port: number,
  path: string,
  { method = 'GET', headers = {}, body }: Asked = {},
): Promise<Answered> {
  const started = performance.now()
  return new Promise((done) => {
    const answer = (status: number, text: string, location = '') =>
      done({ status, body: text, location, ms: performance.now() - started })
    const length: Record<string, string> =
      body === undefined ? {} : { 'content-length': String(Buffer.byteLength(body)) }
    try {
      const sent = request(
        {
          host: '127.0.0.1',
          port,
          path,
          method,
          headers: { ...length, ...headers },
          timeout: 20_000,
          agent: false,
        },
        (response) => {
          const parts: Buffer[] = []
          response.on('data', (part: Buffer) => parts.push(part))
          response.on('end', () =>
            answer(
              response.statusCode ?? 0,
              Buffer.concat(parts).toString('utf8'),
              response.headers.location ?? '',
            ),
          )
          response.on('error', () => answer(0, ''))
        },
      )
      sent.on('timeout', () => sent.destroy())
      sent.on('error', () => answer(0, ''))
      sent.end(body)
    } catch {
      // what cannot even be written as a request never gets there
      answer(-1, '')
    }
  })
}

export const form = (fields: Readonly<Record<string, string>>): Asked => ({
  method: 'POST',
  headers: { 'content-type': 'application/x-www-form-urlencoded' },
  body: new URLSearchParams(fields).toString(),
})
export const json = (value: unknown): Asked => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(value),
})

/** Starts a server on a file and waits until it answers. `limit` in blocks of 512 bytes is the largest file it may write. */
export async function startTarget(
  file = newFile(),
  env: Readonly<Record<string, string>> = {},
  limit?: number,
): Promise<Target> {
  const port = (ports += 2)
  const all = { ...process.env, NODE_ENV: 'production', PORT: String(port), DB_FILE: file, ...env }
  const child: ChildProcess =
    limit === undefined
      ? spawn('node', ['server.js'], { env: all })
      : spawn('sh', ['-c', `trap '' XFSZ; ulimit -f ${limit}; exec node server.js`], { env: all })
  let said = ''
  child.stdout?.on('data', (text: Buffer) => (said += text.toString()))
  child.stderr?.on('data', (text: Buffer) => (said += text.toString()))
  let leaving = false
  const ended = new Promise<void>((done) =>
    child.once('exit', (code, signal) => {
      if (!leaving)
        console.log(`         the server went down by itself (${code ?? signal}): ${said.slice(-600)}`)
      done()
    }),
  )
  for (let tries = 0; tries < 1200 && !said.includes('Regla is at') && child.exitCode === null; tries++)
    await new Promise((done) => setTimeout(done, 50))
  return {
    port,
    file,
    said: () => said,
    kill: (signal) => {
      leaving = true
      child.kill(signal)
      return ended
    },
  }
}

/** A job with one wall in a server: the paths of the wall. */
export async function newWall({ port }: Target): Promise<{ job: string; wall: string }> {
  const made = await ask(
    port,
    '/jobs/new',
    form({ name: 'Attack', client: '', units: 'inches', tape: '1/16' }),
  )
  const job = made.location
  const wall = await ask(port, job, form({ intent: 'newWalls', room: 'Room', lines: 'Wall' }))
  return { job, wall: wall.location.replace(/\/measure$/, '') }
}

interface Kept {
  readonly id: string
  readonly kind: string
  readonly revision: number
  readonly kept: string
}

/** A client of one wall, as a page is: it has documents, changes the first of a kind, and takes what the server says. */
export async function openWall(
  target: Target,
  path: string,
  changed = 'survey',
  { page = path, holds = (): boolean => true }: { page?: string; holds?: (kind: string) => boolean } = {},
) {
  const first = JSON.parse((await ask(target.port, `${path}/kept.json`)).body) as { documents: Kept[] }
  const held = first.documents
    .filter(({ kind }) => holds(kind))
    .map(({ id, kind, revision, kept }) => ({
      id,
      kind,
      base: revision,
      body: JSON.parse(kept) as Record<string, unknown>,
    }))
  const own = held.find(({ kind }) => kind === changed)?.id
  let tokens = 0
  let after: string[] = []
  const mine = Math.random().toString(36).slice(2)
  const send = async (
    change: (body: Record<string, unknown>) => Record<string, unknown>,
    clashing: 'ask' | 'mine' = 'ask',
  ) => {
    const token = `${mine}-${(tokens += 1)}`
    const documents = held.map(({ id, base, body }) =>
      id === own ? { id, base, body: change(body) } : { id, base },
    )
    const asked = after
    after = [...after, token].slice(-40)
    const answer = await ask(
      target.port,
      `${page}/document`,
      json({ intent: 'save', documents, clashing, token, after: asked }),
    )
    if (answer.status !== 200) return { status: answer.status, kind: 'none' }
    after = []
    const told = JSON.parse(answer.body) as {
      kind: string
      documents: { id: string; revision: number; body?: Record<string, unknown> }[]
    }
    if (told.kind === 'done')
      for (const { id, revision, body } of told.documents) {
        const document = held.find((each) => each.id === id)
        if (!document) continue
        document.base = revision
        if (body) document.body = body
        else if (id === own) document.body = change(document.body)
      }
    else
      for (const { id, revision, body } of told.documents) {
        const document = held.find((each) => each.id === id)
        if (document && body) Object.assign(document, { base: revision, body })
      }
    return { status: answer.status, kind: told.kind }
  }
  return { send, survey: () => held.find(({ kind }) => kind === 'survey')?.body ?? {} }
}

/** What a database file is like once its server is gone. */
export function lookInto(file: string): { sound: boolean; width: number } {
  const sqlite = new SqliteDatabase(file)
  const sound =
    sqlite.pragma('integrity_check', { simple: true }) === 'ok' &&
    (sqlite.pragma('foreign_key_check') as unknown[]).length === 0
  const row = sqlite
    .prepare(
      'select body from revisions where id = (select head from documents where id = (select survey_id from walls limit 1))',
    )
    .get() as { body: string } | undefined
  sqlite.close()
  return { sound, width: row ? (JSON.parse(row.body) as { width: number }).width : NaN }
}
