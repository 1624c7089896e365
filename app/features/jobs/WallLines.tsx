import { lazy, Suspense, useDeferredValue, useState } from 'react'
import { styled } from 'styled-components'
import { readWallLines } from '~/core/files/wallLines'
import type { Tape, Units } from '~/length'
import { WALL_LINE_HELP, wallLineExample, wallLineProblemText } from '~/messages'
import { TextLines } from '~/ui/TextLines'

// the drawings are wanted only once something is typed
const TypedWalls = lazy(() => import('./TypedWalls'))

const Frame = styled.div`
  display: grid;
  gap: 8px;
`

/** Walls typed one a line, each drawn as soon as it can be read. */
export function WallLines({
  name,
  units,
  tape,
  initial,
  problems,
  onCount,
}: {
  name: string
  units: Units
  tape: Tape
  initial: string
  problems: readonly string[]
  /** How many walls can be read. */
  onCount?: (walls: number, measured: number) => void
}) {
  const [text, setText] = useState(initial)
  const read = readWallLines(text, units)
  // what a person is still typing is not told as wrong: only the lines above the last
  const last = text.split('\n').length
  const early = read.ok ? [] : read.issue.filter(({ line }) => line < last)
  const shown = text === initial ? problems : early.map((problem) => wallLineProblemText(problem, units))
  const drawn = useDeferredValue(text)
  return (
    <Frame>
      <TextLines
        label="Walls, one a line"
        name={name}
        value={text}
        onChange={(next) => {
          setText(next)
          const walls = readWallLines(next, units)
          if (walls.ok) onCount?.(walls.value.length, walls.value.filter(({ survey }) => survey).length)
        }}
        rows={4}
        placeholder={wallLineExample(units)}
        problems={shown}
        help={WALL_LINE_HELP}
      />
      {drawn.trim() === '' ? null : (
        <Suspense fallback={null}>
          <TypedWalls text={drawn} units={units} tape={tape} />
        </Suspense>
      )}
    </Frame>
  )
}
