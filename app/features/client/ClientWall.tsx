import { styled } from 'styled-components'
import { fitFrame } from '~/drawing/view/frame'
import { paintedPalette } from '~/drawing/view/painted'
import { SceneView } from '~/drawing/view/SceneView'
import { pageText, say, sayWithUnit, USE_NAMES, wallSizeText } from '~/messages'
import { LIMITS } from '~/model'
import { Fractions } from '~/ui/Fractions'
import { ChangedBand, Field, Part, PLAIN, PLAIN_PALETTE, Press, Quiet } from './clientLook'
import type { ClientView, ClientWallView } from './clientView'
import { offeredPaints, optionKey, pageWording } from './shown'

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
const Asked = styled.div`
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

/** What changed of a part of the page since it was read. */
function Changed({ view, of }: { view: ClientView; of: (part: ClientView['changed'][number]) => boolean }) {
  const kinds = [...new Set(view.changed.filter(of).map(({ kind }) => kind))]
  return kinds.length === 0 ? null : (
    <ChangedBand data-changed={kinds.join(' ')}>{pageText.changedHere(kinds)}</ChangedBand>
  )
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
  const shown = view.shown.get(optionKey(wall.id, option.id))
  if (!shown) return null
  const { scene, title } = shown
  const pick = page.picks[wall.id] ?? { option: null, colors: {} }
  const scale = (WIDE - 16) / Math.max(1, scene.width)
  const height = Math.ceil(scene.height * scale) + 16
  const frame = fitFrame({ width: WIDE, height }, scene, { left: 8, right: 8, top: 8, bottom: 8 })
  const marks = page.remarks.filter(
    (each) => each.wall === wall.id && each.at && (each.option ?? option.id) === option.id,
  )
  return (
    <Option $picked={pick.option === option.id} data-option={shown.name}>
      <h3>
        {shown.name}
        {pick.option === option.id ? <small> ({pageText.picked})</small> : null}
      </h3>
      <Changed view={view} of={(part) => part.wall === wall.id && part.option === option.id} />
      <p>
        <Fractions text={title} />
      </p>
      {wall.photo !== null ? (
        <img
          src={view.photoUrl(wall.id, option.id, wall.photo.id)}
          alt={pageText.photo(wall.name, shown.name)}
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
        aria-label={pageText.drawing(wall.name, shown.name, title)}
        data-place={wall.id}
        data-place-option={option.id}
        data-scale={frame.scale}
        data-x0={frame.toX(0)}
        data-y0={frame.toY(0)}
      >
        <SceneView
          scene={scene}
          frame={frame}
          palette={paintedPalette(PLAIN_PALETTE, shown.palette)}
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
      {shown.colors.length > 0 ? (
        <ul>
          {shown.colors.map(({ use, hex, name }) => (
            <li key={use}>
              <Swatch style={{ background: hex }} aria-hidden /> {USE_NAMES[use]}: {name}
            </li>
          ))}
        </ul>
      ) : null}
      {shown.price === undefined ? null : (
        <p>{shown.price === null ? pageText.noPrice : pageText.price(shown.price)}</p>
      )}
      {shown.hours ? <p>{pageText.hours(shown.hours.hours, shown.hours.days)}</p> : null}
    </Option>
  )
}

function Choice({ wall, view }: { wall: ClientWallView; view: ClientView }) {
  const { page, typed } = view
  const pick = typed.ticks.get(wall.id) ?? page.picks[wall.id] ?? { option: null, colors: {} }
  const offered = offeredPaints(page)
  if (wall.options.length < 2 && offered.length === 0) return null
  return (
    <Asked data-answer="">
      <Radios>
        <legend>{pageText.pick(wall.name)}</legend>
        {wall.options.map(({ id, name }) => (
          <label key={id}>
            <input type="radio" name={`option-${wall.id}`} value={id} defaultChecked={pick.option === id} />{' '}
            {name}
          </label>
        ))}
      </Radios>
      {offered.map(({ use, paints }) => (
        <Field key={use}>
          {pageText.color(USE_NAMES[use].toLowerCase())}
          <select name={`color-${wall.id}-${use}`} defaultValue={pick.colors[use] ?? ''}>
            <option value="">{pageText.asShown}</option>
            {paints.map(({ id, name, code }) => (
              <option key={id} value={id}>
                {name} {code}
              </option>
            ))}
          </select>
        </Field>
      ))}
      <Press type="submit" name="do" value="keep">
        {pageText.keep}
      </Press>
    </Asked>
  )
}

function RemarkFields({ wall, view }: { wall: ClientWallView; view: ClientView }) {
  const { text, x, y, option } = view.typed.remarks.get(wall.id) ?? { text: '', x: '', y: '', option: '' }
  return (
    <Asked data-answer="" data-remark={wall.id}>
      <h3>{pageText.remarkOn(wall.name)}</h3>
      <input type="hidden" name={`remark-option-${wall.id}`} data-part="option" defaultValue={option} />
      <input type="hidden" name={`x-${wall.id}`} data-part="x" defaultValue={x} />
      <input type="hidden" name={`y-${wall.id}`} data-part="y" defaultValue={y} />
      <Field>
        {pageText.remarkText}
        <textarea name={`text-${wall.id}`} rows={2} maxLength={LIMITS.note} defaultValue={text} />
      </Field>
      <Quiet data-where="">{pageText.remarkHint}</Quiet>
      <Press type="submit" name="do" value={`remark-${wall.id}`}>
        {pageText.send}
      </Press>
    </Asked>
  )
}

/** One wall: its options drawn, the choice, the remarks. */
export function ClientWall({ wall, view }: { readonly wall: ClientWallView; readonly view: ClientView }) {
  const { settings, remarks, signed } = view.page
  const w = pageWording(settings)
  const own = remarks.filter((each) => each.wall === wall.id)
  return (
    <Part aria-label={wall.name}>
      <h2>{wall.name}</h2>
      <Quiet>
        <Fractions text={wallSizeText(wall.survey, w)} />
      </Quiet>
      <Changed view={view} of={(part) => part.wall === wall.id && part.option === null} />
      {wall.options.map((option) => (
        <Drawn key={option.id} wall={wall} option={option} view={view} />
      ))}
      {signed ? null : <Choice wall={wall} view={view} />}
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
      {signed ? null : <RemarkFields wall={wall} view={view} />}
    </Part>
  )
}
