import type { Route } from './+types/wall-agree'
import { OptionsStage } from '~/features/agree/OptionsStage'
import { stageTitle } from '~/routes/stageTitle'
import { onDatabase } from '~/server/database.server'
import { yardActsOf } from '~/server/yard.server'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'

export const meta = stageTitle('Agree')

export function loader() {
  return { yard: onDatabase((db) => yardActsOf(db)) }
}

export default function WallAgree({ loaderData }: Route.ComponentProps) {
  return <OptionsStage yard={loaderData.yard} />
}
