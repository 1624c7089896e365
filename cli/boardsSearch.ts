import highs from 'highs'
import { planBoards } from '~/core/stock'
import { highsSolver } from '~/workers/highsSolver'
import type { SearchAnswer, SearchAsked } from './boards'

/** The search of one cutting problem after the other, in a process that its parent can end. */
const solve = highsSolver(() => highs())
const tell = (answer: SearchAnswer) => process.send?.(answer)

process.on('message', ({ request, timeLimitMs }: SearchAsked) => {
  const end = performance.now() + timeLimitMs
  void planBoards(request, solve, {
    over: () => performance.now() > end,
    secondsLeft: () => (end - performance.now()) / 1000,
    better: (plan) => tell({ better: plan }),
  }).then((result) => tell({ done: result }))
})
tell({ ready: true })
