import type { Route } from './+types/wall-photo'
import { PhotoStage } from '~/features/agree/PhotoStage'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { stageTitle } from '~/routes/stageTitle'
import { onDatabase } from '~/server/database.server'
import { photosOf } from '~/server/photos.server'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'

export const meta = stageTitle('Agree')

export function loader({ params }: Route.LoaderArgs) {
  return { photos: onDatabase((db) => photosOf(db, params.wallId)) }
}

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function WallPhotoStage({ loaderData }: Route.ComponentProps) {
  const [{ photos }] = useFresh(loaderData)
  return <PhotoStage photos={photos} />
}
