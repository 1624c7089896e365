import { ArrowDown, ArrowUp, Check, Split, Trash2 } from 'lucide-react'
import { styled } from 'styled-components'
import { breakUp } from '~/core/edits/breakUp'
import { putMove, shiftMove, takeMoveAway } from '~/core/edits/lineMoves'
import type { MoveCost } from '~/core/judgement/moveCosts'
import {
  count,
  linesText as text,
  materialName,
  moveCostText,
  moveIssueText,
  moveName,
  whyNot,
} from '~/messages'
import { LIMITS, type Move } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { Sentence } from '~/ui/Sentence'
import { space, type } from '~/ui/theme'
import { Toggle } from '~/ui/Toggle'
import { ChevronWords } from './ChevronWords'
import { MirrorWords, RepeatWords } from './CopyWords'
import { CornerWords, DiagonalWords, DiamondWords, HerringboneWords, SunburstWords } from './MakerWords'
import { BranchWords, DivideWords, FanWords, StrikeWords } from './StruckWords'
import { useMoves } from './useMoves'

const Clause = styled.li<{ $off: boolean }>`
  display: grid;
  gap: ${space.xs};
  padding: ${space.s} 0 ${space.s} ${space.m};
  border-left: 4px solid ${({ $off }) => ($off ? 'var(--line)' : 'var(--chalk)')};
  & > header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: ${space.xs} ${space.m};
    font-weight: 650;
  }
  & > header small {
    font-size: ${type.small};
    font-weight: 500;
    color: var(--ink-soft);
  }
`
const Why = styled.p`
  color: var(--red);
  font-weight: 600;
`

/** The words of a move, by its kind. */
function Words({ move }: { move: Move }) {
  switch (move.kind) {
    case 'strike':
      return <StrikeWords move={move} />
    case 'repeat':
      return <RepeatWords move={move} />
    case 'mirror':
      return <MirrorWords move={move} />
    case 'fan':
      return <FanWords move={move} />
    case 'branch':
      return <BranchWords move={move} />
    case 'divide':
      return <DivideWords move={move} />
    case 'diagonals':
    case 'lattice':
      return <DiagonalWords move={move} />
    case 'chevron':
      return <ChevronWords move={move} />
    case 'corners':
      return <CornerWords move={move} />
    case 'diamonds':
      return <DiamondWords move={move} />
    case 'herringbone':
      return <HerringboneWords move={move} />
    case 'sunburst':
      return <SunburstWords move={move} />
  }
}

/** One move: what it does in a clause whose words are its controls, what it came to, its place in the list. */
export function MoveClause({ move, nth, cost }: { move: Move; nth: number; cost: MoveCost | null }) {
  const { workpiece, plan, wording, edit, lines } = useMoves()
  const made = plan.layout.moves?.moves.find(({ id }) => id === move.id)
  const strips = made?.stripIds.length ?? 0
  const parts = breakable(move) && strips > 0
  // kept, and grayed: its words stay readable and its controls work
  const strikes = move.on && (strips > 0 || (made?.issues.length ?? 0) === 0)
  return (
    <Clause $off={!move.on} aria-label={`Move ${nth}: ${moveName(move.kind)}`} data-move={move.id}>
      <header>
        <Toggle
          aria-label={`Move ${nth}, ${moveName(move.kind).toLowerCase()}: on`}
          isSelected={move.on}
          onChange={(on) => edit(putMove(workpiece, { ...move, on }), 'done')}
        >
          {move.on ? <Check size={20} aria-hidden /> : null}
        </Toggle>
        <span>
          {nth}. {moveName(move.kind)}
        </span>
        <small>
          {move.on ? count(strips, 'line') : 'off'}
          {cost ? ` · ${moveCostText(cost, move.on, workpiece.settings.currency)}` : null}
        </small>
      </header>
      <Sentence style={strikes ? undefined : { filter: 'grayscale(1)' }}>
        <Words move={move} />, of{' '}
        <Choice
          word
          label="Material of the strips"
          value={move.material ?? 'own'}
          options={[
            {
              id: 'own',
              text: copies(move)
                ? 'the same stuff as what it copies'
                : `the same ${materialName(plan.layout.battenMaterial.id, wording)}`,
            },
            ...workpiece.settings.materials.map(({ id }) => ({ id, text: materialName(id, wording) })),
          ]}
          onChange={(id) => edit(putMove(workpiece, { ...move, material: id === 'own' ? null : id }), 'done')}
        />
        .
      </Sentence>
      {(made?.issues ?? []).map((issue) => (
        <Why key={issue.code}>
          <Fractions text={`It strikes less than it says: ${moveIssueText(issue)}`} />
        </Why>
      ))}
      <Row>
        <Button
          $kind="quiet"
          aria-label={`${text.up}: move ${nth}`}
          isDisabled={nth === 1}
          why={whyNot.first}
          onPress={() => edit(shiftMove(workpiece, move.id, -1), 'done')}
        >
          <ArrowUp size={18} aria-hidden />
        </Button>
        <Button
          $kind="quiet"
          aria-label={`${text.down}: move ${nth}`}
          isDisabled={nth === lines.moves.length}
          why={whyNot.last}
          onPress={() => edit(shiftMove(workpiece, move.id, 1), 'done')}
        >
          <ArrowDown size={18} aria-hidden />
        </Button>
        {parts ? (
          <Button
            $kind="quiet"
            onPress={() => edit(breakUp(workpiece, move.id), 'done')}
            isDisabled={lines.moves.length - 1 + strips > LIMITS.moves}
            why={whyNot.full}
          >
            <Split size={18} aria-hidden /> {text.breakUp}
          </Button>
        ) : null}
        <Button
          $kind="quiet"
          aria-label={`${text.away}: move ${nth}`}
          onPress={() => edit(takeMoveAway(workpiece, move.id), 'done')}
        >
          <Trash2 size={18} aria-hidden />
        </Button>
      </Row>
      {parts && lines.moves.length - 1 + strips > LIMITS.moves ? <Soft>{text.brokenTooMany}</Soft> : null}
    </Clause>
  )
}

function copies({ kind }: Move): boolean {
  return kind === 'repeat' || kind === 'mirror'
}

function breakable({ kind }: Move): boolean {
  return kind !== 'strike'
}
