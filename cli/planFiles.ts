import { mkdirSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import type { SolveInteger } from '~/core/stock'
import { paperText } from '~/messages'
import { BOOKLET_PARTS, DRAWINGS, type JobFile, PAPERS, type PaperAsked, TABLES } from '~/model'
import { makeFile } from '~/paper/makeFile'
import { paperJobOf } from '~/paper/ofFile'

/** Where files go besides what is printed: folders, and the booklet's own name. */
export interface FilesWanted {
  readonly svg?: string
  readonly dxf?: string
  readonly csv?: string
  readonly pdf?: string
}

/** How long boards and the order of work are looked for, as in the server. */
const PATIENCE = { boardsMs: 1_500, workMs: 400 }

/** Writes a job's drawings, tables and booklet; what a wall has nothing of is left out, and one that can't be planned is named. */
export async function writeFiles(
  file: JobFile,
  wanted: FilesWanted,
  solve: SolveInteger,
): Promise<{ readonly written: readonly string[]; readonly missed: readonly string[] }> {
  const now = new Date()
  const job = paperJobOf(file, now.getTime(), -now.getTimezoneOffset())
  const written: string[] = []
  const missed: string[] = []
  const taken = new Set<string>()
  const put = async (folder: string, asked: PaperAsked, of: string, said: string) => {
    try {
      const made = await makeFile(job, asked, { solve, ...PATIENCE })
      if (!made.ok) return
      mkdirSync(folder, { recursive: true })
      const [, name = '', ending = ''] = /^(.*)\.(\w+)$/.exec(made.file.name) ?? []
      // walls may have one name; their files may not
      let path = join(folder, `${of === '' ? '' : `${of}, `}${name}.${ending}`)
      for (let n = 2; taken.has(path); n++)
        path = join(folder, `${of === '' ? '' : `${of}, `}${name} (${n}).${ending}`)
      taken.add(path)
      writeFileSync(path, made.file.bytes)
      written.push(path)
    } catch {
      if (!missed.includes(said)) missed.push(said)
    }
  }
  const rooms = new Map(job.rooms.map(({ id, name }) => [id, name.replace(/[/\\:]/g, ' ')]))
  for (const { id: wall, name, room } of job.walls) {
    const of = rooms.get(room) ?? ''
    const datum = 'left' as const
    if (wanted.svg !== undefined)
      for (const drawing of DRAWINGS)
        await put(wanted.svg, { file: 'drawing.svg', wall, datum, drawing, version: '2007' }, of, name)
    if (wanted.dxf !== undefined)
      await put(wanted.dxf, { file: 'drawing.dxf', wall, datum, drawing: 'wall', version: '2007' }, of, name)
    if (wanted.csv !== undefined)
      for (const table of TABLES.filter((each) => each !== 'log'))
        await put(wanted.csv, { file: 'table.csv', wall, datum, table }, of, name)
  }
  if (wanted.pdf !== undefined) {
    const paper = file.settings.units === 'mm' ? PAPERS[1] : PAPERS[0]
    const asked = {
      file: 'booklet.pdf',
      paper,
      datum: 'left',
      look: 'moment',
      parts: [...BOOKLET_PARTS],
      walls: [],
    } as const
    const made = await makeFile(job, { ...asked, parts: [...asked.parts], walls: [] }, { solve, ...PATIENCE })
    if (made.ok) {
      mkdirSync(dirname(wanted.pdf), { recursive: true })
      writeFileSync(wanted.pdf, made.file.bytes)
      written.push(wanted.pdf)
    } else missed.push(paperText.booklet)
  }
  return { written, missed }
}
