import { stageTitle } from '~/routes/stageTitle'
export { FinishStage as default } from '~/features/finish/FinishStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Finish')
