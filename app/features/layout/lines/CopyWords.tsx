import { EditLengthWord } from '~/editor/EditLength'
import { inches, ZERO } from '~/length'
import { moveName } from '~/messages'
import { LIMITS, type MoveOf } from '~/model'
import { Choice } from '~/ui/Choice'
import { CountWord } from '../CountWord'
import { useMoves } from './useMoves'

/** The moves a copy may be of: those before it, and the one it names though it be gone. */
function useMoveOptions(move: MoveOf<'repeat' | 'mirror'>, now: string) {
  const { lines, movesBefore } = useMoves()
  const known = movesBefore(move).map(({ id, kind }) => ({
    id,
    text: `move ${lines.moves.findIndex((each) => each.id === id) + 1}, ${moveName(kind).toLowerCase()}`,
  }))
  if (known.some(({ id }) => id === now)) return known
  const at = lines.moves.findIndex(({ id }) => id === now)
  return [
    ...known,
    { id: now, text: at >= 0 ? `move ${at + 1}, which comes later` : 'a move that was taken away' },
  ]
}

export function RepeatWords({ move }: { move: MoveOf<'repeat'> }) {
  const { edit, put } = useMoves()
  const options = useMoveOptions(move, move.of)
  return (
    <>
      Repeat{' '}
      <Choice
        word
        label="What is repeated"
        value={move.of}
        options={options}
        onChange={(of) => edit(put({ ...move, of }), 'done')}
      />
      ,{' '}
      <EditLengthWord
        field={`design.lines.${move.id}.clear`}
        label="Clear between, square to the strip"
        value={move.clear}
        least={ZERO}
        most={inches(480)}
        toEdits={(clear) => put({ ...move, clear })}
      />{' '}
      clear,{' '}
      <Choice
        word
        label="To which side"
        value={move.side}
        options={[
          { id: 'left', text: 'to its left' },
          { id: 'right', text: 'to its right' },
          { id: 'both', text: 'to both sides' },
        ]}
        onChange={(side) => edit(put({ ...move, side }), 'done')}
      />
      ,{' '}
      <Choice
        word
        label="How often"
        value={move.times === null ? 'edge' : 'times'}
        options={[
          { id: 'edge', text: 'to the edge' },
          { id: 'times', text: 'so many times:' },
        ]}
        onChange={(how) => edit(put({ ...move, times: how === 'edge' ? null : 3 }), 'done')}
      />
      {move.times === null ? null : (
        <>
          {' '}
          <CountWord
            label="How many times"
            value={move.times}
            least={1}
            onChange={(times) => edit(put({ ...move, times: Math.min(times, LIMITS.lines) }), 'done')}
          />
        </>
      )}
    </>
  )
}

export function MirrorWords({ move }: { move: MoveOf<'mirror'> }) {
  const { edit, put, refOptions, movesBefore, lines } = useMoves()
  const [first = ''] = move.of
  const options = useMoveOptions(move, first)
  const before = movesBefore(move)
  const value = move.of.length > 1 ? 'all' : first
  const { about } = move
  const strip = refOptions(move, about.line === 'strip' ? about.strip : '', false).filter(
    ({ id }) => id !== '',
  )
  return (
    <>
      Mirror{' '}
      <Choice
        word
        label="What is mirrored"
        value={value}
        {...(move.of.length > 1
          ? {
              shown: `moves ${move.of.map((id) => lines.moves.findIndex((each) => each.id === id) + 1).join(', ')}`,
            }
          : {})}
        options={[
          ...options,
          ...(before.length > 1 || value === 'all' ? [{ id: 'all', text: 'all moves before it' }] : []),
        ]}
        onChange={(id) =>
          edit(put({ ...move, of: id === 'all' ? before.map((each) => each.id) : [id] }), 'done')
        }
      />{' '}
      about{' '}
      <Choice
        word
        label="Mirrored about what"
        value={about.line === 'strip' ? about.strip : about.line}
        options={[
          { id: 'upright', text: 'the upright center line' },
          { id: 'level', text: 'the level center line' },
          ...strip,
        ]}
        onChange={(line) =>
          edit(
            put({
              ...move,
              about: line === 'upright' || line === 'level' ? { line } : { line: 'strip', strip: line },
            }),
            'done',
          )
        }
      />
    </>
  )
}
