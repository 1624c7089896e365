import { useWallEditor } from '~/editor/WallEditor'
import type { TapeReading } from '~/length'
import { say, tapeSide } from '~/messages'
import { Fractions } from '~/ui/Fractions'

/** What the tape shows at a mark, and that it is a little over or under where it is. */
export function Reading({ reading, plain = false }: { reading: TapeReading; plain?: boolean }) {
  const { wording } = useWallEditor()
  const side = tapeSide[reading.side]
  const figure = <Fractions text={say(Math.abs(reading.tick), wording)} />
  if (plain) return figure
  return (
    <>
      <span className="number">{figure}</span>
      {side === '' ? null : <small>{side}</small>}
    </>
  )
}
