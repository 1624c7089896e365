import { stageTitle } from '~/routes/stageTitle'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Agree')
export default function Soon() {
  return null
}
