import type { Route } from './+types/tools'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { ToolsPage } from '~/features/tools/ToolsPage'
import { onDatabase } from '~/server/database.server'
import { habitSettings, lastJob } from '~/server/habits.server'
import { yardActsOf } from '~/server/yard.server'

export const meta = () => [{ title: 'Prove your tools · Regla' }]

export function loader() {
  return onDatabase((db) => {
    const last = lastJob(db)
    const settings = last && habitSettings(db, last.id)
    const acts = yardActsOf(db).filter(({ kind }) => kind === 'toolProved')
    return {
      acts,
      units: settings?.units ?? ('inches' as const),
      tape: settings?.tape ?? ('1/16' as const),
      fit: settings?.fit ?? null,
    }
  })
}

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function Tools({ loaderData }: Route.ComponentProps) {
  const [fresh] = useFresh(loaderData)
  return <ToolsPage {...fresh} />
}
