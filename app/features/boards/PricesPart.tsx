import { useState } from 'react'
import { Link, useRevalidator } from 'react-router'
import { takeChanges } from '~/core/yard/stockChanges'
import { boardsText, lineName, materialName, stockChangeText } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Alert, Sheet, Soft } from '~/ui/page'
import { saveWall } from './saveWall'
import type { JobBoards, JobData } from './useJobBoards'

/** Prices that differ in the yard from those the job took, and what can't be had now: offered, never slipped in. */
export function PricesPart({ data, job }: { readonly data: JobData; readonly job: JobBoards }) {
  const { changes, settings, wording, outOfStock, later } = job
  const { revalidate } = useRevalidator()
  const [failed, setFailed] = useState(false)
  const [wall] = data.walls
  if (changes.length === 0 && outOfStock.length === 0 && later.length === 0) return null
  const take = async () => {
    if (!wall) return
    const offers = takeChanges(settings.shop.offers, changes)
    const done = await saveWall(data, wall, {
      settings: { ...settings, shop: { ...settings.shop, offers } },
    })
    setFailed(!done)
    if (done) await revalidate()
  }
  return (
    <Sheet aria-label={boardsText.prices}>
      <h2>{boardsText.prices}</h2>
      {outOfStock.length > 0 ? (
        <Alert data-testid="out-of-stock">
          {boardsText.out(outOfStock.map((offer) => lineName(offer, wording)))}
        </Alert>
      ) : null}
      {later.length > 0 ? (
        <Soft>{boardsText.later(later.map((offer) => lineName(offer, wording)))}</Soft>
      ) : null}
      {changes.length > 0 ? (
        <>
          <Soft>{boardsText.takenNote}</Soft>
          <ul data-testid="price-changes">
            {changes.map((change) => (
              <li key={`${change.material} ${change.length}`}>
                <Fractions
                  text={stockChangeText(
                    { ...change, stuff: materialName(change.material, wording) },
                    { ...wording, currency: settings.currency },
                  )}
                />
              </li>
            ))}
          </ul>
          <Button $kind="main" onPress={() => void take()}>
            {boardsText.take(changes.length)}
          </Button>
          {failed ? <Alert role="alert">{boardsText.pricesAway}</Alert> : null}
        </>
      ) : null}
      <Link to="/yard">{boardsText.yard}</Link>
    </Sheet>
  )
}
