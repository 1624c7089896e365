import { stageTitle } from '~/routes/stageTitle'
export { CutStage as default } from '~/features/cut/CutStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Cut')
