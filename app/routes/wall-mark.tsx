import { stageTitle } from '~/routes/stageTitle'
export { MarkStage as default } from '~/features/marks/MarkStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Mark')
