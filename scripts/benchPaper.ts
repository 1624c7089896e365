import { readFileSync } from 'node:fs'
import highs from 'highs'
import { readJobFile } from '~/core/files/readJobFile'
import { inches, nearestNanometer } from '~/length'
import { BOOKLET_PARTS } from '~/model'
import { booklet } from '~/paper/booklet'
import { wallSvg } from '~/paper/files/svg'
import { drawFull } from '~/paper/full/fullSize'
import { rodDrawing } from '~/paper/full/rod'
import { paperJobOf } from '~/paper/ofFile'
import { plannedWall } from '~/paper/paperJob'
import { openPdf } from '~/paper/pdf/sheets'
import { highsSolver } from '~/workers/highsSolver'

type Measure = (name: string, runs: number, work: () => unknown) => Promise<void>

/** The booklet of the whole demo job, a rod of 25 ft, a wall's drawing. */
export async function benchPaper(measure: Measure): Promise<void> {
  const file = readJobFile(readFileSync('examples/tern-cottage.regla.json', 'utf8'))
  if (!file.ok) throw new Error('the demo job can’t be read')
  const job = paperJobOf(file.value, Date.UTC(2027, 2, 1), 0)
  const patience = { solve: highsSolver(() => highs()), boardsMs: 1_000, workMs: 400 }
  const asked = { paper: 'letter', datum: 'left', parts: BOOKLET_PARTS, walls: [] } as const
  let size = 0
  await measure('the booklet of the demo job (5 s, 3 MB)', 3, async () => {
    size = (await booklet(job, asked, patience)).byteLength
  })
  console.log(`  ${(size / 1e6).toFixed(2)} MB`)
  const [first] = job.walls
  if (!first) return
  const long = plannedWall(
    { ...first, survey: { ...first.survey, width: nearestNanometer(inches(300)) } },
    job,
  )
  await measure('a rod of 25 ft on Letter (1 s)', 6, () => {
    const pdf = openPdf({ title: 'Rod', made: new Date(0) })
    drawFull(pdf, rodDrawing(long, 'foot'), { kind: 'sheets', paper: 'letter' })
    return pdf.end()
  })
  await measure('a wall as SVG', 10, () => wallSvg(long))
}
