import { useState } from 'react'
import { useFetcher, useRevalidator } from 'react-router'
import type { Material, Settings, StockKind } from '~/model'
import { takeChanges } from '~/core/yard/stockChanges'
import { boardsText, lineName, materialName, stockChangeText } from '~/messages'
import { Button, LinkButton } from '~/ui/Button'
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
  const fetcher = useFetcher()
  const kept = new Set(data.stock.materials.map(({ material }) => material.id))
  const strange = job.boards.materials.flatMap(({ request }) =>
    kept.has(request.materialId) ? [] : settings.materials.filter(({ id }) => id === request.materialId),
  )
  const keep = async (materials: readonly Material[]) => {
    for (const material of materials)
      await fetcher.submit(
        { intent: 'keepForCrew', value: JSON.stringify(keptOf(material, settings)) },
        { method: 'post', action: '/yard' },
      )
  }
  if (changes.length + outOfStock.length + later.length + strange.length === 0) return null
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
      {strange.length > 0 ? (
        <>
          <Soft>
            <Fractions text={boardsText.notKept(strange.map(({ id }) => materialName(id, wording)))} />
          </Soft>
          <Button onPress={() => void keep(strange)}>{boardsText.keep(strange.length)}</Button>
        </>
      ) : null}
      <LinkButton href="/yard">{boardsText.yard}</LinkButton>
    </Sheet>
  )
}

/** A job's material as the crew keeps it, with the lengths the job has of it. */
function keptOf(material: Material, { shop }: Settings) {
  const molded: StockKind = material.make?.profile === 'molded' ? 'molding' : 'square'
  const kind: StockKind = material.make?.edges === 'eased' && molded === 'square' ? 'eased' : molded
  return {
    material: { material, kind },
    lengths: shop.offers
      .filter((offer) => offer.material === material.id)
      .map(({ length, price, trueLength }) => ({
        id: `${material.id}-${length}`.slice(0, 64),
        material: material.id,
        length,
        trueLength: trueLength ?? null,
        price,
        leastOrder: 1,
        supplier: null,
        code: '',
        state: 'there',
        there: null,
      })),
  }
}
