import { useMemo } from 'react'
import { styled } from 'styled-components'
import type { WayOn } from '~/core/asbuilt/waysOut'
import { workWithLearned } from '~/core/log/rates'
import { rulesOf } from '~/core/patterns/rules'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { useCutFacts, useWallEditor } from '~/editor/WallEditor'
import { builtText, builtWayNames, evenIssueText, sayWithUnit, whyNot } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { space, type } from '~/ui/theme'
import { findWaysOn } from '~/workers/evenClient'
import type { Fit } from './useFit'

const Way = styled.article`
  display: grid;
  gap: ${space.xs};
  padding: ${space.m} 0;
  border-top: 1px solid var(--line);
  & h3 {
    font-size: ${type.body};
    font-weight: 650;
  }
`
export const Wrong = styled.p`
  color: var(--red);
  font-weight: 550;
`

/** What can be done about what is out of place: each way carried out whole in a worker, so that no frame waits for it. */
export function WaysPart({ fit, say }: { readonly fit: Fit; readonly say: (words: string) => void }) {
  const { plan, workpiece, wording, identity, edit, lookAt } = useWallEditor()
  const { acts, off, offUp, release, freeze } = fit
  const { rates } = identity.crew
  const facts = useCutFacts()
  const asked = useMemo(
    () => ({
      workpiece: {
        ...workpiece,
        settings: { ...workpiece.settings, work: workWithLearned(workpiece.settings.work, rates) },
      },
      acts,
      facts,
    }),
    [workpiece, rates, acts, facts],
  )
  const isOff = off.size + offUp.size > 0
  const { answer, searching, failed } = useWorkerAnswer(asked, findWaysOn, isOff)
  if (!isOff) return null
  if (failed) return <Wrong role="alert">{builtText.noWays}</Wrong>
  if (!answer) return <Soft role="status">{builtText.looking}</Soft>
  const take = (way: WayOn) => {
    lookAt(null)
    edit(way.edits, 'done')
    // the list goes out again as the wall is by then
    if (release) freeze()
    say(builtText.taken)
  }
  return (
    <>
      {answer.issue ? (
        <Wrong role="alert">
          <Fractions text={evenIssueText(answer.issue, wording)} />
        </Wrong>
      ) : null}
      {answer.ways.length > 0 ? (
        <section aria-label={builtText.ways} aria-busy={searching}>
          <h2>{builtText.ways}</h2>
          {answer.ways.map((way) => (
            <Way
              key={way.ways.join()}
              data-way={way.ways[0]}
              onPointerEnter={() => lookAt(way.edits)}
              onPointerLeave={() => lookAt(null)}
              onFocus={() => lookAt(way.edits)}
              onBlur={() => lookAt(null)}
            >
              <h3>{builtWayNames(way, rulesOf(plan.layout).places === 'margins')}</h3>
              {way.ways.includes('stays') ? null : (
                <p>
                  <Fractions
                    text={builtText.uneven(
                      sayWithUnit(way.uneven.worst, wording),
                      sayWithUnit(way.uneven.step, wording),
                      way.uneven.seen,
                    )}
                  />
                </p>
              )}
              <p data-testid="way-cost">
                {[
                  builtText.recuts(way.recuts.length, way.fromThemselves),
                  builtText.boards(way.boards),
                  way.cost ? builtText.cost(way.cost, wording) : '',
                  builtText.minutes(way.minutes),
                ]
                  .filter((each) => each !== '')
                  .join(', ')}
              </p>
              <Row>
                {/* a way that is for what was read before is not taken for what is read now */}
                <Button isDisabled={searching} why={whyNot.looking} onPress={() => take(way)}>
                  {builtText.take}
                </Button>
              </Row>
            </Way>
          ))}
          <Soft>{builtText.seenRule}</Soft>
        </section>
      ) : null}
    </>
  )
}
