import { matchPath } from 'react-router'
import type { Right } from '~/model'

/** What reading a page takes, and what posting to it takes; null where it is only read or only written. */
interface Taken {
  readonly read: Right | null
  readonly write: Right | null
}

const rows = (read: Right | null, write: Right | null, paths: readonly string[]) =>
  paths.map((path): readonly [string, Taken] => [path, { read, write }])

const WALL = '/jobs/:jobId/walls/:wallId'
const OPTION = `${WALL}/options/:optionId`

/** Each address of this server with what it takes; a test holds the table against the routes. What is open to all is the gate's. */
export const RIGHTS: ReadonlyMap<string, Taken> = new Map([
  ...rows('wall', null, [
    '/jobs/:jobId/picture.svg',
    '/jobs/:jobId/along',
    '/jobs/:jobId/paper',
    '/jobs/:jobId/paper/:file',
    '/jobs/:jobId/work/today',
    `${WALL}/kept.json`,
    `${WALL}/picture.svg`,
    `${WALL}/photos/:photoId`,
    `${WALL}/readings.csv`,
    ...['', '/measure', '/agree/photo', '/mark', '/cut', '/cut/labels', '/cut/ticket', '/fit', '/finish'].map(
      (stage) => `${WALL}${stage}`,
    ),
    '/find',
    '/devices',
    '/news',
  ]),
  // which kinds of documents a role may change is looked at where they are saved
  ...rows('wall', 'wall', [
    `${WALL}/document`,
    `${WALL}/acts`,
    `${WALL}/log`,
    `${WALL}/log-photos`,
    `${WALL}/photos`,
    '/jobs/:jobId/log',
    '/jobs/:jobId/rooms/:roomId/document',
    '/jobs/:jobId/work/acts',
    '/yard/acts',
    '/tools',
    '/saws',
    '/devices/:device/readings',
    '/crew',
  ]),
  ...rows('wall', 'jobs', [
    '/',
    '/jobs/:jobId',
    '/jobs/:jobId/work',
    '/jobs/:jobId/rooms/:roomId',
    `${WALL}/history`,
    '/jobs/:jobId/history',
  ]),
  ...rows('jobs', 'jobs', [
    '/jobs/new',
    '/jobs/:jobId/house',
    '/jobs/:jobId/work/document',
    '/book',
    `${WALL}/choose`,
    ...['/layout', '/agree', '/agree/colors'].map((stage) => `${WALL}${stage}`),
    ...['', '/measure', '/layout', '/agree', '/agree/colors', '/agree/photo'].map(
      (stage) => `${OPTION}${stage}`,
    ),
  ]),
  ...rows('prices', 'links', [
    `${WALL}/buy`,
    '/jobs/:jobId/boards',
    '/jobs/:jobId/boards/list',
    '/jobs/:jobId/supplies',
    '/yard',
    '/yard/prices.csv',
  ]),
  ...rows('links', 'links', ['/jobs/:jobId/client', '/jobs/:jobId/export']),
  ...rows('owner', 'owner', ['/backup']),
])

/** What a request takes. What is only read, or nobody knows, is written by nobody but who lays out: the router says the rest. */
export function rightFor(path: string, method: string): Right {
  const isRead = method === 'GET' || method === 'HEAD'
  // an address that is written out goes before one with names in it: /jobs/new is no job
  const taken = RIGHTS.get(path) ?? [...RIGHTS].find(([pattern]) => matchPath(pattern, path))?.[1]
  if (taken) return (isRead ? taken.read : taken.write) ?? 'jobs'
  return isRead ? 'wall' : 'jobs'
}

/** Where whoever may not lay out a wall goes on instead; null where a page is closed to them altogether. */
export function insteadOf(path: string): string | null {
  const wall = /^(\/jobs\/[\w-]+\/walls\/[\w-]+)\/(layout|agree|agree\/colors|options\/.*)$/.exec(path)
  return wall ? `${wall[1]}/mark` : null
}
