import { Trash2 } from 'lucide-react'
import { memo } from 'react'
import { styled } from 'styled-components'
import type { PhotoFault, PhotoMap } from '~/core/photo/photoMap'
import { LENS_NEEDS } from '~/core/photo/lens'
import type { KnownPlace } from '~/core/photo/photoScene'
import { newToken } from '~/editor/saving/browserSaver'
import { useWallEditor } from '~/editor/WallEditor'
import { nanometers } from '~/length'
import { photoText, placeName, whyNot } from '~/messages'
import { LIMITS, type PhotoMarks } from '~/model'
import { AddButton } from '~/ui/AddButton'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { CommitLength } from '~/ui/CommitLength'
import { CommitText } from '~/ui/CommitText'
import { Fold } from '~/ui/Fold'
import { Row, Soft } from '~/ui/page'
import { space } from '~/ui/theme'

const Panel = styled.div`
  display: grid;
  gap: ${space.m};
`
const Line = styled.li`
  display: grid;
  grid-template-columns: 1.6em minmax(0, 1fr) auto;
  align-items: center;
  gap: 0 ${space.s};
  min-height: 44px;
  & small {
    color: var(--ink-soft);
  }
`
const LIGHTS = { right: 0, upRight: 45, up: 90, upLeft: 135, left: 180 } as const
type LightName = keyof typeof LIGHTS | 'none'

export interface PhotoPanelProps {
  readonly marks: PhotoMarks
  readonly change: (next: (before: PhotoMarks) => PhotoMarks) => void
  readonly found: PhotoMap | PhotoFault
  readonly places: readonly KnownPlace[]
  readonly nameOf: (wall: { x: number; y: number }) => string
  readonly onCutting: (cutting: boolean) => void
}

/** The points of a photograph by name, its light, and what is cut out of it. */
export const PhotoPanel = memo(function PhotoPanel({
  marks,
  change,
  found,
  places,
  nameOf,
  onCutting,
}: PhotoPanelProps) {
  const { wording } = useWallEditor()
  const light = (Object.keys(LIGHTS) as (keyof typeof LIGHTS)[]).find(
    (name) => LIGHTS[name] === marks.lightDeg,
  )
  const free = places.filter(({ at }) =>
    marks.points.every(({ wall }) => Math.hypot(wall.x - at.x, wall.y - at.y) > 2),
  )
  const addPoint = (wall: { x: number; y: number }) =>
    change((before) => ({
      ...before,
      points: [
        ...before.points,
        {
          id: newToken().slice(0, 12),
          at: { x: 0.5, y: 0.5 },
          wall: { x: Math.round(wall.x), y: Math.round(wall.y) },
        },
      ],
    }))
  const several = marks.points.length > 4
  return (
    <Panel>
      <Choice<LightName>
        label={photoText.light}
        value={marks.lightDeg === null ? 'none' : (light ?? 'upLeft')}
        options={(['none', 'left', 'upLeft', 'up', 'upRight', 'right'] as const).map((id) => ({
          id,
          text: photoText.lights[id],
        }))}
        onChange={(name) =>
          change((before) => ({ ...before, lightDeg: name === 'none' ? null : LIGHTS[name] }))
        }
      />
      <section aria-label={photoText.points}>
        <h2>{photoText.points}</h2>
        <Soft>{photoText.pointsHelp}</Soft>
        <ol>
          {marks.points.map(({ id, wall }, i) => (
            <Line key={id} data-point={i + 1}>
              <b>{i + 1}</b>
              <span>
                {nameOf(wall)}{' '}
                {several && typeof found !== 'string' ? (
                  <small data-miss="">{photoText.miss(found.misses[i] ?? 0)}</small>
                ) : null}
              </span>
              <Button
                $kind="quiet"
                aria-label={photoText.takeOff(i + 1)}
                onPress={() =>
                  change((before) => ({ ...before, points: before.points.filter((each) => each.id !== id) }))
                }
              >
                <Trash2 size={18} aria-hidden />
              </Button>
            </Line>
          ))}
        </ol>
        {marks.points.length < LIMITS.photoPoints ? (
          <Choice
            label={photoText.addPoint}
            value=""
            shown={photoText.pickPlace}
            options={[
              ...free.map((place, i) => ({ id: String(i), text: placeName(place, wording) })),
              { id: 'own', text: photoText.own },
            ]}
            onChange={(id) =>
              addPoint(id === 'own' ? { x: 0, y: 0 } : (free[Number(id)]?.at ?? { x: 0, y: 0 }))
            }
          />
        ) : null}
        {marks.points
          .filter(({ wall }) => nameOf(wall) === photoText.own)
          .map(({ id, wall }) => (
            <Row key={id}>
              {(['x', 'y'] as const).map((axis) => (
                <CommitLength
                  key={axis}
                  label={`${marks.points.findIndex((each) => each.id === id) + 1}: ${axis === 'x' ? photoText.fromLeft : photoText.fromFloor}`}
                  value={nanometers(wall[axis])}
                  format={wording.format}
                  onDone={(value) =>
                    change((before) => ({
                      ...before,
                      points: before.points.map((each) =>
                        each.id === id ? { ...each, wall: { ...each.wall, [axis]: value } } : each,
                      ),
                    }))
                  }
                />
              ))}
            </Row>
          ))}
        <Button
          aria-pressed={marks.lens}
          isDisabled={marks.points.length < LENS_NEEDS}
          why={whyNot.points}
          onPress={() => change((before) => ({ ...before, lens: !before.lens }))}
        >
          {marks.lens ? '✓ ' : ''}
          {photoText.lens}
        </Button>
      </section>
      <Fold title={photoText.cutOuts} aside={String(marks.cutOuts.length)} onToggle={onCutting}>
        {marks.cutOuts.map(({ id, name }) => (
          <Row key={id} data-cut-out={name}>
            <CommitText
              label={photoText.thing}
              value={name}
              most={LIMITS.name}
              onDone={(next) =>
                change((before) => ({
                  ...before,
                  cutOuts: before.cutOuts.map((each) => (each.id === id ? { ...each, name: next } : each)),
                }))
              }
            />
            <Button
              aria-label={photoText.addCorner(name)}
              onPress={() =>
                change((before) => ({
                  ...before,
                  cutOuts: before.cutOuts.map((each) => {
                    const [a, b] = [each.corners.at(-1), each.corners[0]]
                    if (each.id !== id || !a || !b || each.corners.length >= LIMITS.cutOutCorners) return each
                    return { ...each, corners: [...each.corners, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }] }
                  }),
                }))
              }
            >
              +
            </Button>
            <Button
              $kind="quiet"
              aria-label={photoText.removeCutOut(name)}
              onPress={() =>
                change((before) => ({ ...before, cutOuts: before.cutOuts.filter((each) => each.id !== id) }))
              }
            >
              <Trash2 size={18} aria-hidden />
            </Button>
          </Row>
        ))}
        <AddButton
          what="cutOuts"
          has={marks.cutOuts.length}
          onPress={() =>
            change((before) => ({
              ...before,
              cutOuts: [
                ...before.cutOuts,
                {
                  id: newToken().slice(0, 12),
                  name: `${photoText.thing} ${before.cutOuts.length + 1}`,
                  corners: [
                    { x: 0.4, y: 0.7 },
                    { x: 0.6, y: 0.7 },
                    { x: 0.6, y: 0.95 },
                    { x: 0.4, y: 0.95 },
                  ],
                },
              ],
            }))
          }
        >
          {photoText.addCutOut}
        </AddButton>
      </Fold>
    </Panel>
  )
})
