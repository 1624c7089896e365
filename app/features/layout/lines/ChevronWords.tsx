import { inches } from '~/length'
import { LIMITS, type MoveOf } from '~/model'
import { Choice } from '~/ui/Choice'
import { CountWord } from '../CountWord'
import { DegWord } from '~/ui/DegWord'
import { LengthOf } from './LengthOf'
import { useMoves } from './useMoves'

export function ChevronWords({ move }: { move: MoveOf<'chevron'> }) {
  const { edit, put } = useMoves()
  const { slope } = move
  return (
    <>
      Between the uprights,{' '}
      <Choice
        word
        label="How the slope is given"
        value={slope.by}
        options={[
          { id: 'angle', text: 'at', hint: 'one angle: all slants alike in direction' },
          { id: 'rise', text: 'rising', hint: 'so much across each bay, measured edge to same edge' },
        ]}
        onChange={(by) =>
          edit(put({ ...move, slope: by === 'angle' ? { by, deg: 35 } : { by, rise: inches(18) } }), 'done')
        }
      />{' '}
      {slope.by === 'angle' ? (
        <DegWord
          label="Angle from level"
          value={slope.deg}
          least={1}
          most={89}
          onChange={(deg) => edit(put({ ...move, slope: { by: 'angle', deg } }), 'done')}
        />
      ) : (
        <>
          <LengthOf
            move={move}
            name="rise"
            label="Rise across a bay"
            value={slope.rise}
            least={inches(0.25)}
            toMove={(rise) => ({ ...move, slope: { by: 'rise', rise } })}
          />{' '}
          across a bay
        </>
      )}
      ,{' '}
      <LengthOf
        move={move}
        name="clear"
        label="Clear between bands, square"
        value={move.clear}
        toMove={(clear) => ({ ...move, clear })}
      />{' '}
      clear,{' '}
      <Choice
        word
        label="Hands"
        value={`${move.hand}:${move.first}`}
        options={[
          { id: 'alternating:up', text: 'alternating, the first bay rising' },
          { id: 'alternating:down', text: 'alternating, the first bay falling' },
          { id: 'same:up', text: 'all rising' },
          { id: 'same:down', text: 'all falling' },
        ]}
        onChange={(id) => {
          const [hand, first] = id.split(':')
          edit(
            put({
              ...move,
              hand: hand === 'same' ? 'same' : 'alternating',
              first: first === 'down' ? 'down' : 'up',
            }),
            'done',
          )
        }}
      />
      ,{' '}
      <Choice
        word
        label="How the first band starts"
        value={move.start}
        options={[
          { id: 'edge', text: 'the first starting in the corner' },
          { id: 'half', text: 'the first half a band up' },
        ]}
        onChange={(start) => edit(put({ ...move, start }), 'done')}
      />
      ,{' '}
      <Choice
        word
        label="How many bands"
        value={move.bands === null ? 'all' : 'some'}
        options={[
          { id: 'all', text: 'filling each bay' },
          { id: 'some', text: 'so many bands:' },
        ]}
        onChange={(how) => edit(put({ ...move, bands: how === 'all' ? null : 2 }), 'done')}
      />
      {move.bands === null ? null : (
        <>
          {' '}
          <CountWord
            label="Bands in a bay"
            value={move.bands}
            least={1}
            onChange={(bands) => edit(put({ ...move, bands: Math.min(bands, LIMITS.lines) }), 'done')}
          />
        </>
      )}
    </>
  )
}
