import { stageTitle } from '~/routes/stageTitle'
export { LabelsPage as default } from '~/features/cut/LabelsPage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Labels')
