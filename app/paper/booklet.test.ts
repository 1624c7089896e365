import fc from 'fast-check'
import { paperText, sayWithUnit } from '~/messages'
import { jobFacts } from '~/core/takeoff/jobFacts'
import { BOOKLET_PARTS, paperAskedSchema, USUAL_RATES } from '~/model'
import { anyMeetingWall, runs } from '../../tests/anyWall'
import { onPaper, paperExample, paperWall, SHORT_PATIENCE } from '../../tests/paperJobs'
import { readPdfs } from '../../tests/pdfPages'
import { booklet } from './booklet'
import { pacedWork } from './paperJob'
import { paperWork } from './parts/workSheet'
import { paperBoards } from './boards'
import { fileName, makeFile } from './makeFile'
import { setForType } from './pdf/fonts'

const tern = paperExample('tern-cottage')
const metric = paperExample('metric-study')
const of = (job: typeof tern, names: readonly string[]) =>
  job.walls.filter(({ name }) => names.includes(name)).map(({ id }) => id)

test('a booklet has every part, each page its number, job, day and revision; figures are the plan’s', async () => {
  const asked = { paper: 'letter', datum: 'left', parts: BOOKLET_PARTS } as const
  const [letter, a4] = await Promise.all([
    booklet(tern, { ...asked, walls: of(tern, ['Long wall', 'Desk wall']) }, SHORT_PATIENCE),
    booklet(metric, { ...asked, paper: 'a4', walls: [] }, SHORT_PATIENCE),
  ])
  const [inches, mm] = readPdfs([letter, a4])
  expect(inches?.title).toBe('Tern Cottage')
  for (const { file, job, sizes } of [
    { file: inches, job: tern, sizes: [612, 792] },
    { file: mm, job: metric, sizes: [595, 842] },
  ]) {
    const pages = file?.pages ?? []
    pages.forEach(({ words, box }, i) => {
      const said = words.map(({ text }) => text).join(' ')
      expect(said).toContain(paperText.pageOf(i + 1, pages.length))
      expect(said).toContain(`${job.name} · Wed, Apr 2, 2031 · revision 1`)
      expect([Math.round(box[2]), Math.round(box[3])].sort()).toEqual(sizes)
      // nothing runs off the sheet
      for (const { x, y, width } of words) {
        expect(x).toBeGreaterThanOrEqual(20)
        expect(x + width).toBeLessThanOrEqual(box[2] - 20)
        expect(y).toBeGreaterThanOrEqual(20)
      }
    })
  }
  const all = (inches?.pages ?? []).map(({ words }) => words.map(({ text }) => text).join(' '))
  for (const part of BOOKLET_PARTS.filter((each) => each !== 'client'))
    expect(all.some((text) => text.toLowerCase().includes(paperText.parts[part].toLowerCase()))).toBe(true)
  const long = paperWall(tern, 'Long wall')
  const said = all.join(' ')
  for (const { text } of long.dimensions.foot.figures) expect(said).toContain(setForType(text))
  // fractions are fractions, and nothing was set that the type has no sign for
  expect(said).not.toMatch(/\d\/\d/)
  expect(said).not.toMatch(/(^|[^a-z])\?/)
})

test('times on paper go by the crew’s logs, and say so; a rate that was typed stays', async () => {
  const walls = of(tern, ['Long wall'])
  const cuts = (job: typeof tern) => {
    const rooms = jobFacts(
      job.walls
        .filter(({ id }) => walls.includes(id))
        .map(({ id, name, room, survey, design }) => ({
          id,
          name,
          room,
          workpiece: { wall: { survey, design }, settings: job.settings },
        })),
    )
    const { tasks } = paperWork(job, rooms, () => true)
    return tasks.filter(({ task }) => task.kind === 'cut').reduce((sum, { minutes }) => sum + minutes, 0)
  }
  const usual = {
    ...tern,
    settings: { ...tern.settings, work: { ...tern.settings.work, rates: USUAL_RATES } },
  }
  const logged = { ...usual, learned: [{ rate: 'cutOne' as const, median: 3 * USUAL_RATES.cutOne }] }
  expect(cuts(logged)).toBeGreaterThan(cuts(usual) * 1.5)
  const typed = { ...USUAL_RATES, cutOne: 4 * USUAL_RATES.cutOne }
  const own = { ...logged, settings: { ...usual.settings, work: { ...usual.settings.work, rates: typed } } }
  expect(pacedWork(own)).toEqual({ work: own.settings.work, byLogs: [] })
  const asked = { paper: 'letter', datum: 'left', parts: ['work'], walls } as const
  const [paced, plain] = readPdfs(
    await Promise.all([logged, usual].map((job) => booklet(job, asked, SHORT_PATIENCE))),
  )
  const said = (file: typeof paced) =>
    (file?.pages ?? []).flatMap(({ words }) => words.map(({ text }) => text)).join(' ')
  expect(said(paced)).toContain('Paced by the crew’s logs: cutting a piece.')
  expect(said(plain)).not.toContain('Paced by')
})

test('boards that are to be proven are looked for until they are; in no time at all they are good, and say they are no more', async () => {
  const asked = { paper: 'letter', datum: 'left', parts: ['boards'], walls: [] } as const
  const none = { ...SHORT_PATIENCE, boardsMs: 0 }
  const [hasty, sure] = readPdfs([
    await booklet(tern, asked, none),
    await booklet(tern, { ...asked, look: 'proven' }, none),
  ])
  const said = (file: typeof hasty) =>
    (file?.pages ?? []).flatMap(({ words }) => words.map(({ text }) => text)).join(' ')
  expect(said(hasty)).toContain('not proven the cheapest')
  expect(said(sure)).not.toContain('not proven')
  expect(said(sure)).toContain('Proven: nothing costs less')
})

test('time that one material leaves goes to those after it', async () => {
  const walls = [paperWall(tern, 'Long wall'), paperWall(tern, 'Gallery wall')]
  const still: number[] = []
  const { plans } = await paperBoards(tern, walls, SHORT_PATIENCE.solve, (left) => {
    still.push(left)
    return { over: () => true, secondsLeft: () => 0 }
  })
  expect(still).toEqual(still.map((_, i) => still.length - i))
  expect(plans).toHaveLength(still.length)
})

test('the same plan on the same day is the same file, byte for byte', async () => {
  const asked = {
    paper: 'letter',
    datum: 'right',
    parts: ['wall', 'marks', 'cut', 'finish'],
    walls: of(tern, ['Stair wall']),
  } as const
  const [one, other] = [
    await booklet(tern, asked, SHORT_PATIENCE),
    await booklet(tern, asked, SHORT_PATIENCE),
  ]
  expect(Buffer.compare(one, other)).toBe(0)
})

test('every file is made of every wall of the examples, or it is told that there is none; none is empty', async () => {
  const asked = paperAskedSchema()
  for (const job of [tern, metric, paperExample('lines-sampler')])
    for (const { id: wall } of job.walls) {
      const offers = await makeFile(job, asked.parse({ file: 'offers.json', wall }), SHORT_PATIENCE)
      if (!offers.ok) throw new Error(offers.issue.code)
      const { templates, drawings, rods } = JSON.parse(new TextDecoder().decode(offers.file.bytes))
      for (const [file, more, isThere] of [
        ...['ends', 'gauges', 'plates', 'arches', 'rows'].map(
          (kinds) => ['templates.pdf', { kinds }, templates.includes(kinds)] as const,
        ),
        ...['wall', 'pieces', 'panels'].map(
          (drawing) => ['drawing.svg', { drawing }, drawings.includes(drawing)] as const,
        ),
        ['rod.pdf', {}, rods.length > 0] as const,
        ['drawing.dxf', { version: 'r12' }, true] as const,
      ]) {
        const made = await makeFile(job, asked.parse({ file, wall, ...more }), SHORT_PATIENCE)
        expect([file, more, made.ok]).toEqual([file, more, isThere])
        if (made.ok) expect(made.file.bytes.byteLength).toBeGreaterThan(300)
      }
    }
  expect(await makeFile(tern, asked.parse({ file: 'rod.pdf', wall: 'gone' }), SHORT_PATIENCE)).toEqual({
    ok: false,
    issue: { code: 'noWall' },
  })
})

test.each([
  [{ file: 'booklet.pdf', parts: 'wall,nonsense' }],
  [{ file: 'rod.pdf' }],
  [{ file: 'rod.pdf', wall: 'w', bar: '9' }],
  [{ file: 'rod.pdf', wall: 'w', bar: 'NaN' }],
  [{ file: 'labels.pdf', wall: 'w', sheet: 'unheard of' }],
  [{ file: 'labels.pdf', wall: 'w', sheet: 'letter-30', skip: '-1' }],
  [{ file: '../etc/passwd' }],
])('what is asked for wrongly is refused: %j', (asked) => {
  expect(paperAskedSchema().safeParse(asked).success).toBe(false)
})

test('file names take whatever a wall is called', () => {
  expect(fileName(['..\\a/b:c*?"<>|', ' . '], 'pdf')).toBe('a b c.pdf')
  expect(fileName([''], 'csv')).toBe('regla.csv')
  expect(fileName(['Küche, Süd', 'x'.repeat(400)], 'svg').length).toBeLessThan(130)
})

test('words of any alphabet are set as far as the type has signs, never as a box', () => {
  expect(setForType('13 15/16 in, 3 1/2\u202fup')).toBe('13 15\u204416 in, 3 1\u20442 up')
  expect(setForType('Zażółć ẞ')).not.toContain('\u25a1')
  expect(setForType('墙 ✓')).toBe('? ?')
})

test('any wall goes on paper whole: no word off its sheet, and what is marked and cut is on it', async () => {
  const walls = fc.sample(anyMeetingWall, { numRuns: runs(14), seed: 1907 })
  const files = await Promise.all(
    walls.map(({ wall, settings }, i) => {
      const job = {
        ...tern,
        settings,
        rooms: [{ id: 'r', name: 'Any room' }],
        walls: [{ id: 'w', name: 'Any wall', room: 'r', survey: wall.survey, design: wall.design, acts: [] }],
      }
      const asked = {
        paper: i % 2 === 0 ? ('letter' as const) : ('a4' as const),
        datum: i % 3 === 0 ? ('right' as const) : ('left' as const),
        parts: ['wall', 'marks', 'cut', 'finish', 'takeDown', 'client'] as const,
        walls: [],
      }
      return booklet(job, asked, SHORT_PATIENCE)
    }),
  )
  readPdfs(files).forEach(({ pages }, i) => {
    const workpiece = walls[i]
    if (!workpiece) throw new Error('no wall')
    const said = pages.flatMap(({ words }) => words.map(({ text }) => text)).join(' ')
    for (const { words, box } of pages)
      for (const { x, y, width, text } of words) {
        expect([text, x >= 18 && x + width <= box[2] - 18 && y >= 18 && y <= box[3] - 18]).toEqual([
          text,
          true,
        ])
      }
    const planned = onPaper(workpiece, i % 3 === 0 ? 'right' : 'left')
    for (const { row } of planned.cards)
      expect(said.replaceAll(' ', '')).toContain(
        setForType(sayWithUnit(row.cutLength, planned.wording)).replaceAll(' ', ''),
      )
  })
})
