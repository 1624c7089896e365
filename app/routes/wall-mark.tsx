export { MarkStage as default } from '~/features/marks/MarkStage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
