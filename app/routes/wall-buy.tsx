export { BuyStage as default } from '~/features/buy/BuyStage'
