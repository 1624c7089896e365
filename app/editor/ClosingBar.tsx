import { newBoards } from '~/core/stock'
import { rulesOf } from '~/core/patterns/rules'
import { Check } from 'lucide-react'
import { styled } from 'styled-components'
import { type ClosingSum } from '~/core/marks/closingSum'
import { spacerBlock } from '~/core/marks/runningMarks'
import {
  beforeText,
  count,
  money,
  type PatternWords,
  patternWords,
  say,
  sayStock,
  sumFigures,
  type Wording,
} from '~/messages'
import type { Settings } from '~/model'
import { useMay } from '~/ui/rights'
import { Fractions } from '~/ui/Fractions'
import { narrow, space, type } from '~/ui/theme'
import { useBefore } from './useBefore'
import { useWallEditor } from './WallEditor'

const Bar = styled.footer`
  position: sticky;
  bottom: 0;
  z-index: 5;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: ${space.xs} ${space.l};
  padding: 18px ${space.l};
  background: var(--bar);
  color: var(--bar-ink);
  ${narrow} {
    position: static;
    padding: ${space.m};
  }
`
const Sum = styled.p`
  font-size: ${type.lead};
  font-weight: 650;
  & small {
    font-size: ${type.small};
    font-weight: 500;
    color: var(--bar-soft);
  }
`
const Verdict = styled.span<{ $open: boolean }>`
  display: inline-flex;
  align-items: center;
  gap: ${space.xs};
  margin-left: ${space.m};
  font-size: ${type.body};
  font-weight: 600;
  color: ${({ $open }) => ($open ? 'var(--bar-bad)' : 'var(--bar-good)')};
`
const Figures = styled.div`
  position: relative;
  font-size: ${type.body};
  color: var(--bar-soft);
  & ul {
    display: flex;
    flex-wrap: wrap;
    gap: ${space.xs} ${space.l};
  }
  & b {
    color: var(--bar-ink);
  }
`
/** Said in the bar's own edge, so that nothing moves when there is something to say. */
const Before = styled.p`
  position: absolute;
  top: 100%;
  right: 0;
  font-size: ${type.small};
  line-height: 1;
  white-space: nowrap;
  ${narrow} {
    position: static;
    margin-top: ${space.s};
  }
`

function Terms({ closing, wording, words }: { closing: ClosingSum; wording: Wording; words: PatternWords }) {
  const { strips, others, gaps, ends, openings, leans, fillers, overlaps } = closing
  const { figure, drift } = sumFigures(closing, wording)
  const many = (n: number, one: string, more: string) => (n === 1 ? one : more)
  // each term is printed with how it was rounded, so that what is printed adds up
  const term = (key: string, sign: string, n: number, size: number, name: string, always = false) => (
    <span key={key}>
      {sign === '' ? '' : `${sign} `}
      {n === 1 && !always ? null : `${n} × `}
      <Fractions text={figure(size)} />
      <small>
        {drift(size)} {name}
      </small>{' '}
    </span>
  )
  return (
    <>
      {ends && ends.left > 0 ? term('left', '', 1, ends.left, 'end +') : null}
      {term('strips', '', strips.count, strips.width, many(strips.count, words.strip, words.strips), true)}
      {others.map(({ count: n, size }, i) =>
        term(`other${i}`, '+', n, size, `${many(n, words.strip, words.strips)}, as built`, true),
      )}
      {gaps.map(({ count: n, size }, i) =>
        term(`gap${i}`, '+', n, size, many(n, words.gap, words.gaps), true),
      )}
      {openings.map(({ count: n, size }, i) =>
        term(`opening${i}`, '+', n, size, many(n, 'opening', 'openings')),
      )}
      {leans.map(({ count: n, size }, i) => term(`lean${i}`, '+', n, size, 'for the lean'))}
      {fillers.map(({ count: n, size }, i) =>
        term(`filler${i}`, '+', n, size, many(n, 'filler', 'fillers'), true),
      )}
      {overlaps.map(({ count: n, size }, i) => term(`overlap${i}`, '−', n, size, 'shared at a bend'))}
      {ends && ends.right > 0 ? term('right', '+', 1, ends.right, 'end') : null}=&nbsp;
      <Fractions text={figure(closing.wall - closing.difference)} />
      <small>{drift(closing.wall - closing.difference)}</small>
    </>
  )
}

/** How many boards, by length: 6 boards of 12 ft. */
function boardsText(lengths: readonly number[], settings: Settings, wording: Wording): string {
  const distinct = [...new Set(lengths)]
  const [only] = distinct
  const length = settings.shop.offers.find((offer) => offer.length === only)?.length
  return distinct.length === 1 && length !== undefined
    ? `of ${sayStock(length, wording)}`
    : 'of mixed lengths'
}

/** Always in view: the sum that must close on the wall, and what it all comes to. */
export function ClosingBar() {
  const may = useMay()
  const { plan, wording, boards, workpiece } = useWallEditor()
  const { closing } = plan
  const plans = boards.materials.flatMap(({ result }) => (result.ok ? [result.value] : []))
  const bought = plans.flatMap(newBoards)
  // those that something was cut from are there already
  const more = boards.cut.size > 0 ? 'more ' : ''
  const spacer = spacerBlock(plan.layout, 'left', workpiece.settings.tape)
  const known = plans.map((each) => each.known)
  const totals = {
    pieces: plan.pieces.length,
    boards: bought.length,
    cost: known.some(({ pricedLengths }) => pricedLengths > 0)
      ? known.reduce((sum, { sum: each }) => sum + each, 0)
      : null,
  }
  const before = useBefore(totals, !boards.searching)
  return (
    <Bar aria-label="Closing sum">
      <Sum data-testid="closing-sum">
        {closing ? (
          <>
            <Terms closing={closing} wording={wording} words={patternWords(plan.layout)} />
            <Verdict $open={closing.difference !== 0}>
              {closing.difference === 0 ? (
                <>
                  <Check size={16} aria-hidden /> closes on the wall
                </>
              ) : (
                <Fractions text={`${say(closing.difference, wording)} missing`} />
              )}
            </Verdict>
          </>
        ) : (
          <Verdict $open={rulesOf(plan.layout).places !== null}>{patternWords(plan.layout).noSum}</Verdict>
        )}
      </Sum>
      <Figures>
        <ul>
          <li>
            <b>{plan.pieces.length}</b> {plan.pieces.length === 1 ? 'piece' : 'pieces'}
          </li>
          <li data-testid="board-count">
            <b>{boards.rests ? '…' : bought.length}</b> {more}
            {bought.length === 1 && !boards.rests ? 'board' : 'boards'}{' '}
            {bought.length > 0 && !boards.rests
              ? boardsText(
                  bought.map(({ length }) => length),
                  workpiece.settings,
                  wording,
                )
              : ''}
          </li>
          {totals.cost !== null && !boards.rests && may('prices') ? (
            <li data-testid="cost-now">
              <b>{money(totals.cost, workpiece.settings.currency)}</b>
              {known.some(({ pricedLengths, lengths }) => pricedLengths < lengths) ? ' as far as priced' : ''}
            </li>
          ) : null}
          {!rulesOf(plan.layout).counts(plan.layout.design) ? null : spacer ? (
            <li>
              spacer <b>{<Fractions text={say(spacer.length.tick, wording)} />}</b>
            </li>
          ) : (
            <li>{count(closing?.gaps.length ?? 0, 'size')} of gap</li>
          )}
        </ul>
        {before ? (
          <Before data-testid="before">{beforeText(before, workpiece.settings.currency)}</Before>
        ) : null}
      </Figures>
    </Bar>
  )
}
