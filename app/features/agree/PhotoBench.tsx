import { useCallback, useDeferredValue, useMemo, useRef, useState } from 'react'
import { styled } from 'styled-components'
import { colorsOf } from '~/core/agree/wallColors'
import { measureOnPhoto, photoMap } from '~/core/photo/photoMap'
import { knownPlaces, photoScene } from '~/core/photo/photoScene'
import { SpotHandle } from '~/drawing/interaction/SpotHandle'
import { useSize } from '~/drawing/interaction/useSize'
import { PhotoPlan } from '~/drawing/view/PhotoPlan'
import { useWallEditor } from '~/editor/WallEditor'
import { photoDistanceText, photoFaultText, photoText, placeName } from '~/messages'
import { freshPaint, inForce, type Spot, type WallPhoto } from '~/model'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Alert, Row } from '~/ui/page'
import { Beside, Picture } from './Beside'
import { PhotoPanel } from './PhotoPanel'
import { colorAt, savePng } from './photoFile'
import { usePhoto } from './usePhoto'

const Photograph = styled(Picture)`
  & svg {
    display: block;
    width: 100%;
    max-height: 66vh;
    border-radius: 6px;
    user-select: none;
  }
  & input[type='range'] {
    flex: 1 1 200px;
    min-height: 48px;
    accent-color: var(--chalk);
  }
`
const POINT = '#ffd23f'
const CUT = '#ff6b57'
const TOOL = '#62d0ff'
const FIRST_SIZE = { width: 860, height: 560 }

/** One photograph at work: its points, the plan over it, what is cut out of it and read off it. */
export function PhotoBench({ photo, url }: { readonly photo: WallPhoto; readonly url: string }) {
  const { plan, workpiece, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const { marks, change, seen } = usePhoto(photo, plan, survey)
  const { width, height } = photo
  const drawing = useRef<SVGSVGElement>(null)
  const box = useRef<HTMLDivElement>(null)
  const size = useSize(box, FIRST_SIZE)
  const unit = width / Math.max(120, size.width)
  const [shown, setShown] = useState(100)
  const [measuring, setMeasuring] = useState<readonly [Spot, Spot] | null>(null)
  const [taking, setTaking] = useState<Spot | null>(null)
  /** The corners of what is cut out are at hand while it is worked on. */
  const [cutting, setCutting] = useState(false)
  const colors = useMemo(() => colorsOf(inForce(workpiece.wall.design), workpiece.settings), [workpiece])
  const found = useMemo(() => photoMap(seen), [seen.points, seen.lens, width, height]) // eslint-disable-line react-hooks/exhaustive-deps -- the four parts of `seen`
  const nodes = useMemo(
    () => (typeof found === 'string' ? [] : photoScene(plan, survey, found, marks.lightDeg)),
    [plan, survey, found, marks.lightDeg],
  )
  const cutOuts = useMemo(
    () => marks.cutOuts.map(({ corners }) => corners.map(({ x, y }) => ({ x: x * width, y: y * height }))),
    [marks.cutOuts, width, height],
  )
  const places = useMemo(() => knownPlaces(plan, survey), [plan, survey])
  const nameOf = useCallback(
    (wall: { x: number; y: number }) => {
      const place = places.find(({ at }) => Math.hypot(at.x - wall.x, at.y - wall.y) < 2)
      return place ? placeName(place, wording) : photoText.own
    },
    [places, wording],
  )
  // while a point is pulled the picture follows the hand, and what is said of it when there is time
  const [saidMarks, saidFound] = [useDeferredValue(marks), useDeferredValue(found)]
  const inParts = (by: { x: number; y: number }) => ({ x: by.x / width, y: by.y / height })
  const kept = (value: number) => Math.min(1.9, Math.max(-0.9, value))
  const moved = ({ x, y }: Spot, by: { x: number; y: number }): Spot => {
    const part = inParts(by)
    return { x: kept(x + part.x), y: kept(y + part.y) }
  }
  const pixel = ({ x, y }: Spot) => ({ x: x * width, y: y * height })
  const read = measuring ? measureOnPhoto(seen, pixel(measuring[0]), pixel(measuring[1])) : null
  const addTaken = async () => {
    if (!taking) return
    const hex = await colorAt(url, taking)
    if (!hex) return
    const { paints } = workpiece.settings
    const id = `photo-${Date.now().toString(36)}`
    const name = `${photoText.taken} ${paints.length + 1}`
    const fresh = freshPaint({ id, name, hex, use: 'field' })
    edit([{ type: 'patchSettings', patch: { paints: [...paints, fresh] } }], 'done')
    setTaking(null)
  }
  return (
    <Beside $panel="340px">
      <Photograph ref={box}>
        <svg
          ref={drawing}
          viewBox={`0 0 ${width} ${height}`}
          role="group"
          aria-label={photoText.alt(photo.name)}
          data-photo={typeof found === 'string' ? found : 'mapped'}
        >
          <image href={url} width={width} height={height} data-photograph="" />
          <PhotoPlan
            nodes={nodes}
            colors={colors}
            cutOuts={cutOuts}
            width={width}
            height={height}
            name={`plan-${photo.id}`}
            shown={shown / 100}
          />
          <g data-handles="">
            {(cutting ? marks.cutOuts : []).flatMap(({ id, name, corners }) => [
              <polygon
                key={id}
                points={corners.map(({ x, y }) => `${x * width},${y * height}`).join(' ')}
                fill="none"
                stroke={CUT}
                strokeWidth={1.5 * unit}
                strokeDasharray={`${6 * unit} ${4 * unit}`}
                pointerEvents="none"
              />,
              ...corners.map((corner, i) => (
                <SpotHandle
                  key={`${id}-${i}`}
                  label={photoText.cutOut(name, i + 1)}
                  name=""
                  {...pixel(corner)}
                  unit={unit}
                  color={CUT}
                  isSquare
                  onMove={(by) =>
                    change((before) => ({
                      ...before,
                      cutOuts: before.cutOuts.map((each) =>
                        each.id === id
                          ? { ...each, corners: each.corners.map((c, k) => (k === i ? moved(c, by) : c)) }
                          : each,
                      ),
                    }))
                  }
                />
              )),
            ])}
            {marks.points.map(({ id, at, wall }, i) => (
              <SpotHandle
                key={id}
                label={photoText.point(i + 1, nameOf(wall))}
                name={String(i + 1)}
                {...pixel(at)}
                unit={unit}
                color={POINT}
                onMove={(by) =>
                  change((before) => ({
                    ...before,
                    points: before.points.map((each) =>
                      each.id === id ? { ...each, at: moved(each.at, by) } : each,
                    ),
                  }))
                }
              />
            ))}
            {measuring ? (
              <line
                x1={pixel(measuring[0]).x}
                y1={pixel(measuring[0]).y}
                x2={pixel(measuring[1]).x}
                y2={pixel(measuring[1]).y}
                stroke={TOOL}
                strokeWidth={2 * unit}
              />
            ) : null}
            {(measuring ?? []).map((spot, i) => (
              <SpotHandle
                key={`measure-${i}`}
                label={photoText.measureEnd('AB'[i] ?? '')}
                name={'AB'[i] ?? ''}
                {...pixel(spot)}
                unit={unit}
                color={TOOL}
                onMove={(by) =>
                  setMeasuring(
                    (before) =>
                      before && [
                        i === 0 ? moved(before[0], by) : before[0],
                        i === 1 ? moved(before[1], by) : before[1],
                      ],
                  )
                }
              />
            ))}
            {taking ? (
              <SpotHandle
                label={photoText.colorSpot}
                name="●"
                {...pixel(taking)}
                unit={unit}
                color={TOOL}
                onMove={(by) => setTaking((before) => before && moved(before, by))}
              />
            ) : null}
          </g>
        </svg>
        <Row>
          <label htmlFor="photo-shown">{photoText.compare}</label>
          <input
            id="photo-shown"
            type="range"
            min={0}
            max={100}
            value={shown}
            aria-valuetext={photoText.comparePart(shown)}
            onChange={(event) => setShown(Number(event.target.value))}
          />
        </Row>
        {typeof found === 'string' ? <Alert role="alert">{photoFaultText(found)}</Alert> : null}
        {read ? (
          <p role="status" data-measured="">
            <Fractions text={photoText.measured(photoDistanceText(read, wording))} />
          </p>
        ) : null}
        <Row>
          <Button
            aria-pressed={measuring !== null}
            onPress={() =>
              setMeasuring(
                measuring
                  ? null
                  : [
                      { x: 0.4, y: 0.5 },
                      { x: 0.6, y: 0.5 },
                    ],
              )
            }
          >
            {photoText.measure}
          </Button>
          <Button
            aria-pressed={taking !== null}
            onPress={() => setTaking(taking ? null : { x: 0.5, y: 0.3 })}
          >
            {photoText.takeColor}
          </Button>
          {taking ? <Button onPress={() => void addTaken()}>{photoText.addColor}</Button> : null}
          <Button onPress={() => void savePng(drawing.current, url, photo)}>{photoText.save}</Button>
        </Row>
      </Photograph>
      <PhotoPanel
        marks={saidMarks}
        change={change}
        found={saidFound}
        places={places}
        nameOf={nameOf}
        onCutting={setCutting}
      />
    </Beside>
  )
}
