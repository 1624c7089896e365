export { MarkStage as default } from '~/features/marks/MarkStage'
