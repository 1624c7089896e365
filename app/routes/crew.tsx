import { toString as qrSvg } from 'qrcode'
import { data, redirect } from 'react-router'
import type { Route } from './+types/crew'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { CrewPage, type CrewPageProps } from '~/features/crew/CrewPage'
import { crewText, roleText } from '~/messages'
import { devicesOf, endDevice, newDevice } from '~/server/crew/deviceTokens.server'
import { cookieFor, mayOf, memberContext, tokenOf } from '~/server/crew/entry.server'
import { addMember, giveRole, listMembers, roleOf, shutOut } from '~/server/crew/members.server'
import { CODE_MINUTES, newCode } from '~/server/crew/pairing.server'
import { browserName, endSession, putOut, whoIsIn } from '~/server/crew/sessions.server'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { network } from '~/server/http/network.server'

export const meta: Route.MetaFunction = () => [{ title: 'Crew · Regla' }]

export function loader({ context }: Route.LoaderArgs) {
  const { local, url } = network()
  const day = new Intl.DateTimeFormat('en-US', { dateStyle: 'medium', timeStyle: 'short' })
  const me = context.get(memberContext)
  const owns = mayOf(context, 'owner')
  return onDatabase((db) => ({
    local,
    url,
    me: me && { id: me.id, name: me.name },
    owns,
    members: listMembers(db),
    devices: owns
      ? devicesOf(db).map(({ id, name, usedAt }) => ({
          id,
          name,
          used: usedAt === null ? null : day.format(usedAt),
        }))
      : [],
    inside: whoIsIn(db, Date.now())
      .filter(({ memberId }) => owns || memberId === me?.id)
      .map(({ memberId: _, ...each }) => ({
        ...each,
        browser: browserName(each.browser),
        since: day.format(each.since),
        until: day.format(each.until),
      })),
  }))
}

type Shown = NonNullable<CrewPageProps['shown']>
const answer = (said: string | null, status = said === null ? 200 : 422, shown: Shown | null = null) =>
  data({ said, shown }, { status })

/** What only the owner does: members, their roles and codes, devices. */
async function asOwner(intent: string, id: string, form: FormData) {
  if (intent === 'add') {
    const role = roleOf(textOf(form, 'role')) ?? 'helper'
    const added = await onDatabase((db) =>
      addMember(db, textOf(form, 'name'), textOf(form, 'passphrase'), role),
    )
    return answer(added.ok ? null : crewText[added.issue])
  }
  if (intent === 'device') {
    const token = onDatabase((db) => newDevice(db, textOf(form, 'name'), Date.now()))
    return token === null
      ? answer(crewText.noDevice)
      : answer(null, 200, { kind: 'token', token, name: textOf(form, 'name').trim() })
  }
  if (intent === 'endDevice') {
    onDatabase((db) => endDevice(db, id))
    return answer(null)
  }
  const member = onDatabase((db) => listMembers(db).find((each) => each.id === id))
  if (!member) throw data('There is no such member.', { status: 404 })
  if (intent === 'role' || intent === 'prices') {
    const role = intent === 'role' ? roleOf(textOf(form, 'role')) : member.role
    if (!role) throw data('There is no such role.', { status: 400 })
    const seesPrices = intent === 'prices' ? textOf(form, 'sees') === 'yes' : member.seesPrices
    const isDone = onDatabase((db) => giveRole(db, id, { role, seesPrices }))
    return answer(isDone ? null : roleText.lastOwner)
  }
  if (intent !== 'shutOut' && intent !== 'letIn')
    throw data(`Regla does not know “${intent.slice(0, 40)}”. Nothing was changed.`, { status: 400 })
  const isDone = onDatabase((db) => shutOut(db, id, intent === 'shutOut'))
  return answer(isDone ? null : roleText.lastOwner)
}

export async function action({ request, context }: Route.ActionArgs) {
  const form = await formOf(request)
  const [intent, id] = [textOf(form, 'intent'), textOf(form, 'id')]
  const me = context.get(memberContext)
  const owns = mayOf(context, 'owner')
  if (intent === 'signOut') {
    const token = await tokenOf(request)
    if (token !== null) onDatabase((db) => endSession(db, token))
    return redirect('/sign-in', { headers: { 'Set-Cookie': await cookieFor(null) } })
  }
  const refuse = () => {
    throw data(roleText.refused, { status: 403 })
  }
  // one's own phones and browsers are one's own affair
  if (intent === 'putOut') {
    const isOwn = onDatabase((db) =>
      whoIsIn(db, Date.now()).some((each) => each.id === id && each.memberId === me?.id),
    )
    if (!owns && !isOwn) refuse()
    onDatabase((db) => putOut(db, id))
    return answer(null)
  }
  if (intent === 'code') {
    if (!owns && id !== me?.id) refuse()
    const member = onDatabase((db) => listMembers(db).find((each) => each.id === id))
    if (!member || member.shutOut || network().local) throw data('There is no such member.', { status: 404 })
    const code = onDatabase((db) => newCode(db, id, Date.now()))
    const picture = await qrSvg(`${network().url}/sign-in?code=${code}`, { type: 'svg' })
    return answer(null, 200, { kind: 'code', code, name: member.name, minutes: CODE_MINUTES, picture })
  }
  if (!owns) refuse()
  return asOwner(intent, id, form)
}

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function Crew({ loaderData, actionData }: Route.ComponentProps) {
  const shown = actionData?.shown ?? null
  const [fresh] = useFresh(loaderData)
  return <CrewPage {...fresh} said={actionData?.said ?? null} shown={shown} />
}
