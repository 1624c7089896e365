export { CutStage as default } from '~/features/cut/CutStage'
