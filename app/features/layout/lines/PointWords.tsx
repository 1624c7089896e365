import { EditLengthWord } from '~/editor/EditLength'
import { inches, ZERO } from '~/length'
import { fieldCornerName, sideName } from '~/messages'
import { type Along, FIELD_CORNERS, FIELD_SIDES, LIMITS, type LinePoint, type Move } from '~/model'
import { Choice } from '~/ui/Choice'
import { CountWord } from '../CountWord'
import { useMoves } from './useMoves'

const LONGEST = inches(2400)

interface AlongProps {
  readonly label: string
  /** Names its fields, so that unreadable text finds its way back. */
  readonly field: string
  readonly along: Along
  readonly toMove: (along: Along) => Move
}

/** A place along a side or a strip: so far from an end, its middle, one of equal marks. */
export function AlongWords({ label, field, along, toMove }: AlongProps) {
  const { edit, put } = useMoves()
  const set = (next: Along) => edit(put(toMove(next)), 'done')
  const by = along.by === 'distance' ? along.from : along.by
  return (
    <>
      {along.by === 'distance' ? (
        <>
          <EditLengthWord
            field={`${field}.distance`}
            label={`${label}, how far`}
            value={along.distance}
            least={ZERO}
            most={LONGEST}
            toEdits={(distance) => put(toMove({ ...along, distance }))}
          />{' '}
        </>
      ) : null}
      {along.by === 'mark' ? (
        <>
          at mark{' '}
          <CountWord
            label={`${label}, which mark`}
            value={along.mark}
            least={1}
            onChange={(mark) => set({ ...along, mark: Math.min(mark, LIMITS.marksOnStrip) })}
          />{' '}
          of{' '}
          <CountWord
            label={`${label}, how many marks`}
            value={along.of}
            least={1}
            onChange={(of) => set({ ...along, of: Math.min(of, LIMITS.marksOnStrip) })}
          />{' '}
        </>
      ) : null}
      <Choice
        word
        label={`${label}, where along it`}
        value={by}
        options={[
          { id: 'start', text: 'from its left end, or its foot' },
          { id: 'end', text: 'from its other end' },
          { id: 'middle', text: 'at its middle' },
          { id: 'mark', text: 'equal marks' },
        ]}
        onChange={(next) => {
          if (next === 'middle') set({ by: 'middle' })
          else if (next === 'mark') set({ by: 'mark', mark: 1, of: 3 })
          else if (next === 'start' || next === 'end')
            set({
              by: 'distance',
              from: next,
              distance: along.by === 'distance' ? along.distance : inches(6),
            })
        }}
      />
    </>
  )
}

interface PointProps {
  readonly label: string
  readonly field: string
  readonly move: Move
  readonly point: LinePoint
  readonly toMove: (point: LinePoint) => Move
}

/** A place that a line starts from or goes to, by what it hangs on. */
export function PointWords({ label, field, move, point, toMove }: PointProps) {
  const { edit, put, refOptions, stripsBefore } = useMoves()
  const set = (next: LinePoint) => edit(put(toMove(next)), 'done')
  const strips = stripsBefore(move)
  const value = point.at === 'corner' ? point.corner : point.at === 'side' ? `side:${point.side}` : point.at
  return (
    <>
      <Choice
        word
        label={label}
        value={value}
        options={[
          ...FIELD_CORNERS.map((corner) => ({ id: corner, text: `the ${fieldCornerName(corner)}` })),
          ...FIELD_SIDES.map((side) => ({ id: `side:${side}`, text: `a place on the ${sideName(side)}` })),
          ...(strips.length > 0 || point.at === 'strip' ? [{ id: 'strip', text: 'a place on' }] : []),
          ...(strips.length > 1 || point.at === 'crossing'
            ? [{ id: 'crossing', text: 'the crossing of' }]
            : []),
          { id: 'middle', text: 'the middle of the field' },
          { id: 'free', text: 'a free place' },
        ]}
        onChange={(next) => {
          const corner = FIELD_CORNERS.find((each) => each === next)
          const side = FIELD_SIDES.find((each) => `side:${each}` === next)
          const [first, second] = strips
          if (corner) set({ at: 'corner', corner })
          else if (side) set({ at: 'side', side, along: { by: 'middle' } })
          else if (next === 'middle') set({ at: 'middle' })
          else if (next === 'free') set({ at: 'free', from: 'left', across: inches(12), up: inches(12) })
          else if (next === 'strip' && first)
            set({ at: 'strip', strip: first.id, edge: 'center', along: { by: 'middle' } })
          else if (next === 'crossing' && first && second) set({ at: 'crossing', of: [first.id, second.id] })
        }}
      />
      {point.at === 'side' ? (
        <>
          {', '}
          <AlongWords
            label={label}
            field={field}
            along={point.along}
            toMove={(along) => toMove({ ...point, along })}
          />
        </>
      ) : null}
      {point.at === 'strip' ? (
        <>
          {' '}
          <Choice
            word
            label={`${label}, which strip`}
            value={point.strip}
            options={refOptions(move, point.strip, false)}
            onChange={(strip) => set({ ...point, strip })}
          />
          ,{' '}
          <Choice
            word
            label={`${label}, on its center or an edge`}
            value={point.edge}
            options={[
              { id: 'center', text: 'its center line' },
              { id: 'left', text: 'its left edge', hint: 'seen along it, from its start' },
              { id: 'right', text: 'its right edge', hint: 'seen along it, from its start' },
            ]}
            onChange={(edge) => set({ ...point, edge })}
          />
          ,{' '}
          <AlongWords
            label={label}
            field={field}
            along={point.along}
            toMove={(along) => toMove({ ...point, along })}
          />
        </>
      ) : null}
      {point.at === 'crossing'
        ? ([0, 1] as const).map((i) => (
            <span key={i}>
              {i === 1 ? ' and ' : ' '}
              <Choice
                word
                label={`${label}, strip ${i + 1} of the crossing`}
                value={point.of[i]}
                options={refOptions(move, point.of[i], false)}
                onChange={(strip) =>
                  set({ ...point, of: i === 0 ? [strip, point.of[1]] : [point.of[0], strip] })
                }
              />
            </span>
          ))
        : null}
      {point.at === 'free' ? (
        <>
          {' '}
          <EditLengthWord
            field={`${field}.across`}
            label={`${label}, across`}
            value={point.across}
            least={inches(-480)}
            most={LONGEST}
            toEdits={(across) => put(toMove({ ...point, across }))}
          />{' '}
          <Choice
            word
            label={`${label}, from which side`}
            value={point.from}
            options={[
              { id: 'left', text: 'from the left side' },
              { id: 'right', text: 'from the right side' },
            ]}
            onChange={(from) => set({ ...point, from })}
          />
          ,{' '}
          <EditLengthWord
            field={`${field}.up`}
            label={`${label}, up from the foot`}
            value={point.up}
            least={inches(-480)}
            most={LONGEST}
            toEdits={(up) => put(toMove({ ...point, up }))}
          />{' '}
          up
        </>
      ) : null}
    </>
  )
}
