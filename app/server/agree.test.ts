import sharp from 'sharp'
import exifr from 'exifr'
import { wallWindow } from '../../tests/windows'
import { inches } from '~/length'
import { inForce, LIMITS, type PhotoMarks, withDesign } from '~/model'
import { houseBookOf, keepHouseNote, patternBookOf, putHouseNoteAway, putLayoutAway } from './books.server'
import { renameLayout } from './renaming.server'
import { askedOfWall, clientDesk } from './clientDesk.server'
import { actsOfLink, endLink, isOpen, linkOfToken, makeLink, recordClientAct } from './clientLinks.server'
import { openLink } from './clientPage.server'
import { clientLinks, signatures } from './db/agreeSchema.server'
import { openDatabase } from './db/database.server'
import { createJob, exportJob, importJob } from './jobs.server'
import { keepLayoutOf, writeHouse } from './keepLayout.server'
import { changeOption, chosenOption, copyOption, optionsOf } from './options.server'
import { pageOfWall } from './pages.server'
import { keepPhoto, photosOf, putPhotoAway, saveMarks, tidyPicture } from './photos.server'
import { chooseInRoom, copyInRoom, roomOptions } from './roomOptions.server'
import { sign, signatureOf } from './signatures.server'
import { createWall, createWalls, wallPage } from './walls.server'

function house() {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Weir end', client: 'The Odells', units: 'inches', tape: '1/16' })
  const ids = { jobId, wallId: createWall(db, { jobId, roomName: 'Study', name: 'North wall' }) }
  return { db, jobId, ids }
}
type House = ReturnType<typeof house>

const optionWindow = ({ db, ids }: House, optionId: string) => wallWindow(db, { ...ids, optionId })

async function twoOptions(house: House) {
  const { db, ids } = house
  const other = copyOption(db, ids, ids.wallId, 'Low') ?? ''
  await optionWindow(house, other).change('design', (design) =>
    withDesign(design, { height: { rule: 'typed', value: inches(41) } }),
  )
  return other
}

describe('options of a wall', () => {
  test('one made from another goes its own way; choosing it swaps what marks, cuts and buys', async () => {
    const at = house()
    const { db, ids } = at
    const other = await twoOptions(at)
    const heights = () => optionsOf(db, ids.wallId).map(({ design }) => design && inForce(design).height)
    expect(heights()[1]).toEqual({ rule: 'typed', value: inches(41) })
    expect(heights()[0]).not.toEqual(heights()[1])
    expect(chosenOption(db, ids.wallId)).toBe(ids.wallId)
    expect(changeOption(db, ids, other, { kind: 'choose' })).toBe(true)
    expect(wallPage(db, ids)?.option).toBe(other)
    const design = exportJob(db, at.jobId)?.rooms[0]?.walls[0]?.design
    expect(design && inForce(design).height).toEqual({ rule: 'typed', value: inches(41) })
  })

  test('undo on one option takes nothing back of the other', async () => {
    const at = house()
    const { db, ids } = at
    const other = await twoOptions(at)
    await wallWindow(db, ids).change('design', (design) => withDesign(design, { locked: true }))
    const window = optionWindow(at, other)
    await window.saver.step('undo')
    const [first, second] = optionsOf(db, ids.wallId).map(({ design }) => design && inForce(design))
    expect(first?.locked).toBe(true)
    expect(second?.height).not.toEqual({ rule: 'typed', value: inches(41) })
    // the step is told by name, as of this wall's design
    expect(wallPage(db, ids)?.history.undo).toMatchObject({ parts: ['design.locked'], walls: ['North wall'] })
  })

  test('the chosen one is not put away; another is, and comes back; names stay apart; there is an end to them', async () => {
    const at = house()
    const { db, ids } = at
    const other = await twoOptions(at)
    expect(changeOption(db, ids, ids.wallId, { kind: 'putAway' })).toBe(false)
    expect(changeOption(db, ids, other, { kind: 'putAway' })).toBe(true)
    expect(optionsOf(db, ids.wallId).map(({ putAway }) => putAway)).toEqual([false, true])
    changeOption(db, ids, other, { kind: 'rename', name: 'Option 1' })
    expect(optionsOf(db, ids.wallId)[1]?.name).not.toBe('Option 1')
    expect(changeOption(db, { ...ids, jobId: 'other' }, other, { kind: 'choose' })).toBe(false)
    expect(copyOption(db, ids, 'nobody', 'x')).toBeNull()
    for (let i = 2; i < LIMITS.options; i++) copyOption(db, ids, other, 'More')
    expect(() => copyOption(db, ids, other, 'One too many')).toThrow(/options/)
    expect(pageOfWall(db, { ...ids, optionId: 'nobody' })).toBeNull()
  })

  test('a material that another option is made of stays in the job', async () => {
    const at = house()
    const { db, ids } = at
    const other = await twoOptions(at)
    const used = inForce(wallWindow(db, ids).body('design')).battenMaterial
    await wallWindow(db, ids).change('settings', (settings) => ({
      ...settings,
      materials: settings.materials.filter(({ id }) => id !== used),
    }))
    expect(
      optionWindow(at, other)
        .body('settings')
        .materials.some(({ id }) => id === used),
    ).toBe(true)
  })

  test('a job file takes them along, and brings them back', async () => {
    const at = house()
    await twoOptions(at)
    const file = exportJob(at.db, at.jobId)
    if (!file) throw new Error('no file')
    const copy = importJob(at.db, file)
    const again = exportJob(at.db, copy)
    expect(again?.rooms[0]?.walls[0]?.options).toEqual(file.rooms[0]?.walls[0]?.options)
    expect(again?.rooms[0]?.walls[0]?.option).toBe('Option 1')
  })
})

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

  test('what is put on one is saved by revisions; another window’s is not written over', async () => {
    const { db, ids } = house()
    const tidy = await tidyPicture(await picture(60, 40).jpeg().toBuffer())
    if (!tidy.ok) throw new Error(tidy.issue.code)
    const id = keepPhoto(db, ids, 'From the door', tidy.value) ?? ''
    const was = { ...marks, points: [], cutOuts: [] }
    expect(saveMarks(db, ids, id, { revision: 1, was, marks })).toEqual({ kind: 'saved', revision: 2 })
    expect(saveMarks(db, ids, id, { revision: 2, was: marks, marks: { ...marks, lightDeg: 999 } })).toEqual({
      kind: 'refused',
    })
    expect(saveMarks(db, ids, 'nobody', { revision: 2, was, marks })).toEqual({ kind: 'refused' })
    expect(keepPhoto(db, { ...ids, jobId: 'other' }, 'x', tidy.value)).toBeNull()
    putPhotoAway(db, ids, id, true)
    expect(photosOf(db, ids.wallId)).toEqual([])
    putPhotoAway(db, ids, id, false)
    expect(photosOf(db, ids.wallId)).toHaveLength(1)
    for (let i = 1; i < LIMITS.photos; i++) keepPhoto(db, ids, 'x', tidy.value)
    expect(() => keepPhoto(db, ids, 'x', tidy.value)).toThrow(/photos/)
  })
})

describe('a client’s link', () => {
  const DAY = 86_400_000
  const linked = async () => {
    const at = house()
    const other = await twoOptions(at)
    const { db, ids, jobId } = at
    const body = { words: '', parts: [], walls: [{ wallId: ids.wallId, options: [ids.wallId, other] }] }
    return { ...at, other, link: makeLink(db, jobId, body, 7, 1_000) }
  }

  test('it can’t be guessed, runs out, and is ended', async () => {
    const { db, jobId, link } = await linked()
    expect(link.token).toHaveLength(43)
    expect(openLink(db, link.token, 2_000).kind).toBe('open')
    expect(openLink(db, link.token, 1_000 + 7 * DAY).kind).toBe('over')
    expect(isOpen(link, 1_000 + 7 * DAY - 1)).toBe(true)
    for (const bad of [link.token.slice(1), `${link.token}a`, link.id, '', "' or 1=1 --"])
      expect(openLink(db, bad, 2_000).kind).toBe('unknown')
    expect(endLink(db, 'other', link.id, 3_000)).toBe(false)
    endLink(db, jobId, link.id, 3_000)
    expect(openLink(db, link.token, 3_001)).toMatchObject({ kind: 'over' })
  })

  test('only what it offers is picked, and no more than there is room for is written', async () => {
    const { db, ids, other, link } = await linked()
    const put = (act: object) => recordClientAct(db, link, act, 5)
    expect(put({ kind: 'picked', wall: ids.wallId, option: other })).toBe('kept')
    expect(put({ kind: 'picked', wall: ids.wallId, option: 'elsewhere' })).toBe('unread')
    expect(put({ kind: 'remark', wall: 'elsewhere', option: null, at: null, text: 'hello' })).toBe('unread')
    expect(put({ kind: 'remark', wall: ids.wallId, option: null, at: null, text: '  ' })).toBe('unread')
    for (let i = 1; i < LIMITS.remarks; i++)
      put({ kind: 'remark', wall: ids.wallId, option: null, at: { x: i, y: 1 }, text: `number ${i}` })
    expect(put({ kind: 'remark', wall: ids.wallId, option: null, at: null, text: 'one more' })).toBe('full')
    expect(actsOfLink(db, link.id)).toHaveLength(LIMITS.remarks)
    // a page that is full can still be answered
    const [, remark] = actsOfLink(db, link.id)
    expect(put({ kind: 'answered', remark: remark?.id, text: 'done' })).toBe('kept')
    expect(askedOfWall(db, link.jobId, ids.wallId).remarks).toHaveLength(LIMITS.remarks - 2)
  })

  test('it is signed once, by a name; what was signed stands as it was, and a later change is told by name', async () => {
    const at = await linked()
    const { db, jobId, ids, other, link } = at
    expect(sign(db, link, '  ', [], 9)).toMatchObject({ problem: { code: 'noName' } })
    expect(sign(db, link, 'N. Odell', [[[2, 0]]], 9)).toMatchObject({ problem: { code: 'line' } })
    expect(sign(db, link, 'N. Odell', [], 9)).toMatchObject({
      problem: { code: 'notPicked', wall: 'North wall' },
    })
    recordClientAct(db, link, { kind: 'picked', wall: ids.wallId, option: other }, 8)
    expect(
      sign(
        db,
        link,
        ' N. Odell ',
        [
          [
            [0.1, 0.2],
            [0.3, 0.4],
          ],
        ],
        9,
      ),
    ).toEqual({ ok: true })
    // two at once: the second is told who was first
    expect(sign(db, link, 'P. Odell', [], 10)).toMatchObject({
      problem: { code: 'already', name: 'N. Odell' },
    })
    changeOption(db, ids, other, { kind: 'choose' })
    const difference = () => clientDesk(db, jobId)?.links[0]?.signature?.walls[0]?.difference
    expect(difference()).toBeNull()
    await wallWindow(db, ids).change('design', (design) =>
      withDesign(design, { height: { rule: 'typed', value: inches(52) } }),
    )
    await wallWindow(db, ids).change('settings', (settings) => ({ ...settings, caulk: inches(1 / 4) }))
    expect(difference()).toEqual({ option: null, parts: ['design.height', 'settings.caulk'] })
    // the page goes on showing what was signed
    const opened = openLink(db, link.token, 2_000)
    if (opened.kind !== 'open') throw new Error(opened.kind)
    const shown = opened.page.walls[0]?.options[0]
    expect(shown && inForce(shown.design).height).toEqual({ rule: 'typed', value: inches(41) })
    expect(signatureOf(db, link.id)).toMatchObject({ name: 'N. Odell', whole: true })
    // whoever writes into the copy is found out
    const kept = db.select().from(signatures).get()
    db.update(signatures)
      .set({ body: kept?.body.replace('North wall', 'South wall') ?? '' })
      .run()
    expect(signatureOf(db, link.id)?.whole).toBe(false)
    expect(db.select().from(clientLinks).all()).toHaveLength(1)
    expect(linkOfToken(db, link.token)?.id).toBe(link.id)
  })
})

describe('the books', () => {
  test('a layout is kept by name for the crew, renamed, put away and brought back', () => {
    const { db, ids } = house()
    expect(keepLayoutOf(db, { ...ids, wallId: 'nobody' }, 'x', 1)).toBe(false)
    keepLayoutOf(db, ids, 'Rail and battens', 1)
    const [kept] = patternBookOf(db)
    expect(kept?.name).toBe('Rail and battens')
    expect(kept?.materials.length).toBeGreaterThan(0)
    const id = kept?.id ?? ''
    expect(renameLayout(db, id, { was: 'Rail and battens', name: 'Hall battens' })).toEqual({ kind: 'named' })
    // another window that still shows the first name is asked
    expect(renameLayout(db, id, { was: 'Rail and battens', name: 'Battens' })).toMatchObject({
      kind: 'clash',
      clash: { now: { name: 'Hall battens' }, mine: { name: 'Battens' } },
    })
    putLayoutAway(db, id, true, 3)
    expect(patternBookOf(db)).toEqual([])
    putLayoutAway(db, id, false, 4)
    expect(patternBookOf(db).map(({ name }) => name)).toEqual(['Hall battens'])
    expect(putLayoutAway(db, 'nobody', true, 5)).toBe(false)
  })

  test('what a wall has is written once, and the next wall of the house begins with it', async () => {
    const { db, ids, jobId } = house()
    await wallWindow(db, ids).change('design', (design) =>
      withDesign(design, { height: { rule: 'typed', value: inches(57) } }),
    )
    const written = writeHouse(db, ids, 1) ?? 0
    expect(written).toBeGreaterThan(1)
    expect(writeHouse(db, ids, 2)).toBe(0)
    const walls = [{ name: 'East wall', survey: null }]
    const next = createWalls(db, { jobId, roomName: 'Hall', walls, like: null }).wallIds[0] ?? ''
    expect(inForce(wallWindow(db, { jobId, wallId: next }).body('design')).height).toEqual({
      rule: 'typed',
      value: inches(57),
    })
    const [note] = houseBookOf(db, jobId)
    putHouseNoteAway(db, jobId, note?.id ?? '', 3)
    expect(houseBookOf(db, jobId)).toHaveLength(written - 1)
    expect(keepHouseNote(db, jobId, { name: 'x', what: { kind: 'height', length: -4 } }, 4)).toBe(false)
  })
})

describe('options of a room', () => {
  test('one is made on every wall under one name, and chosen where a wall has it', () => {
    const { db, jobId, ids } = house()
    const more = createWall(db, { jobId, roomName: 'Study', name: 'South wall' })
    const walls = [{ id: ids.wallId }, { id: more }]
    copyInRoom(db, jobId, walls, 'Tall')
    expect(roomOptions(db, walls).map(({ name, has, chosen }) => [name, has, chosen])).toEqual([
      ['Option 1', 2, 2],
      ['Tall', 2, 0],
    ])
    copyOption(db, ids, ids.wallId, 'Here alone')
    chooseInRoom(db, jobId, walls, 'Tall')
    chooseInRoom(db, jobId, walls, 'Here alone')
    const [, tall, here] = roomOptions(db, walls)
    expect([tall?.chosen, here?.chosen, here?.has]).toEqual([1, 1, 1])
    // a wall without it keeps the one that is chosen
    expect(Object.keys(here?.designs ?? {})).toHaveLength(2)
    for (let i = 3; i < LIMITS.options; i++) copyOption(db, ids, ids.wallId, 'More')
    expect(() => copyInRoom(db, jobId, walls, 'One too many')).toThrow(/options/)
    // none is made by halves
    expect(optionsOf(db, more)).toHaveLength(2)
  })
})
