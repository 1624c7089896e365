import { useEffect, useState } from 'react'
import { type PaperOffers, paperOffersSchema } from '~/model'

/** What there is of a wall to be printed or written; null until it is known, and where it can't be told. */
export function useOffers(jobId: string, wall: string): PaperOffers | null {
  const [known, setKnown] = useState<{ readonly wall: string; readonly offers: PaperOffers } | null>(null)
  useEffect(() => {
    const left = new AbortController()
    fetch(`/jobs/${jobId}/paper/offers.json?wall=${wall}`, { signal: left.signal })
      .then(async (answer) => {
        const read = answer.ok ? paperOffersSchema().safeParse(await answer.json()) : null
        if (read?.success) setKnown({ wall, offers: read.data })
      })
      // each file tells by itself what is missing
      .catch(() => undefined)
    return () => left.abort()
  }, [jobId, wall])
  return known?.wall === wall ? known.offers : null
}
