import { stageTitle } from '~/routes/stageTitle'
export { ColorsStage as default } from '~/features/agree/ColorsStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Agree')
