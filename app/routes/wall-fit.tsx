import { stageTitle } from '~/routes/stageTitle'
export { FitStage as default } from '~/features/fit/FitStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Fit')
