import { lazy, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { styled } from 'styled-components'
import type { SimulationAsked } from '~/core/evenness/simulate'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { useWallEditor } from '~/editor/WallEditor'
import { evenText, fineSaid, markingWayName, seenPart } from '~/messages'
import { findEven } from '~/workers/evenClient'
import { Button } from '~/ui/Button'
import { Charted } from '~/ui/Charted'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { space } from '~/ui/theme'

const EvenChart = lazy(() => import('./EvenChart'))

const Ways = styled.ul`
  display: grid;
  gap: ${space.m};
  & li {
    display: grid;
  }
`

const WALLS = 10_000
/** An end less than this is none. */
const HAIR = 396_875 // 1/64 in

/** Before marking: how even this wall will come out, in each way of bringing the marks on. */
export function EvenFold() {
  const { plan, wording, identity } = useWallEditor()
  const [open, setOpen] = useState(false)
  const [seed, setSeed] = useState(1)
  const { errors, readings } = identity.crew.errors
  const { bays, gap } = useMemo(() => {
    const most = plan.layout.sections
      .flatMap(({ placement }) => (placement ? [placement] : []))
      .sort((a, b) => b.gaps.length - a.gaps.length)[0]
    if (!most) return { bays: 0, gap: 0 }
    const ends = [most.leftEnd, most.rightEnd].filter((end) => end > HAIR).length
    return { bays: most.gaps.length + ends, gap: most.gaps[0] ?? most.leftEnd }
  }, [plan])
  const asked = useMemo(
    (): SimulationAsked => ({ bays, walls: WALLS, seed, errors, gap }),
    [bays, seed, errors, gap],
  )
  const { answer } = useWorkerAnswer(asked, findEven, open && bays > 1)
  if (bays < 2) return null
  const fine = (nm: number) => fineSaid(nm, wording)
  return (
    <Fold title={evenText.title} open={open} onToggle={setOpen}>
      <Soft>{evenText.lead(WALLS, bays)}</Soft>
      <Soft>{readings >= 8 ? evenText.learned(readings) : evenText.madeUp}</Soft>
      <Soft>
        <Fractions text={evenText.errors(fine(errors.running), fine(errors.block))} />
      </Soft>
      <Charted height={300}>{answer ? <EvenChart simulated={answer} wording={wording} /> : null}</Charted>
      {answer ? (
        <>
          <Ways data-testid="even-ways">
            {answer.ways.map((each) => (
              <li key={each.way} data-way={each.way}>
                <b>{markingWayName(each.way)}</b>
                <span>
                  <Fractions
                    text={`${evenText.line(fine(each.worst.median), fine(each.worst.nineOfTen), fine(each.last.median))}; ${evenText.seenIn(seenPart(each))}`}
                  />
                </span>
              </li>
            ))}
          </Ways>
          <p role="status">{answer.goodEnough ? evenText.good(answer.goodEnough) : evenText.none}</p>
          <Soft>{evenText.rule}</Soft>
        </>
      ) : null}
      <Row>
        <Button $kind="quiet" onPress={() => setSeed((now) => now + 1)}>
          {evenText.seed}
        </Button>
        <Link to="/tools">{evenText.tools}</Link>
      </Row>
    </Fold>
  )
}
