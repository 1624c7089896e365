import { toString as qrSvg } from 'qrcode'
import { data, redirect } from 'react-router'
import type { Route } from './+types/crew'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { CrewPage } from '~/features/crew/CrewPage'
import { crewText } from '~/messages'
import { cookieFor, memberContext, tokenOf } from '~/server/crew/entry.server'
import { addMember, listMembers, shutOut } from '~/server/crew/members.server'
import { CODE_MINUTES, newCode } from '~/server/crew/pairing.server'
import { browserName, endSession, putOut, whoIsIn } from '~/server/crew/sessions.server'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { network } from '~/server/http/network.server'

export const meta: Route.MetaFunction = () => [{ title: 'Crew · Regla' }]

export function loader({ context }: Route.LoaderArgs) {
  const { local, url } = network()
  const day = new Intl.DateTimeFormat('en-US', { dateStyle: 'medium', timeStyle: 'short' })
  return onDatabase((db) => ({
    local,
    url,
    me: context.get(memberContext)?.name ?? null,
    members: listMembers(db),
    inside: whoIsIn(db, Date.now()).map((each) => ({
      ...each,
      browser: browserName(each.browser),
      since: day.format(each.since),
      until: day.format(each.until),
    })),
  }))
}

export async function action({ request }: Route.ActionArgs) {
  const form = await formOf(request)
  const [intent, id] = [textOf(form, 'intent'), textOf(form, 'id')]
  if (intent === 'add') {
    const added = await onDatabase((db) => addMember(db, textOf(form, 'name'), textOf(form, 'passphrase')))
    return added.ok
      ? data({ said: null, shown: null })
      : data({ said: crewText[added.issue], shown: null }, { status: 422 })
  }
  if (intent === 'signOut') {
    const token = await tokenOf(request)
    if (token !== null) onDatabase((db) => endSession(db, token))
    return redirect('/sign-in', { headers: { 'Set-Cookie': await cookieFor(null) } })
  }
  if (intent === 'putOut') {
    onDatabase((db) => putOut(db, id))
    return data({ said: null, shown: null })
  }
  const member = onDatabase((db) => listMembers(db).find((each) => each.id === id))
  if (!member) throw data('There is no such member.', { status: 404 })
  if (intent === 'code' && !member.shutOut && !network().local) {
    const code = onDatabase((db) => newCode(db, id, Date.now()))
    const picture = await qrSvg(`${network().url}/sign-in?code=${code}`, { type: 'svg' })
    return data({ said: null, shown: { code, name: member.name, minutes: CODE_MINUTES, picture } })
  }
  if (intent !== 'shutOut' && intent !== 'letIn')
    throw data(`Nobody knows how to “${intent.slice(0, 40)}” a member.`, { status: 400 })
  onDatabase((db) => shutOut(db, id, intent === 'shutOut'))
  return data({ said: null, shown: null })
}

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function Crew({ loaderData, actionData }: Route.ComponentProps) {
  const shown = actionData?.shown ?? null
  const [fresh] = useFresh(loaderData)
  return <CrewPage {...fresh} said={actionData?.said ?? null} shown={shown} />
}
