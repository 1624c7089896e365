import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'

/** How often anybody may try to come in within a minute: from one address, and under one name from wherever. Common practice, no source. */
export const TRIES_A_MINUTE = 10

const limiter = (keyPrefix: string) =>
  new RateLimiterMemory({ keyPrefix, points: TRIES_A_MINUTE, duration: 60 })

/** Counts tries to come in, where they are judged: whatever path they came by. */
export function newTries() {
  const [byAddress, byName] = [limiter('address'), limiter('name')]
  const isOver = async (of: RateLimiterMemory, key: string) => {
    try {
      await of.consume(key)
      return false
    } catch (refused) {
      if (refused instanceof RateLimiterRes) return true
      throw refused
    }
  }
  return {
    /** Counts one try; whether it is one too many. A pairing code has no name: all codes count as one. */
    async tooMany(address: string, name: string | null): Promise<boolean> {
      const known = name === null ? 'a code' : `name ${name.trim().toLowerCase().slice(0, 200)}`
      // both are counted: whoever is stopped by one goes on filling the other
      const over = await Promise.all([isOver(byAddress, address), isOver(byName, known)])
      return over.includes(true)
    },
    /** Who came in under a name starts it anew: others that guessed it do not keep them out the next time. */
    forgive: (name: string) => byName.delete(`name ${name.trim().toLowerCase().slice(0, 200)}`),
  }
}

/** The one count of this server. */
export const tries = newTries()
