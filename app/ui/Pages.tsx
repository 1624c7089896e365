import { useSearchParams } from 'react-router'
import { LinkButton } from './Button'
import { Row } from './page'

/** The way to the other pages of a long list; nothing where there is but one. */
export function Pages({ page, pages, what }: { page: number; pages: number; what: string }) {
  const [search] = useSearchParams()
  if (pages < 2) return null
  const to = (wanted: number) => {
    const next = new URLSearchParams(search)
    next.set('page', String(wanted))
    return `?${next.toString()}`
  }
  return (
    <Row as="nav" aria-label={`Pages of ${what}`}>
      {page > 1 ? <LinkButton href={to(page - 1)}>Page {page - 1}</LinkButton> : null}
      <span>
        Page {page} of {pages}
      </span>
      {page < pages ? <LinkButton href={to(page + 1)}>Page {page + 1}</LinkButton> : null}
    </Row>
  )
}
