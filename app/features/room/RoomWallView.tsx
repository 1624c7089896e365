import { inForce } from '~/model'
import { Link2, Lock, LockOpen, Unlink } from 'lucide-react'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { styled } from 'styled-components'
import { buildScene } from '~/core/scene/buildScene'
import { fitFrame } from '~/drawing/view/frame'
import { paintedPalette } from '~/drawing/view/painted'
import { SCREEN } from '~/drawing/view/palette'
import { colorsOf } from '~/core/agree/wallColors'
import { GhostView, SceneView } from '~/drawing/view/SceneView'
import { layoutTitle, patternWords, say, type Wording, wallSizeText } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { space, type } from '~/ui/theme'
import type { PlannedWall, Room } from './useRoom'

const Frame = styled.section`
  flex: none;
  display: grid;
  align-content: start;
  gap: ${space.xs};
`
const Caption = styled.div`
  display: grid;
  gap: 2px;
  font-size: ${type.small};
  color: var(--ink-soft);
  & a {
    color: var(--ink);
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    font-size: ${type.body};
    font-weight: 650;
  }
`
const PADDING = 6

/** One wall of the room, at the scale all of them are drawn in. */
export function RoomWallView({
  planned,
  room,
  jobId,
  scale,
  highest,
  wording,
}: {
  planned: PlannedWall
  room: Room
  jobId: string
  scale: number
  /** Height of the highest wall where all stand on one floor; null where one stands below the other. */
  highest: number | null
  wording: Wording
}) {
  const { id, name, plan, workpiece } = planned
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const scene = useMemo(() => buildScene(plan, survey), [plan, survey])
  const preview = room.previews.get(id)
  const ghost = useMemo(() => (preview ? buildScene(preview, survey) : null), [preview, survey])
  const width = survey.width * scale + 2 * PADDING
  const height = survey.height * scale + 2 * PADDING
  const frame = fitFrame({ width, height }, scene, {
    left: PADDING,
    right: PADDING,
    top: PADDING,
    bottom: PADDING,
  })
  const palette = paintedPalette(SCREEN, colorsOf(design, room.settings))
  const gaps = [
    ...new Set(
      plan.layout.sections
        .filter(({ row, opening }) => row === 0 && opening === null)
        .flatMap(({ placement }) =>
          placement ? [say(placement.gaps[0] ?? placement.leftEnd, wording)] : [],
        ),
    ),
  ]
  return (
    <Frame aria-label={name} data-room-wall={name}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width={width}
        height={height}
        style={{ marginTop: highest === null ? 0 : (highest - survey.height) * scale }}
        role="img"
        aria-label={`${name}, ${wallSizeText(survey, wording)}: ${layoutTitle(plan, wording)}`}
      >
        <SceneView scene={scene} frame={frame} palette={palette} selected={null} flagged={new Set()} />
        {ghost ? <GhostView scene={ghost} frame={frame} palette={SCREEN} /> : null}
      </svg>
      <Caption style={{ maxWidth: Math.max(150, width) }}>
        <span>
          <Link to={`/jobs/${jobId}/walls/${id}/layout`}>{name}</Link>{' '}
          <Button
            $kind="quiet"
            aria-pressed={design.locked}
            aria-label={design.locked ? `Unlock ${name}` : `Lock ${name}`}
            onPress={() =>
              void room.edit(new Map([[id, [{ type: 'patchDesign', patch: { locked: !design.locked } }]]]))
            }
          >
            {design.locked ? <Lock size={16} aria-hidden /> : <LockOpen size={16} aria-hidden />}
          </Button>
          <Button
            $kind="quiet"
            aria-pressed={design.apart}
            aria-label={design.apart ? `Take ${name} in again` : `Leave ${name} out of match and order`}
            onPress={() =>
              void room.edit(new Map([[id, [{ type: 'patchDesign', patch: { apart: !design.apart } }]]]))
            }
          >
            {design.apart ? <Unlink size={16} aria-hidden /> : <Link2 size={16} aria-hidden />}
          </Button>
        </span>
        <Fractions text={layoutTitle(plan, wording)} />
        {design.apart ? <em>left out of match and order</em> : null}
        {gaps.length > 0 ? <Fractions text={`${patternWords(design).gaps} ${gaps.join(', ')}`} /> : null}
      </Caption>
    </Frame>
  )
}
