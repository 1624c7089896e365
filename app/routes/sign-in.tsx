import { data, redirect } from 'react-router'
import type { Route } from './+types/sign-in'
import { SignInPage } from '~/features/crew/SignInPage'
import { crewText } from '~/messages'
import { addressContext, cookieFor, memberContext, safePath } from '~/server/crew/entry.server'
import { listMembers, memberBy } from '~/server/crew/members.server'
import { takeCode, tidyCode } from '~/server/crew/pairing.server'
import { startSession } from '~/server/crew/sessions.server'
import { tries } from '~/server/crew/tries.server'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { network } from '~/server/http/network.server'

export const meta: Route.MetaFunction = () => [{ title: 'Come in · Regla' }]

export function loader({ request, context }: Route.LoaderArgs) {
  const { searchParams } = new URL(request.url)
  const to = safePath(searchParams.get('to'))
  // on the machine itself, and for who is in already, there is nothing to do here
  if (network().local || context.get(memberContext)) throw redirect(to)
  return {
    to,
    code: tidyCode(searchParams.get('code') ?? '').slice(0, 16),
    nobodyYet: onDatabase((db) => listMembers(db).length === 0),
  }
}

export async function action({ request, context }: Route.ActionArgs) {
  const form = await formOf(request)
  const now = Date.now()
  const browser = request.headers.get('user-agent') ?? ''
  const [code, name] = [textOf(form, 'code'), textOf(form, 'name')]
  if (await tries.tooMany(context.get(addressContext), code === '' ? name : null))
    return data({ said: crewText.tooOften }, { status: 429 })
  const found =
    code === ''
      ? await onDatabase((db) => memberBy(db, name, textOf(form, 'passphrase'))).then(
          (member) => member?.id ?? null,
        )
      : onDatabase((db) => takeCode(db, code, now))
  if (found === null)
    return data({ said: code === '' ? crewText.wrong : crewText.wrongCode }, { status: 403 })
  if (code === '') await tries.forgive(name)
  const by = code === '' ? 'passphrase' : 'code'
  const token = onDatabase((db) => startSession(db, found, by, browser, now))
  return redirect(safePath(textOf(form, 'to')), { headers: { 'Set-Cookie': await cookieFor(token) } })
}

export default function SignIn({ loaderData, actionData }: Route.ComponentProps) {
  return <SignInPage {...loaderData} said={actionData?.said ?? null} />
}
