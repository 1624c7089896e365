import { memo } from 'react'
import { styled } from 'styled-components'
import { computePlan } from '~/core/computePlan'
import { readWallLines, type TypedWall } from '~/core/files/wallLines'
import { firstDesign } from '~/core/room/habit'
import { buildScene } from '~/core/scene/buildScene'
import { fitFrame } from '~/drawing/view/frame'
import { SCREEN } from '~/drawing/view/palette'
import { SceneView } from '~/drawing/view/SceneView'
import type { Tape, Units } from '~/length'
import { typedWallText, type Wording } from '~/messages'
import { nextName, startingSettings, type Survey, withDesign } from '~/model'
import { Fractions } from '~/ui/Fractions'
import { space, type } from '~/ui/theme'

const Walls = styled.ul`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${space.m};
  & li {
    display: grid;
    gap: 2px;
    max-width: 240px;
    font-size: ${type.small};
    color: var(--ink-soft);
  }
`
const NOTHING: ReadonlySet<string> = new Set()
/** Pixels of the widest wall. */
const WIDEST = 220

/** The bare wall: no strip is laid out on it yet. */
const Bare = memo(function Bare({ survey, scale }: { survey: Survey; scale: number }) {
  const settings = startingSettings('inches', '1/16')
  const design = withDesign(firstDesign(survey, settings.materials), {
    pattern: 'rails',
    topRail: null,
    foot: { kind: 'floor' },
  })
  const plan = computePlan({ wall: { survey, design }, settings })
  const scene = buildScene(plan, survey)
  const size = { width: survey.width * scale + 4, height: survey.height * scale + 4 }
  const frame = fitFrame(size, scene, { left: 2, right: 2, top: 2, bottom: 2 })
  return (
    <svg
      viewBox={`0 0 ${size.width} ${size.height}`}
      width={size.width}
      height={size.height}
      aria-hidden="true"
    >
      <SceneView scene={scene} frame={frame} palette={SCREEN} selected={null} flagged={NOTHING} />
    </svg>
  )
})

/** What walls without a name will be called. */
function typedNames(walls: readonly { readonly name: string | null }[]): string[] {
  const names: string[] = []
  for (const { name } of walls) names.push(name ?? nextName('Wall', names))
  return names
}

/** The walls that were typed, drawn at one scale, with what was read of each. */
export default function TypedWalls({ text, units, tape }: { text: string; units: Units; tape: Tape }) {
  // of a text that is half right the lines that can be read are drawn
  const walls = text.split('\n').flatMap((line): readonly TypedWall[] => {
    const read = readWallLines(line, units)
    return read.ok ? read.value : []
  })
  const wording: Wording = { format: { units, tape }, materials: [] }
  const names = typedNames(walls)
  const widest = Math.max(1, ...walls.map(({ survey }) => Math.max(survey?.width ?? 0, survey?.height ?? 0)))
  return (
    <Walls aria-label="Walls as read">
      {walls.map((wall, i) => (
        <li key={i}>
          {wall.survey ? <Bare survey={wall.survey} scale={WIDEST / widest} /> : null}
          <Fractions text={typedWallText(wall, names[i] ?? '', wording)} />
        </li>
      ))}
    </Walls>
  )
}
