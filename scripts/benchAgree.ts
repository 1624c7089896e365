import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import { optionFigures } from '~/core/agree/optionFigures'
import { computePlan } from '~/core/computePlan'
import { choosePattern } from '~/core/edits/choosePattern'
import { applyEdits } from '~/core/edits/applyEdit'
import { readJobFile } from '~/core/files/readJobFile'
import { photoMap } from '~/core/photo/photoMap'
import { knownPlaces, photoScene } from '~/core/photo/photoScene'
import type { Workpiece } from '~/model'
import { tidyPicture } from '~/server/photos.server'

type Measure = (name: string, runs: number, work: () => unknown) => Promise<void>

/** Options compared, a plan over a photograph as a point is pulled, a photograph of 12 megapixels taken in. */
export async function benchAgree(measure: Measure, sixty: Workpiece): Promise<void> {
  const file = readJobFile(readFileSync('examples/tern-cottage.regla.json', 'utf8'))
  if (!file.ok) throw new Error('the demo job can’t be read')
  const { settings, rooms } = file.value
  const walls = rooms.flatMap((room) => room.walls)
  const widest = walls.reduce((a, b) => (b.survey.width > a.survey.width ? b : a))
  const own = { wall: { survey: widest.survey, design: widest.design }, settings }
  const four = [
    own,
    ...(['grid', 'boxes', 'slats'] as const).map((to) => applyEdits(own, choosePattern(own, to))),
  ]
  await measure('four options of the demo’s widest wall compared', 20, () =>
    four.map((each) => optionFigures(each)),
  )

  const plan = computePlan(sixty)
  const { survey } = sixty.wall
  const corners = knownPlaces(plan, survey).filter(({ of }) => of === 'wall')
  const at = [
    [0.1, 0.85],
    [0.92, 0.8],
    [0.9, 0.2],
    [0.12, 0.12],
  ] as const
  let pulled = 0
  await measure('a point pulled on a photograph, 60 battens over it', 300, () => {
    pulled += 1e-4
    const points = corners.map(({ at: wall }, i) => ({
      id: String(i),
      wall,
      at: { x: (at[i]?.[0] ?? 0) + (i === 0 ? pulled : 0), y: at[i]?.[1] ?? 0 },
    }))
    const found = photoMap({ points, lens: false, width: 3000, height: 2250 })
    return typeof found === 'string' ? found : photoScene(plan, survey, found, 135)
  })

  const noise = { type: 'gaussian', mean: 128, sigma: 30 } as const
  const picture = await sharp({
    create: { width: 4000, height: 3000, channels: 3, background: '#888', noise },
  })
    .jpeg({ quality: 90 })
    .toBuffer()
  const before = process.memoryUsage().rss
  let most = before
  const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 5)
  await measure(`a photograph of 12 megapixels (${(picture.length / 1e6).toFixed(1)} MB) taken in`, 4, () =>
    tidyPicture(picture),
  )
  clearInterval(watch)
  console.log(`  while it is taken in: ${Math.round((most - before) / 1e6)} MB more at most`)
}
