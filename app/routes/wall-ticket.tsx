import { stageTitle } from '~/routes/stageTitle'
export { TicketPage as default } from '~/features/cut/TicketPage'
export { StageTrouble as ErrorBoundary } from '~/features/trouble/Trouble'
export const meta = stageTitle('Ticket')
