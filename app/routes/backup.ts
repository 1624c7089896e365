import { data, redirect } from 'react-router'
import type { Route } from './+types/backup'
import { backupText } from '~/messages'
import { formOf } from '~/server/forms.server'
import { takeBackupIn, wholeBackup } from '~/server/wholeBackup.server'

/** Everything in one file. */
export async function loader() {
  const { body, size } = await wholeBackup()
  const day = new Date().toISOString().slice(0, 10)
  return new Response(body, {
    headers: {
      'content-type': 'application/vnd.sqlite3',
      'content-length': String(size),
      'content-disposition': `attachment; filename="regla-everything-${day}.db"`,
      'cache-control': 'no-store',
    },
  })
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
