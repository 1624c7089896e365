import { data } from 'react-router'
import type { Route } from './+types/job-client'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { ClientLinksPage } from '~/features/client/ClientLinksPage'
import { clientText, fullText } from '~/messages'
import { clientDesk } from '~/server/clientDesk.server'
import { endLink, LINK_DAYS, linksOf, makeLink, recordClientAct } from '~/server/clientLinks.server'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { FullError } from '~/server/full.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Client’s page · ${loaderData?.desk.job.name ?? 'Job'} · Regla` },
]

const MISSING = 'There is no such job here.'
const PARTS = ['photo', 'colors', 'price', 'hours', 'notes'] as const

export function loader({ params, request }: Route.LoaderArgs) {
  const desk = onDatabase((db) => clientDesk(db, params.jobId))
  if (!desk) throw data(MISSING, { status: 404 })
  return { desk, origin: new URL(request.url).origin, now: Date.now(), days: LINK_DAYS }
}

/** POST: makes a link, ends one, answers a remark. */
export async function action({ request, params, context }: Route.ActionArgs) {
  const form = await formOf(request)
  const member = context.get(memberContext)?.id ?? null
  const intent = textOf(form, 'intent')
  const now = Date.now()
  return onDatabase((db) => {
    const desk = clientDesk(db, params.jobId)
    if (!desk) throw data(MISSING, { status: 404 })
    if (intent === 'end') {
      endLink(db, params.jobId, textOf(form, 'link'), now)
      return { said: null, made: null }
    }
    if (intent === 'answer') {
      const link = linksOf(db, params.jobId).find(({ id }) => id === textOf(form, 'link'))
      const act = {
        kind: 'answered',
        remark: textOf(form, 'remark'),
        text: textOf(form, 'text').slice(0, 400),
      }
      const kept = link ? recordClientAct(db, link, act, now, member) : 'unread'
      return { said: kept === 'full' ? clientText.full : null, made: null }
    }
    if (intent !== 'make') throw data('Nobody knows how to do that with a link.', { status: 400 })
    const ticked = new Set(form.getAll('option').map(String))
    const walls = desk.walls.flatMap(({ id, options }) => {
      const shown = options.map((option) => option.id).filter((option) => ticked.has(option))
      return shown.length > 0 ? [{ wallId: id, options: shown }] : []
    })
    if (walls.length === 0) return { said: clientText.noneChosen, made: null }
    const days = LINK_DAYS.find((each) => String(each) === textOf(form, 'days')) ?? LINK_DAYS[0]
    const parts = PARTS.filter((part) => form.getAll('part').includes(part))
    const words = textOf(form, 'words').trim().slice(0, 400)
    try {
      const { token } = makeLink(db, params.jobId, { words, parts, walls }, days, now, member)
      return { said: null, made: token }
    } catch (error) {
      if (error instanceof FullError) return { said: fullText(error.what), made: null }
      throw error
    }
  })
}

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function JobClient({ loaderData, actionData }: Route.ComponentProps) {
  const [fresh] = useFresh(loaderData)
  return <ClientLinksPage {...fresh} said={actionData?.said ?? null} made={actionData?.made ?? null} />
}
