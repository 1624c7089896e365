import { stageTitle } from '~/routes/stageTitle'
export { LogStage as default } from '~/features/log/LogStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Log')
