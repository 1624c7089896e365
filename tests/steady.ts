import fc from 'fast-check'

/**
 * Laws draw the same walls every time, so that a change is judged by what it changed, not by its luck. To look for
 * what nobody has seen yet: `npm run laws` draws anew, and ten times as many.
 */
const { LAWS_SEED } = process.env
// while mutants are tried it is enough to know that one was noticed
fc.configureGlobal({
  seed: LAWS_SEED ? Number(LAWS_SEED) : 1_869,
  endOnFailure: process.env.MUTANTS !== undefined,
})
