import { EditLengthWord } from '~/editor/EditLength'
import { inches, ZERO } from '~/length'
import { type Heading, LIMITS, type Move, type MoveOf, type Until } from '~/model'
import { Choice } from '~/ui/Choice'
import { CountWord } from '../CountWord'
import { DegWord } from '~/ui/DegWord'
import { AlongWords, PointWords } from './PointWords'
import { useMoves } from './useMoves'

const LONGEST = inches(2400)

/** How far a line runs. */
function UntilWords({
  move,
  until,
  toMove,
  toPoint,
}: {
  move: Move
  until: Until
  toMove: (until: Until) => Move
  toPoint: boolean
}) {
  const { edit, put } = useMoves()
  return (
    <>
      <Choice
        word
        label="How far it runs"
        value={until.kind}
        options={[
          { id: 'hit', text: 'until it hits', hint: 'a strip or the frame, whichever comes first' },
          { id: 'frame', text: 'to the frame', hint: 'across what it meets on the way' },
          ...(toPoint || until.kind === 'point'
            ? [{ id: 'point' as const, text: 'as far as that place' }]
            : []),
          { id: 'length', text: 'for a length of' },
        ]}
        onChange={(kind) =>
          edit(put(toMove(kind === 'length' ? { kind, length: inches(24) } : { kind })), 'done')
        }
      />
      {until.kind === 'length' ? (
        <>
          {' '}
          <EditLengthWord
            field={`design.lines.${move.id}.until`}
            label="Length of the line"
            value={until.length}
            least={inches(0.25)}
            most={LONGEST}
            toEdits={(length) => put(toMove({ kind: 'length', length }))}
          />
        </>
      ) : null}
    </>
  )
}

/** Which way a struck line goes. */
function HeadingWords({ move }: { move: MoveOf<'strike'> }) {
  const { edit, put, refOptions, stripsBefore } = useMoves()
  const { heading } = move
  const set = (next: Heading) => edit(put({ ...move, heading: next }), 'done')
  const [first] = stripsBefore(move)
  return (
    <>
      <Choice
        word
        label="Which way it goes"
        value={heading.to}
        options={[
          { id: 'angle', text: 'at', hint: 'an angle from level' },
          { id: 'point', text: 'toward', hint: 'a corner, a mark, a crossing' },
          ...(first || heading.to === 'square' ? [{ id: 'square' as const, text: 'square to' }] : []),
        ]}
        onChange={(to) => {
          if (to === 'angle') set({ to, deg: 45 })
          else if (to === 'point') set({ to, point: { at: 'corner', corner: 'topRight' }, edge: 'same' })
          else if (first) set({ to: 'square', strip: first.id, side: 'left' })
        }}
      />{' '}
      {heading.to === 'angle' ? (
        <DegWord
          label="Angle from level"
          value={heading.deg}
          least={-360}
          most={360}
          onChange={(deg) => set({ to: 'angle', deg })}
        />
      ) : null}
      {heading.to === 'point' ? (
        <>
          <PointWords
            label="Where it goes"
            field={`design.lines.${move.id}.to`}
            move={move}
            point={heading.point}
            toMove={(point) => ({ ...move, heading: { ...heading, point } })}
          />
          {move.lies === 'center' ? null : (
            <>
              , there{' '}
              <Choice
                word
                label="Which edge meets that place"
                value={heading.edge}
                options={[
                  { id: 'same', text: 'by the same edge' },
                  { id: 'other', text: 'by its other edge' },
                ]}
                onChange={(edge) => set({ ...heading, edge })}
              />
            </>
          )}
        </>
      ) : null}
      {heading.to === 'square' ? (
        <>
          <Choice
            word
            label="Square to which strip"
            value={heading.strip}
            options={refOptions(move, heading.strip, true)}
            onChange={(strip) => set({ ...heading, strip })}
          />
          , to its{' '}
          <Choice
            word
            label="To which side of it"
            value={heading.side}
            options={[
              { id: 'left', text: 'left' },
              { id: 'right', text: 'right' },
            ]}
            onChange={(side) => set({ ...heading, side })}
          />
        </>
      ) : null}
    </>
  )
}

export function StrikeWords({ move }: { move: MoveOf<'strike'> }) {
  const { edit, put } = useMoves()
  return (
    <>
      From{' '}
      <PointWords
        label="Where it starts"
        field={`design.lines.${move.id}.from`}
        move={move}
        point={move.from}
        toMove={(from) => ({ ...move, from })}
      />{' '}
      <HeadingWords move={move} />{' '}
      <UntilWords
        move={move}
        until={move.until}
        toMove={(until) => ({ ...move, until })}
        toPoint={move.heading.to === 'point'}
      />
      , its width{' '}
      <Choice
        word
        label="Where its width lies"
        value={move.lies}
        options={[
          { id: 'center', text: 'half on each side of the line' },
          { id: 'left', text: 'to the left of the line', hint: 'seen the way it goes' },
          { id: 'right', text: 'to the right of the line', hint: 'seen the way it goes' },
        ]}
        onChange={(lies) => edit(put({ ...move, lies }), 'done')}
      />
    </>
  )
}

export function FanWords({ move }: { move: MoveOf<'fan'> }) {
  const { edit, put } = useMoves()
  return (
    <>
      <CountWord
        label="How many rays"
        value={move.rays}
        least={1}
        onChange={(rays) => edit(put({ ...move, rays: Math.min(180, rays) }), 'done')}
      />{' '}
      rays from{' '}
      <PointWords
        label="Where they start"
        field={`design.lines.${move.id}.from`}
        move={move}
        point={move.from}
        toMove={(from) => ({ ...move, from })}
      />
      , the first at{' '}
      <DegWord
        label="Angle of the first"
        value={move.firstDeg}
        least={-360}
        most={360}
        onChange={(firstDeg) => edit(put({ ...move, firstDeg }), 'done')}
      />
      , then every{' '}
      <DegWord
        label="Angle between rays"
        value={move.stepDeg}
        least={-180}
        most={180}
        onChange={(stepDeg) => edit(put({ ...move, stepDeg }), 'done')}
      />
      ; their ends stay{' '}
      <EditLengthWord
        field={`design.lines.${move.id}.inner`}
        label="How far their ends stay off"
        value={move.inner}
        least={ZERO}
        most={LONGEST}
        toEdits={(inner) => put({ ...move, inner })}
      />{' '}
      off it
    </>
  )
}

const SIDES = [
  { id: 'left', text: 'to its left' },
  { id: 'right', text: 'to its right' },
  { id: 'both', text: 'to both sides' },
] as const

export function BranchWords({ move }: { move: MoveOf<'branch'> }) {
  const { edit, put, refOptions } = useMoves()
  return (
    <>
      Off{' '}
      <Choice
        word
        label="Off which strip"
        value={move.off}
        options={refOptions(move, move.off, true)}
        onChange={(off) => edit(put({ ...move, off }), 'done')}
      />
      ,{' '}
      <AlongWords
        label="Where it branches"
        field={`design.lines.${move.id}.along`}
        along={move.along}
        toMove={(along) => ({ ...move, along })}
      />
      ,{' '}
      <Choice
        word
        label="To which side"
        value={move.side}
        options={SIDES}
        onChange={(side) => edit(put({ ...move, side }), 'done')}
      />{' '}
      at{' '}
      <DegWord
        label="Angle off it"
        value={move.deg}
        least={1}
        most={179}
        onChange={(deg) => edit(put({ ...move, deg }), 'done')}
      />{' '}
      <UntilWords move={move} until={move.until} toMove={(until) => ({ ...move, until })} toPoint={false} />
    </>
  )
}

export function DivideWords({ move }: { move: MoveOf<'divide'> }) {
  const { edit, put, refOptions } = useMoves()
  return (
    <>
      Divide{' '}
      <Choice
        word
        label="What is divided"
        value={move.of}
        options={refOptions(move, move.of, true)}
        onChange={(of) => edit(put({ ...move, of }), 'done')}
      />{' '}
      <Choice
        word
        label="How it is divided"
        value={move.by.how}
        options={[
          { id: 'parts', text: 'into equal parts:' },
          { id: 'wish', text: 'into equal parts near' },
        ]}
        onChange={(how) =>
          edit(put({ ...move, by: how === 'parts' ? { how, parts: 4 } : { how, wish: inches(16) } }), 'done')
        }
      />{' '}
      {move.by.how === 'parts' ? (
        <CountWord
          label="How many parts"
          value={move.by.parts}
          least={2}
          onChange={(parts) =>
            edit(put({ ...move, by: { how: 'parts', parts: Math.min(parts, LIMITS.marksOnStrip) } }), 'done')
          }
        />
      ) : (
        <EditLengthWord
          field={`design.lines.${move.id}.wish`}
          label="Wished part"
          value={move.by.wish}
          least={inches(0.5)}
          most={LONGEST}
          toEdits={(wish) => put({ ...move, by: { how: 'wish', wish } })}
        />
      )}
      , and strike from each mark,{' '}
      <Choice
        word
        label="To which side"
        value={move.side}
        options={SIDES}
        onChange={(side) => edit(put({ ...move, side }), 'done')}
      />{' '}
      at{' '}
      <DegWord
        label="Angle off it"
        value={move.deg}
        least={1}
        most={179}
        onChange={(deg) => edit(put({ ...move, deg }), 'done')}
      />{' '}
      <UntilWords move={move} until={move.until} toMove={(until) => ({ ...move, until })} toPoint={false} />
    </>
  )
}
