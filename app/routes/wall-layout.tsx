import { stageTitle } from '~/routes/stageTitle'
export { LayoutStage as default } from '~/features/layout/LayoutStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Lay out')
