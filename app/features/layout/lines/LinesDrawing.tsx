import { PencilRuler } from 'lucide-react'
import { useState } from 'react'
import { WallStage } from '~/editor/WallStage'
import { linesText as text, whyNot } from '~/messages'
import { LIMITS } from '~/model'
import { Button } from '~/ui/Button'
import { Row, Soft } from '~/ui/page'
import { StrikeGrips } from './StrikeGrips'
import { useMoves } from './useMoves'

/** The drawing with a way to strike lines on it. */
export function LinesDrawing() {
  const { lines } = useMoves()
  const [striking, setStriking] = useState(false)
  const full = lines.moves.length >= LIMITS.moves
  return (
    <>
      <WallStage
        handles={!striking}
        {...(striking && !full ? { over: (frame) => <StrikeGrips frame={frame} /> } : {})}
      />
      <Row>
        <Button
          aria-pressed={striking}
          isDisabled={full}
          why={whyNot.full}
          onPress={() => setStriking(!striking)}
        >
          <PencilRuler size={18} aria-hidden /> {striking ? text.strikeOff : text.strikeOn}
        </Button>
        {striking ? (
          <Soft role="status" style={{ flex: '1 1 260px' }}>
            {text.strikeHint}
          </Soft>
        ) : null}
      </Row>
    </>
  )
}
