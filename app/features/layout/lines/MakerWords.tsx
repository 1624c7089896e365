import { inches } from '~/length'
import { fieldCornerName, sideName } from '~/messages'
import { FIELD_CORNERS, FIELD_SIDES, type Move, type MoveOf } from '~/model'
import { Choice } from '~/ui/Choice'
import { CountWord } from '../CountWord'
import { DegWord } from '~/ui/DegWord'
import { LengthOf } from './LengthOf'
import { useMoves } from './useMoves'

/** Over the whole field, or bay by bay. */
function WhereWords({ move }: { move: Extract<Move, { where: unknown }> }) {
  const { edit, put } = useMoves()
  return (
    <Choice
      word
      label="Where"
      value={move.where}
      options={[
        { id: 'field', text: 'over the whole field' },
        { id: 'bays', text: 'in each bay by itself' },
      ]}
      onChange={(where) => edit(put({ ...move, where }), 'done')}
    />
  )
}

const STARTS = [
  { id: 'center', text: 'one’s center line in the corner' },
  { id: 'edge', text: 'one’s edge in the corner' },
  { id: 'half', text: 'the corner half way between two' },
] as const

export function DiagonalWords({ move }: { move: MoveOf<'diagonals' | 'lattice'> }) {
  const { edit, put } = useMoves()
  const isLattice = move.kind === 'lattice'
  return (
    <>
      {isLattice ? 'Both ways at ' : 'At '}
      <DegWord
        label="Angle from level"
        value={move.deg}
        least={isLattice ? 1 : -360}
        most={isLattice ? 89 : 360}
        onChange={(deg) => edit(put({ ...move, deg }), 'done')}
      />
      ,{' '}
      <LengthOf
        move={move}
        name="clear"
        label="Clear between, square to the strip"
        value={move.clear}
        toMove={(clear) => ({ ...move, clear })}
      />{' '}
      clear,{' '}
      <Choice
        word
        label="How they start in the corner"
        value={move.start}
        options={STARTS}
        onChange={(start) => edit(put({ ...move, start }), 'done')}
      />
      , <WhereWords move={move} />
    </>
  )
}

const CORNER_SETS = [
  ...FIELD_CORNERS.map((corner) => ({
    id: corner as string,
    text: `in the ${fieldCornerName(corner)}`,
    corners: [corner],
  })),
  {
    id: 'falling',
    text: 'in two corners, top left and bottom right',
    corners: ['topLeft', 'bottomRight'] as const,
  },
  {
    id: 'rising',
    text: 'in two corners, bottom left and top right',
    corners: ['bottomLeft', 'topRight'] as const,
  },
  { id: 'all', text: 'in all four corners', corners: FIELD_CORNERS },
]

export function CornerWords({ move }: { move: MoveOf<'corners'> }) {
  const { edit, put } = useMoves()
  const key = (corners: readonly string[]) => [...corners].sort().join()
  const now = CORNER_SETS.find(({ corners }) => key(corners) === key(move.corners))
  return (
    <>
      <CountWord
        label="How many nested"
        value={move.count}
        least={1}
        onChange={(count) => edit(put({ ...move, count: Math.min(count, 200) }), 'done')}
      />{' '}
      nested right angles{' '}
      <Choice
        word
        label="In which corners"
        value={now?.id ?? 'these'}
        {...(now ? {} : { shown: move.corners.map((corner) => `the ${fieldCornerName(corner)}`).join(', ') })}
        options={CORNER_SETS.map(({ id, text }) => ({ id, text }))}
        onChange={(id) => {
          const found = CORNER_SETS.find((each) => each.id === id)
          if (found) edit(put({ ...move, corners: [...found.corners] }), 'done')
        }}
      />
      , the first{' '}
      <LengthOf
        move={move}
        name="first"
        label="The first, off the sides"
        value={move.first}
        toMove={(first) => ({ ...move, first })}
      />{' '}
      off the sides,{' '}
      <LengthOf
        move={move}
        name="clear"
        label="Clear between"
        value={move.clear}
        toMove={(clear) => ({ ...move, clear })}
      />{' '}
      clear, <WhereWords move={move} />
    </>
  )
}

export function DiamondWords({ move }: { move: MoveOf<'diamonds'> }) {
  const { edit, put } = useMoves()
  return (
    <>
      On the middles of the sides, mitered,{' '}
      <Choice
        word
        label="How many diamonds"
        value={move.count === null ? 'all' : 'some'}
        options={[
          { id: 'all', text: 'as many as have room' },
          { id: 'some', text: 'so many:' },
        ]}
        onChange={(how) => edit(put({ ...move, count: how === 'all' ? null : 2 }), 'done')}
      />
      {move.count === null ? null : (
        <>
          {' '}
          <CountWord
            label="Diamonds in one another"
            value={move.count}
            least={1}
            onChange={(count) => edit(put({ ...move, count: Math.min(count, 200) }), 'done')}
          />
        </>
      )}
      , one in another{' '}
      <LengthOf
        move={move}
        name="clear"
        label="Clear between diamonds, square"
        value={move.clear}
        toMove={(clear) => ({ ...move, clear })}
      />{' '}
      clear, <WhereWords move={move} />
    </>
  )
}

export function HerringboneWords({ move }: { move: MoveOf<'herringbone'> }) {
  const { edit, put } = useMoves()
  return (
    <>
      Pieces{' '}
      <LengthOf
        move={move}
        name="length"
        label="Length of a piece"
        value={move.length}
        least={inches(1)}
        toMove={(length) => ({ ...move, length })}
      />{' '}
      long,{' '}
      <LengthOf
        move={move}
        name="clear"
        label="Clear all round"
        value={move.clear}
        toMove={(clear) => ({ ...move, clear })}
      />{' '}
      clear all round, turned{' '}
      <DegWord
        label="Turned by"
        value={move.deg}
        least={0}
        most={89}
        onChange={(deg) => edit(put({ ...move, deg }), 'done')}
      />
      , <WhereWords move={move} />
    </>
  )
}

export function SunburstWords({ move }: { move: MoveOf<'sunburst'> }) {
  const { edit, put } = useMoves()
  return (
    <>
      <CountWord
        label="How many rays"
        value={move.rays}
        least={1}
        onChange={(rays) => edit(put({ ...move, rays: Math.min(90, rays) }), 'done')}
      />{' '}
      rays at equal angles from the middle of the{' '}
      <Choice
        word
        label="From which side"
        value={move.side}
        options={FIELD_SIDES.map((side) => ({ id: side, text: sideName(side) }))}
        onChange={(side) => edit(put({ ...move, side }), 'done')}
      />
      , their ends{' '}
      <LengthOf
        move={move}
        name="inner"
        label="How far their ends stay off"
        value={move.inner}
        toMove={(inner) => ({ ...move, inner })}
      />{' '}
      off it, <WhereWords move={move} />
    </>
  )
}
