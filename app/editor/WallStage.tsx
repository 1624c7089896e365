import { useCallback, useId, useMemo, useRef } from 'react'
import { styled } from 'styled-components'
import { colorsOf } from '~/core/agree/wallColors'
import { flaggedIn } from '~/core/findings/flagged'
import type { Datum, Edge, Hook } from '~/core/marks/runningMarks'
import { buildScene } from '~/core/scene/buildScene'
import { useSize } from '~/drawing/interaction/useSize'
import { fitFrame, type Frame } from '~/drawing/view/frame'
import { HeightRod, HEIGHT_ROD_WIDTH } from '~/drawing/view/HeightRod'
import { LongRod } from '~/drawing/view/LongRod'
import { paintedPalette } from '~/drawing/view/painted'
import { SCREEN } from '~/drawing/view/palette'
import { StripLabels } from '~/drawing/view/StripLabels'
import { GhostView, SceneView } from '~/drawing/view/SceneView'
import { NM_PER_INCH, NM_PER_MM, toInches } from '~/length'
import { drawingText, findingText, layoutTitle, patternWords, wallSizeText } from '~/messages'
import { inForce } from '~/model'
import { Fractions } from '~/ui/Fractions'
import { narrow, space, type } from '~/ui/theme'
import { GapHandle, HeightHandle } from './StageHandles'
import { usePreview, useSelected, useUnread, useWallEditor, useWallNow } from './WallEditor'

const Stage = styled.div<{ $height: string; $bare: boolean }>`
  position: relative;
  width: 100%;
  height: ${({ $height }) => $height};
  min-height: 260px;
  & > svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    display: block;
    user-select: none;
    -webkit-user-select: none;
  }
  ${narrow} {
    ${({ $bare }) =>
      $bare ? 'min-height: 0; height: clamp(150px, 46vw, 320px);' : 'height: clamp(260px, 74vw, 420px);'}
  }
`
const Stale = styled.p`
  position: absolute;
  top: ${space.s};
  left: 50%;
  transform: translateX(-50%);
  max-width: 80%;
  background: var(--red-wash);
  border: 1px solid var(--red);
  border-radius: 6px;
  padding: ${space.xs} ${space.m};
  font-size: ${type.small};
`
const Pencil = styled.p`
  position: absolute;
  inset: 22% 12% auto 22%;
  text-align: center;
  color: var(--red);
  font-weight: 600;
  font-size: ${type.lead};
  pointer-events: none;
`

const FIRST_SIZE = { width: 900, height: 540 }
/** Room for the rods; a phone has less to give. */
const MARGINS = { left: 112, right: 22, top: 20, bottom: 130 }
const SLIM_MARGINS = { left: 92, right: 8, top: 16, bottom: 128 }
const NONE: ReadonlySet<string> = new Set()
const BARE_MARGINS = { left: 8, right: 8, top: 8, bottom: 8 }
const SLIM_BELOW = 520

const EDGE_WORDS: Readonly<Record<Edge, string>> = { near: 'near edge', center: 'center', far: 'far edge' }

export interface WallStageProps {
  readonly datum?: Datum
  readonly edge?: Edge
  /** The line the tape is hooked along. */
  readonly hook?: Hook
  /** Handles for height and gap; only where the layout is set. */
  readonly handles?: boolean
  readonly height?: string
  /** Rods beside and below the wall; without them the wall has their room. */
  readonly rods?: boolean
  /** What the pieces are called, by their ids, written on them. */
  readonly labels?: ReadonlyMap<string, string>
  /** Keep-outs shown; the wall's deviations shown, made larger. */
  readonly behind?: boolean
  readonly deviation?: boolean
  /** Hollows and bellies shaded boldly. */
  readonly flat?: boolean
  /** Drawn over the wall, such as grips of the stage at work. */
  readonly over?: (frame: Frame) => React.ReactNode
  /** Red dashes round what has something wrong of its own; off where colors or finished work are shown. */
  readonly findings?: boolean
}

/** The wall drawn to scale between the long rod and the height rod. */
export function WallStage({
  datum = 'left',
  edge = 'near',
  hook = 'foot',
  handles = false,
  height = '100%',
  rods = true,
  labels,
  behind = false,
  deviation = false,
  flat = false,
  over,
  findings = true,
}: WallStageProps) {
  const preview = usePreview()
  const { plan, workpiece, wording } = useWallNow()
  const { select, ...shown } = useWallEditor()
  const selected = useSelected()
  const unread = useUnread()
  const { survey } = workpiece.wall
  const { tape, units } = workpiece.settings
  const described = useId()
  // whoever hears it told is told it at rest, not at every frame of a pull
  const description = useMemo(
    () => drawingText.describe(shown.plan, shown.workpiece.wall.survey, shown.wording),
    [shown.plan, shown.workpiece, shown.wording],
  )
  const box = useRef<HTMLDivElement>(null)
  const size = useSize(box, FIRST_SIZE)
  const scene = useMemo(
    () => buildScene(plan, survey, { datum, edge, hook, tape, format: wording.format }),
    [plan, survey, datum, edge, hook, tape, wording],
  )
  const ghost = useMemo(() => (preview ? buildScene(preview, survey) : null), [preview, survey])
  const colors = workpiece.settings.paints
  const { paint } = inForce(workpiece.wall.design)
  const palette = useMemo(
    () => paintedPalette(SCREEN, colorsOf({ paint }, { paints: colors })),
    [paint, colors],
  )
  const slim = size.width < SLIM_BELOW
  const { width: wallWidth, height: wallHeight } = scene
  const frame = useMemo(
    () =>
      fitFrame(
        size,
        { width: wallWidth, height: wallHeight },
        rods ? (slim ? SLIM_MARGINS : MARGINS) : BARE_MARGINS,
      ),
    [size, wallWidth, wallHeight, slim, rods],
  )
  const tick = units === 'mm' ? 10 * NM_PER_MM : NM_PER_INCH
  const rodLeft = frame.toX(0) - HEIGHT_ROD_WIDTH - 18

  const { layout } = plan
  const rodMarks = scene.nodes.filter((node) => node.kind === 'rodMark')
  const heights = scene.nodes.filter((node) => node.kind === 'height')
  const flagged = useMemo(() => (findings ? flaggedIn(plan) : NONE), [findings, plan])
  const problem = Object.values(unread)[0]
  const blocking =
    layout.spacingIssue === null
      ? undefined
      : plan.findings.find(({ severity, stage }) => severity === 'wrong' && stage === 'layout')
  const pick = useCallback((id: string) => select(id === selected ? null : id), [select, selected])

  return (
    <Stage ref={box} $height={height} $bare={!rods}>
      <svg
        viewBox={`0 0 ${size.width} ${size.height}`}
        role="group"
        aria-label={`Wall ${wallSizeText(survey, wording)}: ${layoutTitle(plan, wording)}`}
        opacity={problem ? 0.45 : 1}
        aria-describedby={described}
        data-width-in={toInches(survey.width)}
      >
        <desc id={described}>{description}</desc>
        <SceneView
          scene={scene}
          frame={frame}
          palette={palette}
          selected={selected}
          flagged={flagged}
          onPick={pick}
          behind={behind}
          deviation={deviation}
          flat={flat}
        />
        {ghost ? <GhostView scene={ghost} frame={frame} palette={palette} /> : null}
        {labels ? <StripLabels scene={scene} frame={frame} palette={palette} labels={labels} /> : null}
        {rods ? (
          <>
            <HeightRod
              frame={frame}
              palette={palette}
              wallHeight={survey.height}
              tick={tick}
              heights={heights}
              selected={selected}
              left={rodLeft}
              small={slim}
            />
            <LongRod
              frame={frame}
              palette={palette}
              wallWidth={survey.width}
              tick={tick}
              strips={rodMarks}
              selected={selected}
              top={frame.toY(0) + 28}
              caption={
                slim
                  ? `${EDGE_WORDS[edge]}s from the ${datum} corner`
                  : `${EDGE_WORDS[edge]} of each ${patternWords(layout).one}, tape hooked in the ${datum} corner`
              }
              more={drawingText.more}
              small={slim}
              onPick={pick}
            />
          </>
        ) : null}
        {handles ? (
          <>
            <HeightHandle frame={frame} x={rodLeft + HEIGHT_ROD_WIDTH / 2} />
            <GapHandle frame={frame} />
          </>
        ) : null}
        {over?.(frame)}
      </svg>
      {problem ? (
        <Stale role="status">
          This is the last wall that could be drawn. <Fractions text={problem.problem} />
        </Stale>
      ) : null}
      {blocking ? (
        <Pencil>
          <Fractions text={findingText(blocking.says, wording)} />
        </Pencil>
      ) : null}
    </Stage>
  )
}
