import { renderToStaticMarkup } from 'react-dom/server'
import { colorsOf } from '~/core/agree/wallColors'
import { computePlan } from '~/core/computePlan'
import { photoMap } from '~/core/photo/photoMap'
import { knownPlaces, photoScene } from '~/core/photo/photoScene'
import { buildScene } from '~/core/scene/buildScene'
import { pictureSvg } from '~/core/scene/pictureSvg'
import { inches } from '~/length'
import {
  blankSurvey,
  freshPaint,
  inForce,
  NO_PAINT,
  type Paint,
  startingDesign,
  startingSettings,
  withDesign,
} from '~/model'
import { fitFrame } from './frame'
import { paintedPalette } from './painted'
import { SCREEN } from './palette'
import { PhotoPlan } from './PhotoPlan'
import { SceneView } from './SceneView'

const paint = (id: string, hex: string, use: Paint['use']) => freshPaint({ id, name: id, hex, use })
const paints = [paint('a', '#aa1111', 'trim'), paint('b', '#22bb22', 'field'), paint('c', '#3333cc', 'above')]
const settings = { ...startingSettings('inches', '1/16'), paints }
const survey = {
  ...blankSurvey(),
  width: inches(117),
  height: inches(99),
  baseboard: { height: inches(4), thickness: inches(0.5), fate: 'keep' as const },
}
const of = (more: object) => {
  const design = withDesign(startingDesign(), { paint: { ...NO_PAINT, ...more } })
  const workpiece = { wall: { survey, design }, settings }
  const plan = computePlan(workpiece)
  const colors = colorsOf(inForce(design), settings)
  return { plan, colors, scene: buildScene(plan, survey) }
}
const drawn = (more: object) => {
  const { scene, colors } = of(more)
  const frame = fitFrame({ width: 400, height: 300 }, scene, { left: 4, right: 4, top: 4, bottom: 4 })
  return renderToStaticMarkup(
    <svg>
      <SceneView
        scene={scene}
        frame={frame}
        palette={paintedPalette(SCREEN, colors)}
        selected={null}
        flagged={new Set()}
      />
    </svg>,
  )
}
const all = { trim: 'a', field: 'b', above: 'c' }

test('nothing painted is drawn as ever, with the very palette', () => {
  expect(paintedPalette(SCREEN, of({}).colors)).toBe(SCREEN)
  expect(drawn({})).not.toContain('#aa1111')
})

test('each color is where it is painted; the baseboard goes with the trim or not', () => {
  const whole = drawn(all)
  for (const hex of ['#aa1111', '#22bb22', '#3333cc']) expect(whole).toContain(`fill="${hex}"`)
  const count = (text: string) => text.split('fill="#aa1111"').length
  expect(count(whole)).toBe(count(drawn({ ...all, base: false })) + 1)
  // wall and trim in one color
  expect(drawn({ trim: 'a', field: 'a' })).not.toContain('#22bb22')
})

test('paper lies above in numbered drops, with ticks where its pattern begins anew', () => {
  const paper = {
    kind: 'repeat',
    name: '',
    width: inches(20),
    height: inches(10),
    panels: 1,
    from: 'left',
    hex: '#abcdef',
  }
  const text = drawn({ ...all, paper })
  expect(text).toContain('fill="#abcdef"')
  expect(text).not.toContain('#3333cc')
  expect(text.match(/data-paper=/g)).toHaveLength(6)
  expect(text).toMatch(/data-paper="1".*<line/)
})

test('the small picture and the one on a photograph have the same colors, and a file no page’s', () => {
  const { scene, colors, plan } = of(all)
  for (const hex of ['#aa1111', '#22bb22', '#3333cc']) expect(pictureSvg(scene, colors)).toContain(hex)
  expect(pictureSvg(scene)).not.toContain('#aa1111')
  const points = knownPlaces(plan, survey)
    .slice(0, 4)
    .map(({ at }, i) => ({
      id: `${i}`,
      wall: at,
      at: { x: [0.1, 0.9, 0.85, 0.15][i] ?? 0, y: [0.9, 0.8, 0.2, 0.1][i] ?? 0 },
    }))
  const found = photoMap({ points, lens: false, width: 800, height: 600 })
  if (typeof found === 'string') throw new Error(found)
  const text = renderToStaticMarkup(
    <PhotoPlan
      nodes={photoScene(plan, survey, found, 135)}
      colors={colors}
      cutOuts={[
        [
          { x: 1, y: 1 },
          { x: 9, y: 1 },
          { x: 5, y: 8 },
        ],
      ]}
      width={800}
      height={600}
      name="p"
    />,
  )
  for (const hex of ['#aa1111', '#22bb22', '#3333cc']) expect(text).toContain(hex)
  expect(text).not.toContain('var(')
  expect(text).toContain('points="1.00,1.00 9.00,1.00 5.00,8.00"')
})
