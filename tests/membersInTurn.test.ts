import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { type AnyAct, browserQueue } from '~/editor/saving/actQueue'
import { othersUnsent, takeOverUnsent, unsentKeeper } from '~/editor/saving/unsent'
import { inches } from '~/length'
import { type Act, startingDesign } from '~/model'
import { shelf } from './windows'

const act = (n: number): Act => ({
  id: `act-${String(n).padStart(6, '0')}`,
  kind: 'marked',
  strip: `batten-${n}`,
  left: inches(n),
  doneAt: n,
})
let bases = 0

describe('members that take turns on one phone', () => {
  const IDA = { id: 'ida', name: 'Ida' }
  const BEN = { id: 'ben', name: 'Ben' }

  // before, marks made offline by one member were logged under the next who signed in
  test('a law: in whatever order they sign in and the server is there, each act arrives once, sent by whoever did it', async () => {
    const turn = fc.record({
      who: fc.constantFrom(IDA, BEN, { id: 'cleo', name: 'Cleo' }),
      acts: fc.nat(3),
      reached: fc.boolean(),
    })
    await fc.assert(
      fc.asyncProperty(fc.array(turn, { minLength: 2, maxLength: 7 }), async (turns) => {
        let me = IDA
        const queue = browserQueue(`regla-turn-${++bases}`, () => me)
        const done = new Map<string, string>()
        const got: [string, string][] = []
        const send = (_url: string, acts: readonly AnyAct[]) => {
          for (const { id } of acts) got.push([id, me.id])
          return Promise.resolve(true)
        }
        let n = 0
        for (const { who, acts, reached } of turns) {
          me = who
          for (let i = 0; i < acts; i++) {
            const next = act(++n)
            done.set(next.id, who.id)
            await queue.keep('wall', '/acts', next)
          }
          if (reached) expect(await queue.drain(send)).toBe('empty')
          const others = await queue.others()
          expect(others.every(({ member }) => member.id !== who.id)).toBe(true)
        }
        for (const who of new Set(turns.map((each) => each.who))) {
          me = who
          await queue.drain(send)
        }
        expect(new Map(got)).toEqual(done)
        expect(got).toHaveLength(done.size)
        expect([await queue.others(), await queue.waiting('wall')]).toEqual([[], []])
      }),
      { numRuns: 25 },
    )
  })

  test('what one did waits as theirs, and goes as another’s only where that one says so', async () => {
    let me: typeof IDA | null = IDA
    const queue = browserQueue(`regla-turn-${++bases}`, () => me)
    await queue.keep('wall', '/acts', act(1))
    await queue.keep('yard', '/yard/acts', act(2))
    me = BEN
    await queue.keep('wall', '/acts', act(3))
    const got: string[] = []
    const send = (_url: string, acts: readonly AnyAct[]) => {
      got.push(...acts.map(({ id }) => id))
      return Promise.resolve(true)
    }
    expect(await queue.drain(send)).toBe('empty')
    expect(got).toEqual([act(3).id])
    expect(await queue.others()).toEqual([{ member: IDA, count: 2 }])
    expect(await queue.waiting('wall')).toEqual([{ ...act(1), member: 'ida' }])
    await queue.takeOver('ida')
    expect(await queue.others()).toEqual([])
    await queue.drain(send)
    expect(got).toEqual([act(3).id, act(1).id, act(2).id])
  })

  test('changes of a page wait for whoever made them too', () => {
    const storage = shelf()
    let me: typeof IDA | null = IDA
    const keeper = (visit: string) => unsentKeeper(storage, 'wall/a', visit, () => me)
    const unsent = { documents: [{ id: 'd', base: 1, body: startingDesign() }], after: [] }
    keeper('one').keep(unsent)
    me = BEN
    expect(keeper('two').earlier()).toEqual([])
    expect(othersUnsent(storage, BEN)).toEqual([{ member: IDA, count: 1 }])
    takeOverUnsent(storage, 'ida', BEN)
    expect(othersUnsent(storage, BEN)).toEqual([])
    expect(keeper('two').earlier()).toMatchObject([{ ...unsent, member: BEN }])
    // what an earlier build kept says nothing of who made it
    storage.setItem('regla unsent wall/a three', JSON.stringify(unsent))
    expect(keeper('two').earlier()).toHaveLength(2)
  })
})
