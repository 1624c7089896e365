import { stageTitle } from '~/routes/stageTitle'
export { BuyStage as default } from '~/features/buy/BuyStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Buy')
