import { inForce } from '~/model'
import { rulesOf } from '~/core/patterns/rules'
import { useMemo, useState } from 'react'
import { matchEdits, matchGaps, matchMembers, roomWish } from '~/core/room/matchWalls'
import { inches, type Length } from '~/length'
import { leftOutText, matchText, patternWords, roomNotes, type Wording } from '~/messages'
import { styled } from 'styled-components'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Sheet, Soft } from '~/ui/page'
import { narrow, space } from '~/ui/theme'
import type { Room } from './useRoom'

const Three = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: ${space.m};
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`

/** One gap, or one width of box, for all walls of the room: the counts that make them differ least. */
export function MatchPanel({ room, wording }: { room: Room; wording: Wording }) {
  const withGaps = room.walls.filter(
    ({ workpiece }) =>
      rulesOf(inForce(workpiece.wall.design)).places !== null && !inForce(workpiece.wall.design).apart,
  )
  const [first] = withGaps
  const start = useMemo(() => (first ? roomWish(first.workpiece) : null), [first])
  const [typed, setTyped] = useState<{ wish?: Length; least?: Length; most?: Length; moreThan?: boolean }>({})
  if (!first || !start) return <Soft>{roomNotes.noGaps}</Soft>
  const { pattern } = inForce(first.workpiece.wall.design)
  const same = withGaps.filter(({ workpiece }) => inForce(workpiece.wall.design).pattern === pattern)
  const wanted = {
    wish: typed.wish ?? start.wish,
    least: typed.least ?? start.least,
    most: typed.most ?? start.most,
    moreThan: typed.moreThan ?? start.moreThan,
  }
  const members = matchMembers(same, wanted)
  const leftOut = members.filter(({ locked, choices }) => !locked && choices.length === 0)
  const matches = matchGaps(members, wanted.wish, 5)
  const words = patternWords({ pattern })
  const nameOf = (id: string) => room.walls.find((wall) => wall.id === id)?.name ?? id
  const field = (key: 'wish' | 'least' | 'most', label: string) => (
    <LengthField
      label={label}
      value={wanted[key]}
      format={wording.format}
      least={inches(0.25)}
      most={inches(400)}
      onChange={(value) => setTyped({ ...typed, [key]: value })}
    />
  )
  return (
    <Sheet aria-label="Matched walls">
      <h2>{words.matched}</h2>
      <Three>
        {field('wish', words.near)}
        {field('least', wanted.moreThan === true ? 'More than' : 'No less than')}
        {field('most', 'No more than')}
      </Three>
      <Button
        aria-pressed={wanted.moreThan === true}
        onPress={() => setTyped({ ...typed, moreThan: wanted.moreThan !== true })}
      >
        {wanted.moreThan === true ? roomNotes.leastWillDo : roomNotes.moreThanLeast}
      </Button>
      {leftOut.length > 0 ? (
        <Soft>{leftOutText(leftOut.length, [...new Set(leftOut.map(({ wallId }) => nameOf(wallId)))])}</Soft>
      ) : null}
      {same.length < room.walls.length ? <Soft>{roomNotes.othersLeftOut}</Soft> : null}
      {matches.length === 0 ? (
        <Soft role="status">{roomNotes.noMatch}</Soft>
      ) : (
        <ol aria-label="Matches" style={{ display: 'grid', gap: 8, listStyle: 'none', padding: 0 }}>
          {matches.map((match) => {
            const edits = matchEdits(same, match)
            return (
              <li key={match.members.map(({ strips }) => strips).join(' ')}>
                <Button
                  onPress={() => void room.edit(edits)}
                  onHoverStart={() => room.lookAt(edits)}
                  onHoverEnd={() => room.lookAt(null)}
                  onFocus={() => room.lookAt(edits)}
                  onBlur={() => room.lookAt(null)}
                >
                  <Fractions text={matchText(match, pattern, ({ wallId }) => nameOf(wallId), wording)} />
                </Button>
              </li>
            )
          })}
        </ol>
      )}
    </Sheet>
  )
}
