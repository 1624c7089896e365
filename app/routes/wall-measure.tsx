export { MeasureStage as default } from '~/features/survey/MeasureStage'
