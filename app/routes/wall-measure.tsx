import { stageTitle } from '~/routes/stageTitle'
export { MeasureStage as default } from '~/features/survey/MeasureStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Measure')
