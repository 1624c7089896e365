import exifr from 'exifr'
import sharp from 'sharp'
import { wallWindow } from '../../tests/windows'
import { LIMITS, type PhotoMarks } from '~/model'
import { openDatabase } from './db/database.server'
import { createJob } from './jobs.server'
import { keepPhoto, marksOf, photosOf, putPhotoAway, tidyPicture } from './photos.server'
import { createWall } from './walls.server'

function house() {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Weir end', client: 'The Odells', units: 'inches', tape: '1/16' })
  return { db, ids: { jobId, wallId: createWall(db, { jobId, roomName: 'Study', name: 'North wall' }) } }
}

describe('photographs', () => {
  const picture = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#9a8f7c' } })
  const at = { x: 0.5, y: 0.5 }
  const marks: PhotoMarks = {
    points: [{ id: 'p', at, wall: { x: 0, y: 0 } }],
    lens: false,
    lightDeg: null,
    cutOuts: [],
  }

  test('a turned picture stands upright, and keeps nothing of where it was taken', async () => {
    const turned = await picture(80, 40)
      .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 3230/100' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer()
    const tidy = await tidyPicture(turned)
    if (!tidy.ok) throw new Error(tidy.issue.code)
    expect([tidy.value.width, tidy.value.height]).toEqual([40, 80])
    expect(await exifr.parse(tidy.value.bytes)).toBeUndefined()
  })

  test('a large one is kept smaller, a small one as it is', async () => {
    const large = await tidyPicture(await picture(4032, 3024).jpeg().toBuffer())
    expect(large.ok && [large.value.width, large.value.height]).toEqual([3000, 2250])
    const small = await tidyPicture(await picture(300, 200).png().toBuffer())
    expect(small.ok && small.value.width).toBe(300)
  })

  test('60 million pixels, half a picture, a PDF under a picture’s name, a drawing, text and nothing are each told', async () => {
    const code = async (bytes: Uint8Array) => {
      const tidy = await tidyPicture(bytes)
      return tidy.ok ? 'taken' : tidy.issue.code
    }
    const whole = await picture(600, 400).jpeg().toBuffer()
    expect(await code(await picture(10_000, 6_000).png({ compressionLevel: 1 }).toBuffer())).toBe(
      'tooManyPixels',
    )
    expect(await code(whole.subarray(0, 400))).toBe('broken')
    expect(await code(Buffer.from('%PDF-1.7\n1 0 obj\n<<>>\nendobj\n'))).not.toBe('taken')
    expect(await code(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'))).toBe(
      'kind',
    )
    expect(await code(Buffer.from('a wall, said to be a picture'))).toBe('broken')
    expect(await code(Buffer.alloc(0))).toBe('empty')
  })

  test('what can’t be put on one is refused; one is archived and restored, and there is an end to them', async () => {
    const { db, ids } = house()
    const tidy = await tidyPicture(await picture(60, 40).jpeg().toBuffer())
    if (!tidy.ok) throw new Error(tidy.issue.code)
    const id = keepPhoto(db, ids, 'From the door', tidy.value) ?? ''
    const window = wallWindow(db, ids)
    await window.change('photo', () => marks)
    await window.change('photo', () => ({ ...marks, lightDeg: 999 }))
    expect(window.status()).toBe('failed')
    expect(marksOf(db, photosOf(db, ids.wallId)[0]!)).toEqual(marks)
    expect(keepPhoto(db, { ...ids, jobId: 'other' }, 'x', tidy.value)).toBeNull()
    putPhotoAway(db, ids, id, true)
    expect(photosOf(db, ids.wallId)).toEqual([])
    putPhotoAway(db, ids, id, false)
    expect(photosOf(db, ids.wallId)).toHaveLength(1)
    for (let i = 1; i < LIMITS.photos; i++) keepPhoto(db, ids, 'x', tidy.value)
    expect(() => keepPhoto(db, ids, 'x', tidy.value)).toThrow(/photos/)
  })
})
