export { LayoutStage as default } from '~/features/layout/LayoutStage'
