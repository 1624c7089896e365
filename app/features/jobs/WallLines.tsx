import { lazy, Suspense, useDeferredValue, useEffect, useState } from 'react'
import { styled } from 'styled-components'
import { asObstacle, readWallLines } from '~/core/files/wallLines'
import type { Tape, Units } from '~/length'
import { asObstacleText, WALL_LINE_HELP, wallLineExample, wallLineProblemText } from '~/messages'
import { Button } from '~/ui/Button'
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
  // the line that is being typed is told as wrong once the hand rests; those above it at once, all of them after a press
  const [rested, setRested] = useState(initial)
  useEffect(() => {
    const timer = setTimeout(() => setRested(text), 700)
    return () => clearTimeout(timer)
  }, [text])
  const last = text.split('\n').length
  const wrong = read.ok ? [] : read.issue.filter(({ line }) => line < last || rested === text)
  const shown =
    text === initial && problems.length > 0
      ? problems
      : wrong.map((problem) => wallLineProblemText(problem, units))
  const unknown = wrong.filter(({ code }) => code === 'unknownPart')
  const change = (next: string) => {
    setText(next)
    const walls = readWallLines(next, units)
    if (walls.ok) onCount?.(walls.value.length, walls.value.filter(({ survey }) => survey).length)
  }
  const drawn = useDeferredValue(text)
  return (
    <Frame>
      <TextLines
        label="Walls, one a line"
        name={name}
        value={text}
        onChange={change}
        rows={4}
        placeholder={wallLineExample(units)}
        problems={shown}
        help={WALL_LINE_HELP}
      />
      {unknown.map((problem) => (
        <Button key={`${problem.line} ${problem.read}`} onPress={() => change(asObstacle(text, problem))}>
          {asObstacleText(problem.read)}
        </Button>
      ))}
      {drawn.trim() === '' ? null : (
        <Suspense fallback={null}>
          <TypedWalls text={drawn} units={units} tape={tape} />
        </Suspense>
      )}
    </Frame>
  )
}
