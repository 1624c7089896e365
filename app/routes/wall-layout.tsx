export { LayoutStage as default } from '~/features/layout/LayoutStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
