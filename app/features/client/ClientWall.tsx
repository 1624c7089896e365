import { styled } from 'styled-components'
import { inPickedColors } from '~/core/agree/clientWord'
import { optionFigures } from '~/core/agree/optionFigures'
import { colorsOf } from '~/core/agree/wallColors'
import { computePlan } from '~/core/computePlan'
import { stripNames } from '~/core/layout/stripNames'
import { buildScene } from '~/core/scene/buildScene'
import { fitFrame } from '~/drawing/view/frame'
import { paintedPalette } from '~/drawing/view/painted'
import { SceneView } from '~/drawing/view/SceneView'
import {
  figureText,
  layoutTitle,
  money,
  pageText,
  say,
  sayWithUnit,
  thingNames,
  USE_NAMES,
  type Wording,
  wallSizeText,
} from '~/messages'
import { inForce, LIMITS, PAINT_USES, type Workpiece } from '~/model'
import { Fractions } from '~/ui/Fractions'
import { Field, Part, PLAIN, PLAIN_PALETTE, Press, Quiet } from './clientLook'
import type { ClientView, ClientWallView } from './clientView'

const Option = styled.article<{ $picked: boolean }>`
  display: grid;
  gap: 10px;
  padding: 14px;
  border: 2px solid ${({ $picked }) => ($picked ? PLAIN.chalk : PLAIN.line)};
  border-radius: 8px;
  background: ${PLAIN.raised};
  & svg,
  & img {
    display: block;
    width: 100%;
    height: auto;
  }
`
const Radios = styled.fieldset`
  display: grid;
  gap: 4px;
  & legend {
    font-weight: 650;
    font-size: 19px;
  }
  & label {
    display: flex;
    gap: 12px;
    align-items: center;
    min-height: 48px;
  }
  & input {
    width: 24px;
    height: 24px;
  }
`
const Form = styled.form`
  display: grid;
  gap: 14px;
`
const Swatch = styled.span`
  display: inline-block;
  width: 1.1em;
  height: 1.1em;
  vertical-align: -0.15em;
  border: 1px solid ${PLAIN.edge};
  border-radius: 3px;
`
const NOTHING: ReadonlySet<string> = new Set()
const WIDE = 800

function wordingFor({ wall, settings }: Workpiece, plan: ReturnType<typeof computePlan>): Wording {
  const { units, tape, materials, currency } = settings
  return {
    format: { units, tape },
    materials,
    currency,
    strips: stripNames(plan.layout),
    things: thingNames(wall.survey.things),
  }
}

function Drawn({
  wall,
  option,
  view,
}: {
  wall: ClientWallView
  option: ClientWallView['options'][number]
  view: ClientView
}) {
  const { page } = view
  const { settings, link, signed } = page
  const parts = new Set(link.body.parts)
  const pick = page.picks[wall.id] ?? { option: null, colors: {} }
  const design = signed ? option.design : inPickedColors(option.design, pick, settings)
  const workpiece: Workpiece = { wall: { survey: wall.survey, design }, settings, beside: option.beside }
  const plan = computePlan(workpiece)
  const w = wordingFor(workpiece, plan)
  const scene = buildScene(plan, wall.survey)
  const colors = colorsOf(inForce(design), settings)
  const scale = (WIDE - 16) / Math.max(1, scene.width)
  const height = Math.ceil(scene.height * scale) + 16
  const frame = fitFrame({ width: WIDE, height }, scene, { left: 8, right: 8, top: 8, bottom: 8 })
  const figures = parts.has('price') || parts.has('hours') ? optionFigures(workpiece, plan) : null
  const signedPrice = signed?.body.walls.find(({ wallId }) => wallId === wall.id)?.price
  const price = signed ? signedPrice : figures?.cost?.whole ? figures.cost.sum : null
  const title = layoutTitle(plan, w)
  const above = scene.nodes.some(({ kind }) => kind === 'above')
  const marks = page.remarks.filter(
    (each) => each.wall === wall.id && each.at && (each.option ?? option.id) === option.id,
  )
  return (
    <Option $picked={pick.option === option.id} data-option={option.name}>
      <h3>
        {option.name}
        {pick.option === option.id ? <small> ({pageText.picked})</small> : null}
      </h3>
      <p>
        <Fractions text={title} />
      </p>
      {wall.photo !== null ? (
        <img
          src={`/c/${link.token}/photo/${wall.photo.id}?option=${option.id}`}
          alt={pageText.photo(wall.name, option.name)}
          width={wall.photo.width}
          height={wall.photo.height}
          loading="lazy"
        />
      ) : null}
      <svg
        viewBox={`0 0 ${WIDE} ${height}`}
        width={WIDE}
        height={height}
        role="img"
        aria-label={pageText.drawing(wall.name, option.name, title)}
        data-place={wall.id}
        data-place-option={option.id}
        data-scale={frame.scale}
        data-x0={frame.toX(0)}
        data-y0={frame.toY(0)}
      >
        <SceneView
          scene={scene}
          frame={frame}
          palette={paintedPalette(PLAIN_PALETTE, colors)}
          selected={null}
          flagged={NOTHING}
        />
        {marks.map(({ id, at }, i) =>
          at ? (
            <g key={id}>
              <circle cx={frame.toX(at.x)} cy={frame.toY(at.y)} r={11} fill={PLAIN.red} />
              <text
                x={frame.toX(at.x)}
                y={frame.toY(at.y) + 5}
                textAnchor="middle"
                fontSize={14}
                fontWeight={700}
                fill="#fff"
              >
                {i + 1}
              </text>
            </g>
          ) : null,
        )}
      </svg>
      {parts.has('colors') ? (
        <ul>
          {PAINT_USES.map((use) => {
            const paint = use === 'above' && !above ? null : colors[use]
            return paint ? (
              <li key={use}>
                <Swatch style={{ background: paint.hex }} aria-hidden /> {USE_NAMES[use]}: {paint.name}
                {paint.code === '' ? '' : ` ${paint.code}`}
                {parts.has('notes') && paint.note !== '' ? ` (${paint.note})` : ''}
              </li>
            ) : null
          })}
        </ul>
      ) : null}
      {parts.has('price') ? (
        <p>
          {typeof price === 'number' ? pageText.price(money(price, settings.currency)) : pageText.noPrice}
        </p>
      ) : null}
      {parts.has('hours') && figures ? (
        <p>{pageText.hours(figureText('hours', figures, w), figureText('days', figures, w))}</p>
      ) : null}
    </Option>
  )
}

function ChooseForm({ wall, view }: { wall: ClientWallView; view: ClientView }) {
  const { settings, picks, link } = view.page
  const pick = picks[wall.id] ?? { option: null, colors: {} }
  const offered = PAINT_USES.map((use) => ({
    use,
    paints: settings.paints.filter((paint) => paint.use === use && paint.state === 'listed'),
  })).filter(({ paints }) => paints.length > 0)
  const withColors = link.body.parts.includes('colors') && offered.length > 0
  if (wall.options.length < 2 && !withColors) return null
  return (
    <Form method="post" action={`/c/${link.token}`}>
      <input type="hidden" name="intent" value="choose" />
      <input type="hidden" name="wall" value={wall.id} />
      <Radios>
        <legend>{pageText.pick(wall.name)}</legend>
        {wall.options.map(({ id, name }) => (
          <label key={id}>
            <input type="radio" name="option" value={id} defaultChecked={pick.option === id} /> {name}
          </label>
        ))}
      </Radios>
      {withColors
        ? offered.map(({ use, paints }) => (
            <Field key={use}>
              {pageText.color(USE_NAMES[use].toLowerCase())}
              <select name={`color-${use}`} defaultValue={pick.colors[use] ?? ''}>
                <option value="">{pageText.asShown}</option>
                {paints.map(({ id, name, code }) => (
                  <option key={id} value={id}>
                    {name} {code}
                  </option>
                ))}
              </select>
            </Field>
          ))
        : null}
      <Press type="submit">{pageText.keep}</Press>
    </Form>
  )
}

/** One wall: its options drawn, the choice, the remarks. */
export function ClientWall({ wall, view }: { readonly wall: ClientWallView; readonly view: ClientView }) {
  const { settings, remarks, link, signed } = view.page
  const w: Wording = { format: { units: settings.units, tape: settings.tape }, materials: settings.materials }
  const own = remarks.filter((each) => each.wall === wall.id)
  return (
    <Part aria-label={wall.name}>
      <h2>{wall.name}</h2>
      <Quiet>
        <Fractions text={wallSizeText(wall.survey, w)} />
      </Quiet>
      {wall.options.map((option) => (
        <Drawn key={option.id} wall={wall} option={option} view={view} />
      ))}
      {signed ? null : <ChooseForm wall={wall} view={view} />}
      {own.length > 0 ? (
        <>
          <h3>{pageText.yours}</h3>
          <ol>
            {own.map(({ id, text, at, answer }) => (
              <li key={id}>
                {text}
                {at ? ` (${pageText.remarkAt(`${say(at.x, w)}, ${sayWithUnit(at.y, w)}`)})` : ''}:{' '}
                <em>{answer === null ? pageText.waits : pageText.answered(answer)}</em>
              </li>
            ))}
          </ol>
        </>
      ) : null}
      {signed ? null : (
        <Form method="post" action={`/c/${link.token}`} data-remark={wall.id}>
          <h3>{pageText.remarkOn(wall.name)}</h3>
          <input type="hidden" name="intent" value="remark" />
          <input type="hidden" name="wall" value={wall.id} />
          <input type="hidden" name="option" defaultValue="" />
          <input type="hidden" name="x" defaultValue="" />
          <input type="hidden" name="y" defaultValue="" />
          <Field>
            {pageText.remarkText}
            <textarea
              name="text"
              rows={2}
              maxLength={LIMITS.note}
              defaultValue={view.typed.wall === wall.id ? view.typed.remark : ''}
            />
          </Field>
          <Quiet data-where="">{pageText.remarkHint}</Quiet>
          <Press type="submit">{pageText.send}</Press>
        </Form>
      )}
    </Part>
  )
}
