import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { ACTS_AT_ONCE, type Doer } from '~/model'
import { memberHere } from './member'

/** What any act has, of a wall, of the yard, of a job's work. */
export type AnyAct = { readonly id: string; readonly kind: string }

/** An act that waits: what it is of, where it goes, and who did it. */
interface Waiting {
  readonly of: string
  readonly url: string
  readonly act: AnyAct
  /** Who was signed in as it was done: null where nobody signs in, missing of what an earlier build kept. */
  readonly member?: Doer | null
}

/** How much waits that somebody did who is not signed in here now. */
export interface OthersWaiting {
  readonly member: Doer
  readonly count: number
}

/** How sending went: all is there, the server is away, or another window of this browser is at it. */
export type Drained = 'empty' | 'away' | 'busy'

/** Sends acts to where they go; whether they were taken. Throws where no answer came. */
export type SendActs = (url: string, acts: readonly AnyAct[]) => Promise<boolean>

/** What was done and has not reached the server, kept by the browser until it has: in order, across all its windows. */
export interface ActQueue {
  /** Whether it is kept: false where the browser has no room or no store. */
  readonly keep: (of: string, url: string, act: AnyAct) => Promise<boolean>
  readonly waiting: (of: string) => Promise<AnyAct[]>
  /** What the server would not take. */
  readonly refused: (of: string) => Promise<AnyAct[]>
  readonly forgetRefused: (of: string) => Promise<void>
  /**
   * What the server has taken since: a page that was kept before that does not know of it, and with the server away it is all there is. What
   * a page from the server brings itself (`known`) is forgotten here.
   */
  readonly sent: (of: string, known: ReadonlySet<string>) => Promise<AnyAct[]>
  /** Sends what whoever is signed in has done. What others did on this device waits for them. */
  readonly drain: (send: SendActs) => Promise<Drained>
  readonly others: () => Promise<OthersWaiting[]>
  /** What that member did here goes as done by whoever is signed in now. */
  readonly takeOver: (member: string) => Promise<void>
}

interface Kept extends DBSchema {
  acts: { key: number; value: Waiting; indexes: { of: string } }
  refused: { key: number; value: Waiting; indexes: { of: string } }
  sent: { key: number; value: Waiting; indexes: { of: string } }
}

const STORES = ['acts', 'refused', 'sent'] as const

interface Head {
  readonly key: number
  readonly value: Waiting
}

const NAME = 'regla'
const LOCK = 'regla-acts'
/** Characters in one request at most: photographs are large, and a server takes no more than it says. */
const MOST_AT_ONCE = 1_500_000

/** One window at a time sends; on pages without locks (plain http on a network) each does, and the server knows an act it has. */
async function alone(work: () => Promise<Drained>): Promise<Drained> {
  const locks = typeof navigator === 'undefined' ? undefined : (navigator.locks as LockManager | undefined)
  if (!locks) return work()
  return locks.request(LOCK, { ifAvailable: true }, (lock) =>
    lock ? work() : Promise.resolve('busy' as const),
  )
}

/** An act as it is shown while it waits: done by whoever did it. */
function shownAs({ act, member }: Waiting): AnyAct {
  return member === undefined ? act : ({ ...act, member: member?.id ?? null } as AnyAct)
}

/** How much is whose, most first. */
export function countOthers(members: readonly Doer[]): OthersWaiting[] {
  const byId = new Map<string, OthersWaiting>()
  for (const member of members) byId.set(member.id, { member, count: (byId.get(member.id)?.count ?? 0) + 1 })
  return [...byId.values()].sort((a, b) => b.count - a.count)
}

/** The queue in the browser's own database; `who` is signed in. */
export function browserQueue(name = NAME, who: () => Doer | null = memberHere): ActQueue {
  let opened: Promise<IDBPDatabase<Kept>> | null = null
  const database = () =>
    (opened ??= openDB<Kept>(name, 2, {
      upgrade(db) {
        for (const store of STORES)
          if (!db.objectStoreNames.contains(store))
            db.createObjectStore(store, { autoIncrement: true }).createIndex('of', 'of')
      },
      // a newer build in another window wants to change the store: out of its way
      blocking(_now, _next, event) {
        ;(event.target as IDBDatabase).close()
        opened = null
      },
      terminated() {
        opened = null
      },
    }))
  /** Out of the queue: to what was sent, or to what was refused. Photographs are large, and shown by the server alone. */
  const move = async (bundle: readonly Head[], to: 'sent' | 'refused') => {
    const both = (await database()).transaction(STORES, 'readwrite')
    await Promise.all([
      ...bundle.map(({ key }) => both.objectStore('acts').delete(key)),
      ...bundle
        .filter(({ value }) => to === 'refused' || value.act.kind !== 'logPhoto')
        .map(({ value }) => both.objectStore(to).add(value)),
      both.done,
    ])
  }
  const isOthers = ({ member }: Waiting) => member != null && member.id !== who()?.id
  /** The oldest acts of whoever is signed in that go to one place, in one bundle. */
  const head = async () => {
    const found: Head[] = []
    // never is a request awaited inside a transaction: it would end by itself
    let cursor = await (await database()).transaction('acts').store.openCursor()
    let size = 0
    while (cursor && found.length < ACTS_AT_ONCE) {
      if (isOthers(cursor.value)) {
        cursor = await cursor.continue()
        continue
      }
      size += JSON.stringify(cursor.value.act).length
      if (found[0] && (found[0].value.url !== cursor.value.url || size > MOST_AT_ONCE)) break
      found.push({ key: cursor.key, value: cursor.value })
      cursor = await cursor.continue()
    }
    return found
  }
  return {
    async keep(of, url, act) {
      try {
        await (await database()).add('acts', { of, url, act, member: who() })
        return true
      } catch {
        // full, forbidden, or closed for another build: the page itself still holds it, and says so
        return false
      }
    },
    waiting: async (of) => (await (await database()).getAllFromIndex('acts', 'of', of)).map(shownAs),
    async others() {
      const all = await (await database()).getAll('acts')
      return countOthers(all.filter(isOthers).flatMap(({ member }) => (member ? [member] : [])))
    },
    async takeOver(member) {
      const own = (await database()).transaction('acts', 'readwrite')
      let cursor = await own.store.openCursor()
      while (cursor) {
        if (cursor.value.member?.id === member) await cursor.update({ ...cursor.value, member: who() })
        cursor = await cursor.continue()
      }
      await own.done
    },
    refused: async (of) =>
      (await (await database()).getAllFromIndex('refused', 'of', of)).map(({ act }) => act),
    async forgetRefused(of) {
      const db = await database()
      for (const key of await db.getAllKeysFromIndex('refused', 'of', of)) await db.delete('refused', key)
    },
    async sent(of, known) {
      const db = await database()
      const own = db.transaction('sent', 'readwrite')
      const left: AnyAct[] = []
      let cursor = await own.store.index('of').openCursor(of)
      while (cursor) {
        if (known.has(cursor.value.act.id)) await cursor.delete()
        else left.push(cursor.value.act)
        cursor = await cursor.continue()
      }
      await own.done
      return left
    },
    drain: (send) =>
      alone(async () => {
        for (;;) {
          const bundle = await head()
          const url = bundle[0]?.value.url
          if (url === undefined) return 'empty'
          try {
            if (
              await send(
                url,
                bundle.map(({ value }) => value.act),
              )
            ) {
              await move(bundle, 'sent')
              continue
            }
            // one of them can't be taken: the others are not to wait for it
            for (const each of bundle)
              await move([each], (await send(url, [each.value.act])) ? 'sent' : 'refused')
          } catch {
            return 'away'
          }
        }
      }),
  }
}

/** A queue that forgets: on the server, and in browsers without a store. */
export function memoryQueue(): ActQueue {
  const nothing = () => Promise.resolve([])
  return {
    keep: () => Promise.resolve(false),
    waiting: nothing,
    refused: nothing,
    forgetRefused: () => Promise.resolve(),
    sent: nothing,
    drain: () => Promise.resolve('empty'),
    others: nothing,
    takeOver: () => Promise.resolve(),
  }
}
