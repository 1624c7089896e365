import { wallWindow } from '../../tests/windows'
import { inches } from '~/length'
import { freshPaint, inForce, LIMITS, withDesign } from '~/model'
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

  test('the chosen one is not archived; another is, and comes back; names stay apart; there is an end to them', async () => {
    const at = house()
    const { db, ids } = at
    const other = await twoOptions(at)
    expect(changeOption(db, ids, ids.wallId, { kind: 'archive' })).toBe(false)
    expect(changeOption(db, ids, other, { kind: 'archive' })).toBe(true)
    expect(optionsOf(db, ids.wallId).map(({ archived }) => archived)).toEqual([false, true])
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
    for (let i = 0; i < LIMITS.remarks; i++)
      put({ kind: 'remark', wall: ids.wallId, option: null, at: { x: i, y: 1 }, text: `number ${i}` })
    expect(put({ kind: 'remark', wall: ids.wallId, option: null, at: null, text: 'one more' })).toBe('full')
    // a page that is full can still be answered, and picked on
    const [, remark] = actsOfLink(db, link.id)
    expect(put({ kind: 'answered', remark: remark?.id, text: 'done' })).toBe('kept')
    expect(askedOfWall(db, link.jobId, ids.wallId).remarks).toHaveLength(LIMITS.remarks - 1)
    expect(put({ kind: 'picked', wall: ids.wallId, option: ids.wallId })).toBe('kept')
  })

  // before, two hundred picks used a link up for everybody who has it
  test('a new pick takes the place of the old one, and a color that of its wall and use', async () => {
    const { db, ids, jobId, other, link } = await linked()
    await wallWindow(db, ids).change('settings', (settings) => ({
      ...settings,
      paints: ['moss', 'sand'].map((id) => freshPaint({ id, name: id, hex: '#c9d2c4', use: 'field' })),
    }))
    const put = (act: object) => recordClientAct(db, link, { wall: ids.wallId, ...act }, 5)
    for (let i = 0; i < 2 * LIMITS.remarks; i++) {
      expect(put({ kind: 'picked', option: i % 2 === 0 ? other : ids.wallId })).toBe('kept')
      expect(
        put({ kind: 'color', use: i % 3 === 0 ? 'trim' : 'field', paint: i % 5 === 0 ? 'moss' : 'sand' }),
      ).toBe('kept')
    }
    expect(
      actsOfLink(db, link.id)
        .map(({ kind }) => kind)
        .sort(),
    ).toEqual(['color', 'color', 'picked'])
    const opened = openLink(db, link.token, 2_000)
    expect(opened.kind === 'open' && opened.page.picks[ids.wallId]).toEqual({
      option: ids.wallId,
      colors: { trim: 'sand', field: 'sand' },
    })
    // what is no color of the job, or no wall of the link
    for (const paint of ['__proto__', 'constructor', 'unknown'])
      expect(put({ kind: 'color', use: 'trim', paint })).toBe('unread')
    for (const wall of ['__proto__', 'toString', jobId])
      expect(put({ kind: 'picked', wall, option: other })).toBe('unread')
    expect(actsOfLink(db, link.id)).toHaveLength(3)
  })

  test('it is signed once, by a name; what was signed stands as it was, and a later change is told by name', async () => {
    const at = await linked()
    const { db, jobId, ids, other, link } = at
    const by = (name: string, line: unknown = []) => sign(db, link, { name, line, ticks: [] }, 9)
    expect(by('  ')).toMatchObject({ problem: { code: 'noName' } })
    expect(by('N. Odell', [[[2, 0]]])).toMatchObject({ problem: { code: 'line' } })
    expect(by('N. Odell')).toMatchObject({
      problem: { code: 'notPicked', wall: 'North wall' },
    })
    recordClientAct(db, link, { kind: 'picked', wall: ids.wallId, option: other }, 8)
    expect(
      by(' N. Odell ', [
        [
          [0.1, 0.2],
          [0.3, 0.4],
        ],
      ]),
    ).toEqual({ ok: true })
    // two at once: the second is told who was first
    expect(by('P. Odell')).toMatchObject({
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
    chooseInRoom(db, { jobId, roomId: 'r' }, walls, 'Tall')
    chooseInRoom(db, { jobId, roomId: 'r' }, walls, 'Here alone')
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
