import { useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { Check, CopyPlus, Archive } from 'lucide-react'
import { Link } from 'react-router'
import { colorsOf } from '~/core/agree/wallColors'
import type { OptionFigures } from '~/core/agree/optionFigures'
import { buildScene } from '~/core/scene/buildScene'
import { fitFrame } from '~/drawing/view/frame'
import { paintedPalette } from '~/drawing/view/painted'
import { SCREEN } from '~/drawing/view/palette'
import { SceneView } from '~/drawing/view/SceneView'
import { wordingOf } from '~/editor/planOf'
import { agreeText, choiceCostText, differenceText, figureText, layoutTitle } from '~/messages'
import { inForce, LIMITS, type OptionChange } from '~/model'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Alert, Row } from '~/ui/page'
import { Rename } from '~/ui/Rename'
import { narrow, space, type } from '~/ui/theme'
import type { ComparedOption } from './useOptions'

export const FIGURES = [
  'gap', 'pieces', 'joints', 'boards', 'cost', 'supplies', 'hours', 'days', 'setUps', 'plates', 'density', 'balance', 'wrong', 'risks',
] as const // prettier-ignore

/** A card takes its rows from the row of cards, so that the same figure lies on one line in all of them. */
const Card = styled.article<{ $lit: boolean }>`
  display: grid;
  grid-template-rows: subgrid;
  grid-row: span 5;
  gap: ${space.xs};
  padding: ${space.xs} ${space.m} ${space.m};
  background: var(--paper);
  border: 1px solid var(--line);
  border-top: 6px solid ${({ $lit }) => ($lit ? 'var(--chalk)' : 'var(--line)')};
  border-radius: 8px;
  ${narrow} {
    grid-row: auto;
    grid-template-rows: none;
  }
`
const Head = styled.div`
  display: flex;
  align-items: center;
  gap: ${space.xs};
  & h2 {
    font-size: ${type.lead};
  }
`
const Standing = styled.p`
  display: flex;
  align-items: center;
  gap: ${space.xs};
  min-height: 1.4em;
  color: var(--green);
  font-weight: 600;
`
const Drawing = styled(Link)`
  display: grid;
  align-items: end;
  justify-items: center;
  padding: ${space.s};
  border-radius: 6px;
  background: var(--plaster);
  & svg {
    max-width: 100%;
    height: auto;
  }
`
const Figures = styled.dl`
  display: grid;
  align-content: start;
  grid-template-columns: minmax(0, auto) minmax(0, 1fr);
  gap: 2px ${space.m};
  & dt {
    color: var(--ink-soft);
  }
  & dd {
    margin: 0;
    min-height: 1.5em;
    text-align: right;
    font-weight: 600;
    font-variant-numeric: tabular-nums;
  }
  & small {
    margin-left: ${space.s};
    padding: 0 ${space.xs};
    border-radius: 4px;
    background: var(--chalk-wash);
    color: var(--chalk);
    font-weight: 650;
  }
`
const NOTHING: ReadonlySet<string> = new Set()

export interface OptionCardProps {
  readonly option: ComparedOption
  readonly path: string
  /** Pixels per nanometer, the same for all. */
  readonly scale: number
  readonly chosen: OptionFigures | null
  readonly several: boolean
  readonly onCopy: () => void
  readonly onDo: (change: OptionChange) => void
}

function Drawn({ option, scale }: Pick<OptionCardProps, 'option' | 'scale'>) {
  const { workpiece, plan } = option
  const scene = useMemo(() => buildScene(plan, workpiece.wall.survey), [plan, workpiece])
  const palette = useMemo(
    () => paintedPalette(SCREEN, colorsOf(inForce(workpiece.wall.design), workpiece.settings)),
    [workpiece],
  )
  const [width, height] = [Math.ceil(scene.width * scale) + 8, Math.ceil(scene.height * scale) + 8]
  const frame = fitFrame({ width, height }, scene, { left: 4, right: 4, top: 4, bottom: 4 })
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      role="img"
      aria-label={layoutTitle(plan, wordingOf(workpiece))}
    >
      <SceneView scene={scene} frame={frame} palette={palette} selected={null} flagged={NOTHING} />
    </svg>
  )
}

/** One option: drawn, what it comes to, and what can be done with it. */
export function OptionCard({ option, path, scale, chosen, several, onCopy, onDo }: OptionCardProps) {
  const { name, figures, workpiece, plan, cost } = option
  const w = wordingOf(workpiece)
  const [asked, setAsked] = useState(false)
  const costly = cost !== null && cost.wasted > 0
  return (
    <Card aria-label={name} data-option={name} $lit={option.worked}>
      <Head>
        <h2>{name}</h2>
        <Rename
          what={name}
          name={name}
          most={LIMITS.name}
          onRename={(to) => onDo({ kind: 'rename', name: to })}
        />
      </Head>
      <Standing>
        {option.chosen ? (
          <>
            <Check size={18} aria-hidden /> {agreeText.chosen}
          </>
        ) : null}
        {option.worked && several ? <span style={{ color: 'var(--chalk)' }}>{agreeText.worked}</span> : null}
      </Standing>
      <Drawing to={`${path}/layout`} aria-label={agreeText.workOn(name)}>
        <Drawn option={option} scale={scale} />
        <Fractions text={layoutTitle(plan, w)} />
      </Drawing>
      <Figures data-figures={figures ? 'known' : 'working'}>
        {FIGURES.map((each) => {
          const differs = figures && chosen && !option.chosen ? differenceText(each, figures, chosen, w) : ''
          return (
            <div key={each} style={{ display: 'contents' }}>
              <dt>{agreeText.figures[each]}</dt>
              <dd data-figure={each}>
                <Fractions text={figures ? figureText(each, figures, w) : agreeText.working} />
                {differs === '' ? null : <small>{differs}</small>}
              </dd>
            </div>
          )
        })}
      </Figures>
      <div>
        <Row>
          {option.chosen ? null : (
            <Button
              $kind={asked ? 'plain' : 'main'}
              onPress={() => (costly && !asked ? setAsked(true) : onDo({ kind: 'choose' }))}
            >
              {asked ? agreeText.chooseAnyway : agreeText.choose(name)}
            </Button>
          )}
          <Button aria-label={agreeText.copyOf(name)} onPress={onCopy}>
            <CopyPlus size={18} aria-hidden /> {agreeText.copy}
          </Button>
          {option.chosen ? null : (
            <Button
              $kind="quiet"
              aria-label={agreeText.archive(name)}
              onPress={() => onDo({ kind: 'archive' })}
            >
              <Archive size={18} aria-hidden />
            </Button>
          )}
        </Row>
        {cost && (asked || !costly) ? (
          <Alert role="status">
            <Fractions text={choiceCostText(cost, w)} />
          </Alert>
        ) : null}
      </div>
    </Card>
  )
}
