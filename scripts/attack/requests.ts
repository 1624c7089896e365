import { readFileSync } from 'node:fs'
import type { RouteConfigEntry } from '@react-router/dev/routes'
import routes from '../../app/routes'
import { type Chance, chanceOf, mutated, ODD } from './chance'
import { ask, type Answered, type Asked, form, json, newWall, type Target } from './target'

/** Longer than this is hanging, on any machine; how quick pages are is the bench's to say. */
export const HANGS_MS = 15_000

/** Answers counted by status; those that must not be are kept with what was asked. */
export interface Tally {
  readonly sent: number
  readonly statuses: Readonly<Record<string, number>>
  readonly faults: readonly string[]
  readonly hung: readonly string[]
  /** The longest any answer took, in milliseconds. */
  readonly slowest: number
}

function tally() {
  const statuses: Record<string, number> = {}
  const faults: string[] = []
  const hung: string[] = []
  let slowest = 0
  let sent = 0
  return {
    count(what: string, { status, ms }: Answered) {
      sent += 1
      statuses[status] = (statuses[status] ?? 0) + 1
      if (status === 0 || status >= 500) faults.push(`${status} ${what.slice(0, 300)}`)
      slowest = Math.max(slowest, ms)
      if (ms > HANGS_MS) hung.push(`${Math.round(ms)} ms ${what.slice(0, 300)}`)
    },
    done: (): Tally => ({ sent, statuses, faults, hung, slowest }),
  }
}

/** Every address of the route table. */
function pathsOf(entries: readonly RouteConfigEntry[], above = ''): string[] {
  return entries.flatMap((entry) => {
    const own = entry.path === undefined ? above : `${above}/${entry.path}`
    return [own === '' ? '/' : own, ...pathsOf(entry.children ?? [], own)]
  })
}

const ODD_IDS = [
  'nowhere',
  '%00',
  '..%2f..',
  '%',
  "' or 1=1 --",
  '💥',
  'x'.repeat(3000),
  'demo',
  '%E0%A4%A',
  '__proto__',
]
const TYPES = [
  'application/json',
  'application/x-www-form-urlencoded',
  'multipart/form-data; boundary=b',
  'text/plain',
  'x/y',
  '',
  'application/json; charset=utf-7',
]
const METHODS = [
  'GET',
  'GET',
  'HEAD',
  'POST',
  'POST',
  'POST',
  'POST',
  'PUT',
  'DELETE',
  'PATCH',
  'OPTIONS',
  'TRACE',
]
const INTENTS = [
  'newWalls',
  'renameWall',
  'renameRoom',
  'rename',
  'duplicateWall',
  'archiveWall',
  'restoreWall',
  'import',
  'duplicate',
  'archive',
  'restore',
  'goBack',
  'add',
  'code',
  'shutOut',
  'putOut',
  'signOut',
  'undo',
]

const oddText = (chance: Chance): string => {
  const odd = chance.of(ODD)
  return typeof odd === 'string' ? odd : JSON.stringify(odd)
}

function someBody(chance: Chance): { body: string; type: string } {
  const how = chance.below(4)
  const odd = () => JSON.stringify(chance.of(ODD))
  if (how === 0)
    return {
      type: 'application/json',
      body: chance.of([
        '{',
        odd(),
        '[]',
        '{"intent":"save"}',
        '{"intent":"save","documents":[],"clashing":"ask","token":"t","after":[]}',
        '{"intent":"undo","change":1,"documents":[]}',
        '{"value":5}',
        '{"edges":[]}',
        '{"__proto__":{"a":1}}',
      ]),
    }
  if (how === 1)
    return {
      type: 'application/x-www-form-urlencoded',
      body: new URLSearchParams({
        intent: chance.of(INTENTS),
        name: oddText(chance),
        room: oddText(chance),
        lines: oddText(chance),
        roomId: chance.of(ODD_IDS),
        wallId: chance.of(ODD_IDS),
        jobId: chance.of(ODD_IDS),
        file: chance.of(['', '{}', '[]', 'null', '{"format":"regla-job"}']),
        client: '',
        units: chance.of(['inches', 'mm', 'ells']),
        tape: chance.of(['1/16', '1 mm', 'x']),
      }).toString(),
    }
  if (how === 2)
    return {
      type: 'multipart/form-data; boundary=b',
      body: chance.of([
        '--b\r\n',
        '--b\r\ncontent-disposition: form-data; name="intent"\r\n\r\nimport\r\n--b--\r\n',
        'x',
      ]),
    }
  return { type: chance.of(TYPES), body: oddText(chance) }
}

/** Files that are made of a job, most asked for without what they need. */
const PAPER_FILES = [
  'booklet.pdf?parts=marks',
  'rod.pdf',
  'labels.pdf?wall=x&sheet=letter-30',
  'drawing.svg?wall=%',
  'table.csv?wall=w&table=log',
  'work.ics',
  '..%2f..',
]

/** Requests of every shape to every address there is. */
export async function mutatedRequests(target: Target, times: number, seed = 1): Promise<Tally> {
  const chance = chanceOf(seed)
  const { count, done } = tally()
  const { job, wall } = await newWall(target)
  const [, , jobId = '', , wallId = ''] = wall.split('/')
  const paths = pathsOf(routes)
  for (let i = 0; i < times; i++) {
    const good = chance.below(3) > 0
    const path = chance
      .of(paths)
      .replace(':jobId', good ? jobId : chance.of(ODD_IDS))
      .replace(':wallId', good ? wallId : chance.of(ODD_IDS))
      .replace(':roomId', chance.of(ODD_IDS))
      .replace(':file', chance.of(PAPER_FILES))
      .replace(':device', chance.of(['laser', 'finder', 'toaster']))
      .replace('*', chance.of(['lost', '%', '.env', '..%2fserver.js']))
    const asked = `${path}${chance.of(['', '', '', '.data', '?page=-1', '?page=1e9', '?away=1&search=%25', '?index', '?_routes=root', '?after=x', '?template'])}`
    const method = chance.of(METHODS)
    const { body, type } = someBody(chance)
    const headers: Record<string, string> = {
      ...(type === '' ? {} : { 'content-type': chance.below(5) === 0 ? chance.of(TYPES) || 'x' : type }),
      ...(chance.below(8) === 0 ? { cookie: chance.of(['theme=%', 'regla=x', 'a=b; theme=dark', '=']) } : {}),
      ...(chance.below(8) === 0
        ? { origin: chance.of(['null', 'http://evil.example', `http://127.0.0.1:${target.port}`]) }
        : {}),
    }
    const request: Asked =
      method === 'POST' || method === 'PUT' ? { method, headers, body } : { method, headers }
    count(`${method} ${asked} ${type} ${body}`, await ask(target.port, asked, request))
  }
  count('the job afterwards', await ask(target.port, job))
  return done()
}

/** Saves whose documents were changed in one place: refused or saved, and the wall opens afterwards. */
export async function mutatedSaves(target: Target, times: number, seed = 2): Promise<Tally> {
  const chance = chanceOf(seed)
  const { count, done } = tally()
  const { job, wall } = await newWall(target)
  for (let i = 0; i < times; i++) {
    const kept = JSON.parse((await ask(target.port, `${wall}/kept.json`)).body) as {
      documents: { id: string; revision: number; kept: string }[]
    }
    const request = {
      intent: 'save',
      clashing: 'mine',
      token: `t${i}`,
      after: [],
      documents: kept.documents.map(({ id, revision, kept: text }, n) => {
        const body: unknown = JSON.parse(text)
        return { id, base: revision, body: n === i % 3 ? mutated(body, chance) : body }
      }),
    }
    const sent = chance.below(5) === 0 ? mutated(request, chance) : request
    count(
      `save ${JSON.stringify(sent).slice(0, 200)}`,
      await ask(target.port, `${wall}/document`, json(sent)),
    )
    if (i % 10 === 0) count('the wall afterwards', await ask(target.port, `${wall}/layout`))
    if (i % 10 === 5) count('the job afterwards', await ask(target.port, job))
  }
  return done()
}

/** Job files changed in one place or a few: taken in whole or not at all. */
export async function mutatedFiles(target: Target, times: number, seed = 3) {
  const chance = chanceOf(seed)
  const { count, done } = tally()
  const files = ['examples/tern-cottage.regla.json', 'examples/metric-study.regla.json'].map(
    (file) => JSON.parse(readFileSync(file, 'utf8')) as unknown,
  )
  let [taken, halves] = [0, 0]
  for (let i = 0; i < times; i++) {
    let file = chance.of(files)
    for (let n = chance.below(3); n >= 0; n--) file = mutated(file, chance)
    const text = JSON.stringify(file)
    const sent = chance.below(12) === 0 ? text.slice(0, chance.below(text.length)) : text
    const answer = await ask(target.port, '/?index', form({ intent: 'import', file: sent }))
    count(`import ${sent.slice(0, 200)}`, answer)
    if (answer.status !== 302) continue
    taken += 1
    const out = await ask(target.port, `${answer.location}/export`)
    count('what was taken in, given out again', out)
    const walls = (each: unknown) =>
      (each as { rooms: { walls: unknown[] }[] }).rooms.map((room) => room.walls.length)
    if (out.status !== 200 || JSON.stringify(walls(JSON.parse(out.body))) !== JSON.stringify(walls(file)))
      halves += 1
    if (taken % 20 === 1) count('its page', await ask(target.port, answer.location))
  }
  return { ...done(), taken, halves }
}

/** Names and origins of others: nothing is told, nothing is changed. */
export async function strangers({ port }: Target) {
  const hosts = [
    'evil.example',
    '127.0.0.1.evil.example',
    `evil.example:${port}`,
    '[::ffff:1]',
    '0.0.0.0',
    'localhost.',
  ]
  const origins = [
    'http://evil.example',
    'null',
    'http://127.0.0.1:1',
    `https://127.0.0.1.evil.example:${port}`,
  ]
  let [asked, let_in] = [0, 0]
  for (const host of hosts) {
    asked += 1
    if ((await ask(port, '/', { headers: { host } })).status !== 421) let_in += 1
  }
  for (const origin of origins)
    for (const each of [json({ value: 5 }), { ...form({ intent: 'x' }) }]) {
      asked += 1
      const path =
        each.headers?.['content-type'] === 'application/json' ? '/devices/laser/readings' : '/jobs/new'
      const answer = await ask(port, path, { ...each, headers: { ...each.headers, origin } })
      if (answer.status !== 403) let_in += 1
    }
  for (const site of ['cross-site', 'same-site']) {
    asked += 1
    const plain = {
      method: 'POST',
      headers: { 'content-type': 'text/plain', 'sec-fetch-site': site },
      body: '{"value":5}',
    }
    if ((await ask(port, '/devices/laser/readings', plain)).status !== 403) let_in += 1
  }
  return { asked, letIn: let_in }
}
