import { data, redirect } from 'react-router'
import type { Route } from './+types/backup'
import { backupText } from '~/messages'
import { formOf } from '~/server/forms.server'
import { takeBackupIn, wholeBackup } from '~/server/wholeBackup.server'

/** Everything in one file; whoever asks for the head alone has no copy made. */
export async function loader({ request }: Route.LoaderArgs) {
  const day = new Date().toISOString().slice(0, 10)
  const headers = {
    'content-type': 'application/vnd.sqlite3',
    'content-disposition': `attachment; filename="regla-everything-${day}.db"`,
    'cache-control': 'no-store',
  }
  if (request.method === 'HEAD') return new Response(null, { headers })
  const { body, size } = await wholeBackup(request.signal)
  return new Response(body, { headers: { ...headers, 'content-length': String(size) } })
}

/** POST: everything in one file comes in, where there is nothing yet. */
export async function action({ request }: Route.ActionArgs) {
  const file = (await formOf(request)).get('everything')
  if (!(file instanceof File)) return data({ said: backupText.problem.notADatabase }, { status: 422 })
  const problem = takeBackupIn(new Uint8Array(await file.arrayBuffer()), new Date().toISOString())
  if (problem === null) return redirect('/')
  const said = problem === 'notEmpty' ? backupText.notEmpty : backupText.problem[problem]
  return data({ said }, { status: problem === 'notEmpty' ? 409 : 422 })
}
