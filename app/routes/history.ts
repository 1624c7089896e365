import { type ActionFunctionArgs, data, type LoaderFunctionArgs } from 'react-router'
import { historyText, refusalText } from '~/messages'
import { changesOf, lookAt, pageOfHistory, restoreTo } from '~/server/changeLog.server'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'

function asked(request: Request, params: LoaderFunctionArgs['params']) {
  const { searchParams } = new URL(request.url)
  const at = Number(searchParams.get('at') ?? Number.NaN)
  return {
    ids: {
      jobId: params.jobId ?? '',
      wallId: params.wallId,
      optionId: searchParams.get('option') ?? undefined,
    },
    at: Number.isSafeInteger(at) && at > 0 ? at : null,
  }
}

/** GET: what was changed of a wall, or of a job, by whom and when; with `at` the walls as they were right after that change. */
export async function loader({ request, params }: LoaderFunctionArgs) {
  const { ids, at } = asked(request, params)
  const page = onDatabase((db) => pageOfHistory(db, ids))
  if (!page) throw data(refusalText.noSuchPage, { status: 404 })
  if (at === null) return Response.json({ changes: onDatabase((db) => changesOf(db, page)) })
  return Response.json(await onDatabase((db) => lookAt(db, page, at)))
}

/** POST: brings what is asked for to how it was right after the change `at`, as a change of its own. */
export function action({ request, params, context }: ActionFunctionArgs) {
  const { ids, at } = asked(request, params)
  const member = context.get(memberContext)?.id ?? null
  const problems = onDatabase((db) => {
    const page = pageOfHistory(db, ids)
    if (!page) return [refusalText.noSuchPage]
    return at === null ? [historyText.noSuchChange] : restoreTo(db, page, at, member)
  })
  return Response.json({ problems: problems ?? [] }, { status: problems === null ? 200 : 422 })
}
