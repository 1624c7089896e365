// Makes the demo's picture of a wall: drawn by this script, nobody's photograph. Run: npx tsx scripts/demo-photo.ts
import { readFileSync, writeFileSync } from 'node:fs'
import sharp from 'sharp'
import { computePlan } from '~/core/computePlan'
import { readJobFile } from '~/core/files/readJobFile'
import { fitPerspective, seenAt } from '~/core/photo/perspective'
import { knownPlaces } from '~/core/photo/photoScene'
import { buildScene } from '~/core/scene/buildScene'
import { isPlate } from '~/core/survey/obstacles'

const WALL = 'Window wall'
const OUT = 'examples/pictures/tern-cottage-window-wall'
const [WIDTH, HEIGHT] = [1600, 1200]
const CORNERS = [
  { x: 176, y: 1006 },
  { x: 1446, y: 912 },
  { x: 1434, y: 262 },
  { x: 196, y: 132 },
]

const file = readJobFile(readFileSync('examples/tern-cottage.regla.json', 'utf8'))
if (!file.ok) throw new Error('the demo job can’t be read')
const wall = file.value.rooms.flatMap(({ walls }) => walls).find(({ name }) => name === WALL)
if (!wall) throw new Error(`the demo has no wall '${WALL}'`)
const { survey, design } = wall
const plan = computePlan({ wall: { survey, design }, settings: file.value.settings })
const corners = knownPlaces(plan, survey).filter(({ of }) => of === 'wall')
const map = fitPerspective(corners.map(({ at }, i) => ({ from: at, to: CORNERS[i] ?? { x: 0, y: 0 } })))
if (!map) throw new Error('no map')
const inch = 25_400_000
const at = (x: number, y: number) => {
  const p = seenAt(map, { x, y })
  return `${p.x.toFixed(1)},${p.y.toFixed(1)}`
}
const box = (left: number, bottom: number, right: number, top: number, look: string) =>
  `<polygon points="${at(left, bottom)} ${at(right, bottom)} ${at(right, top)} ${at(left, top)}" ${look}/>`
const outline = (polygon: readonly { x: number; y: number }[], look: string) =>
  `<polygon points="${polygon.map(({ x, y }) => at(x, y)).join(' ')}" ${look}/>`

const { nodes } = buildScene(plan, survey)
const wallNode = nodes.find(({ kind }) => kind === 'wall')
const base = nodes.find((node) => node.kind === 'running' && node.id === 'baseboard')
const things = survey.things.map((thing) => {
  const [l, b, r, t] = [thing.left, thing.bottom, thing.left + thing.width, thing.bottom + thing.height]
  if (thing.kind === 'window') {
    const c = 3 * inch
    return [
      box(l - c, b - c, r + c, t + c, 'fill="#efece3" stroke="#b9b3a4" stroke-width="2"'),
      box(l, b, r, t, 'fill="url(#sky)"'),
      box((l + r) / 2 - inch, b, (l + r) / 2 + inch, t, 'fill="#efece3"'),
      box(l, (b + t) / 2 - inch, r, (b + t) / 2 + inch, 'fill="#efece3"'),
      box(
        l - 1.4 * c,
        b - c - 2 * inch,
        r + 1.4 * c,
        b - c,
        'fill="#f6f3ea" stroke="#a8a292" stroke-width="2"',
      ),
    ].join('')
  }
  return isPlate(thing.kind) ? box(l, b, r, t, 'fill="#f4f1e8" stroke="#8f897a" stroke-width="1.5"') : ''
})
// a side table with a lamp stands before the wall
const table = [
  { x: 1128, y: 742 }, { x: 1150, y: 720 }, { x: 1186, y: 720 }, { x: 1186, y: 628 }, { x: 1148, y: 628 },
  { x: 1176, y: 520 }, { x: 1252, y: 520 }, { x: 1280, y: 628 }, { x: 1242, y: 628 }, { x: 1242, y: 720 },
  { x: 1300, y: 720 }, { x: 1322, y: 742 }, { x: 1308, y: 1008 }, { x: 1284, y: 1008 }, { x: 1280, y: 770 },
  { x: 1172, y: 770 }, { x: 1164, y: 1020 }, { x: 1140, y: 1020 },
] // prettier-ignore
const tableText = table.map(({ x, y }) => `${x},${y}`).join(' ')
const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">
<defs>
<linearGradient id="light" x1="0" y1="0" x2="1" y2="0.6"><stop offset="0" stop-color="#dcd6c6"/><stop offset="1" stop-color="#b9b2a1"/></linearGradient>
<linearGradient id="floor" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#8a6f50"/><stop offset="1" stop-color="#b18f67"/></linearGradient>
<linearGradient id="sky" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#dfeaf2"/><stop offset="1" stop-color="#b6c7b1"/></linearGradient>
<linearGradient id="lamp" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#e9dcc0"/><stop offset="1" stop-color="#cbb78d"/></linearGradient>
<filter id="soft"><feGaussianBlur stdDeviation="9"/></filter>
</defs>
<rect width="100%" height="100%" fill="#cfc9ba"/>
<polygon points="0,0 ${WIDTH},0 ${WIDTH},190 ${at(survey.width, survey.height)} ${at(0, survey.height)} 0,40" fill="#e6e2d7"/>
<polygon points="0,40 ${at(0, survey.height)} ${at(0, 0)} 0,1130" fill="#c2bbab"/>
<polygon points="${WIDTH},190 ${at(survey.width, survey.height)} ${at(survey.width, 0)} ${WIDTH},1010" fill="#a9a292"/>
<polygon points="0,1130 ${at(0, 0)} ${at(survey.width, 0)} ${WIDTH},1010 ${WIDTH},${HEIGHT} 0,${HEIGHT}" fill="url(#floor)"/>
${Array.from({ length: 9 }, (_, i) => `<path d="M0 ${1140 + i * 14}L${WIDTH} ${1016 + i * 26}" stroke="#6f5639" stroke-opacity=".35" stroke-width="2"/>`).join('')}
${wallNode && 'polygon' in wallNode ? outline(wallNode.polygon, 'fill="url(#light)"') : ''}
${base && 'polygon' in base ? outline(base.polygon, 'fill="#efece3" stroke="#a29b8b" stroke-width="1.5"') : ''}
${things.join('')}
<ellipse cx="1226" cy="1018" rx="130" ry="20" fill="#000" opacity=".35" filter="url(#soft)"/>
<polygon points="${tableText}" fill="#6b4a34" stroke="#3f2a1c" stroke-width="2"/>
<polygon points="1176,520 1252,520 1280,628 1148,628" fill="url(#lamp)" stroke="#8d7a52" stroke-width="2"/>
<rect x="1186" y="628" width="56" height="92" fill="#8b9aa0" stroke="#566" stroke-width="2"/>
</svg>`
const grain = {
  width: WIDTH,
  height: HEIGHT,
  channels: 3,
  noise: { type: 'gaussian', mean: 128, sigma: 9 },
} as const
const noise = await sharp({ create: { ...grain, background: '#808080' } })
  .jpeg()
  .toBuffer()
await sharp(Buffer.from(svg))
  .composite([{ input: noise, blend: 'soft-light' }])
  .jpeg({ quality: 72 })
  .toFile(`${OUT}.jpg`)
const marks = {
  points: corners.map(({ at: place }, i) => ({
    id: `corner-${i + 1}`,
    at: { x: (CORNERS[i]?.x ?? 0) / WIDTH, y: (CORNERS[i]?.y ?? 0) / HEIGHT },
    wall: { x: Math.round(place.x), y: Math.round(place.y) },
  })),
  lens: false,
  lightDeg: 135,
  cutOuts: [
    { id: 'table', name: 'Side table', corners: table.map(({ x, y }) => ({ x: x / WIDTH, y: y / HEIGHT })) },
  ],
}
writeFileSync(`${OUT}.json`, `${JSON.stringify(marks, null, 2)}\n`)
