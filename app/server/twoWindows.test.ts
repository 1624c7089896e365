import fc from 'fast-check'
import sharp from 'sharp'
import type { PhotoMarks } from '~/model'
import { openDatabase } from './db/database.server'
import { createJob } from './jobs.server'
import { changeOption, copyOption, movedSince } from './options.server'
import { keepPhoto, photosOf, putPhotoAway, saveMarks, tidyPicture } from './photos.server'
import { createWall } from './walls.server'

function house() {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Weir end', client: '', units: 'inches', tape: '1/16' })
  return { db, ids: { jobId, wallId: createWall(db, { jobId, roomName: 'Study', name: 'North wall' }) } }
}

describe('two windows on one photograph', () => {
  const spot = fc.record({ x: fc.integer({ min: 0, max: 8 }), y: fc.integer({ min: 0, max: 8 }) })
  const at = fc.array(fc.tuple(fc.integer({ min: 0, max: 5 }), spot), { maxLength: 4 })

  // before, the second window's move was taken back, with a sentence that showed for half a second
  test('a law: what each moved stands; of a point both moved nothing is saved, and the other’s is told', async () => {
    const { db, ids } = house()
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#777' } })
      .png()
      .toBuffer()
    const tidy = await tidyPicture(picture)
    if (!tidy.ok) throw new Error(tidy.issue.code)
    const points = Array.from({ length: 6 }, (_, i) => ({
      id: `p${i}`,
      at: { x: 0.5, y: 0.5 },
      wall: { x: i, y: i },
    }))
    const was: PhotoMarks = { points, lens: false, lightDeg: null, cutOuts: [] }
    const moved = (moves: readonly (readonly [number, { x: number; y: number }])[]): PhotoMarks => ({
      ...was,
      points: points.map((point, i) => {
        const move = moves.findLast(([n]) => n === i)?.[1]
        return move ? { ...point, at: { x: move.x / 8, y: move.y / 8 } } : point
      }),
    })
    fc.assert(
      fc.property(at, at, fc.boolean(), (here, there, lens) => {
        const id = keepPhoto(db, ids, 'p', tidy.value, was) ?? ''
        const [mine, theirs] = [{ ...moved(here), lens }, moved(there)]
        expect(saveMarks(db, ids, id, { revision: 1, was, marks: theirs }).kind).toBe('saved')
        const said = saveMarks(db, ids, id, { revision: 1, was, marks: mine })
        const now = photosOf(db, ids.wallId).find((each) => each.id === id)
        putPhotoAway(db, ids, id, true)
        const differ = (key: 'x' | 'y') =>
          points.some((point, i) => {
            const [a, b] = [mine.points[i]!.at[key], theirs.points[i]!.at[key]]
            return a !== point.at[key] && b !== point.at[key] && a !== b
          })
        if (differ('x') || differ('y')) {
          expect(said).toEqual({ kind: 'changed', revision: 2, marks: theirs })
          expect(now?.marks).toEqual(theirs)
          return
        }
        expect(said).toMatchObject({ kind: 'saved', revision: 3 })
        expect(now?.marks.lens).toBe(lens)
        for (const [i, point] of points.entries()) {
          const [a, b] = [mine.points[i]!, theirs.points[i]!]
          for (const key of ['x', 'y'] as const)
            expect(now?.marks.points[i]?.at[key]).toBe(a.at[key] === point.at[key] ? b.at[key] : a.at[key])
        }
      }),
      { numRuns: 60 },
    )
  })
})

describe('two windows on the options of a wall', () => {
  test('two windows that choose or name differently: the second is told first, and nothing is changed', () => {
    const { db, ids } = house()
    const [first, second, third] = [
      ids.wallId,
      copyOption(db, ids, ids.wallId, 'Second') ?? '',
      copyOption(db, ids, ids.wallId, 'Third') ?? '',
    ]
    const choose = { kind: 'choose' } as const
    expect(movedSince(db, ids, second, choose, first)).toBeNull()
    changeOption(db, ids, second, choose)
    expect(movedSince(db, ids, third, choose, first)).toMatchObject({ kind: 'chosen' })
    // the same choice from both is no matter, nor is one that goes by what is there
    expect(movedSince(db, ids, second, choose, first)).toBeNull()
    expect(movedSince(db, ids, third, choose, second)).toBeNull()
    expect(movedSince(db, ids, third, choose, null)).toBeNull()
    changeOption(db, ids, third, { kind: 'rename', name: 'Rows' })
    const rename = (name: string) => ({ kind: 'rename', name }) as const
    expect(movedSince(db, ids, third, rename('Grid'), 'Third')).toEqual({ kind: 'named', name: 'Rows' })
    expect(movedSince(db, ids, third, rename('Rows'), 'Third')).toBeNull()
    expect(movedSince(db, ids, third, rename('Grid'), 'Rows')).toBeNull()
  })
})
