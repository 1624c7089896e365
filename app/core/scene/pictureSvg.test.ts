import { inches } from '~/length'
import { blankSurvey, startingDesign, startingSettings } from '~/model'
import { computePlan } from '../computePlan'
import { buildScene } from './buildScene'
import { pictureRow, pictureSize, pictureSvg } from './pictureSvg'

const settings = startingSettings('inches', '1/16')
const pictureOf = (width: number, height: number) => {
  const survey = { ...blankSurvey(), width: inches(width), height: inches(height) }
  return pictureSvg(
    buildScene(
      computePlan({ wall: { survey, design: startingDesign(settings.materials) }, settings }),
      survey,
    ),
  )
}

test('a wall is drawn small, whole, in its own proportion, and stands alone', () => {
  const svg = pictureOf(240, 96)
  const { width, height } = pictureSize({ width: inches(240), height: inches(96) })
  expect(width / height).toBeCloseTo(240 / 96, 1)
  expect(svg).toMatch(
    new RegExp(`^<svg xmlns="[^"]+" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">`),
  )
  // the wall, what is painted, the strips
  expect(svg.match(/<path /g)?.length).toBe(3)
  const places = [...svg.matchAll(/[ML]([\d.-]+) ([\d.-]+)/g)].map(([, x, y]) => [Number(x), Number(y)])
  expect(places.length).toBeGreaterThan(20)
  for (const [x = NaN, y = NaN] of places) {
    expect(x >= 0 && x <= width).toBe(true)
    expect(y >= 0 && y <= height).toBe(true)
  }
})

test('walls of a job stand side by side on one floor', () => {
  const row = pictureRow([pictureOf(240, 96), pictureOf(50, 96)])
  const [, total = ''] = /^<svg xmlns="[^"]+" width="(\d+)"/.exec(row) ?? []
  const inner = [...row.matchAll(/<svg x="(\d+)" y="(\d+)" width="(\d+)" height="(\d+)"/g)].map(([, ...n]) =>
    n.map(Number),
  )
  expect(inner).toHaveLength(2)
  const [[x1 = 0, y1 = 0, w1 = 0, h1 = 0] = [], [x2 = 0, y2 = 0, w2 = 0, h2 = 0] = []] = inner
  expect(x1).toBe(0)
  expect(x2).toBeGreaterThan(w1)
  expect([y1 + h1, y2 + h2]).toEqual([48, 48])
  expect(x2 + w2).toBe(Number(total))
  expect(pictureRow([])).toMatch(/^<svg /)
})
