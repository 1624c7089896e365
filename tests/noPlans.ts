import { layoutPlanner } from '~/server/planning/layoutWords.server'

const nothing = () => undefined

/** A planner that never answers, for tests of what a page shows before it does. */
export const noPlans = () =>
  layoutPlanner(() => ({ ask: nothing, onAnswer: nothing, onEnd: nothing, end: nothing }), 5)
