export { BuyStage as default } from '~/features/buy/BuyStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
