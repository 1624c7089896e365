/** What a member of the crew is: each may do what the ones after it may. */
export const ROLES = ['owner', 'lead', 'helper'] as const
export type Role = (typeof ROLES)[number]

/** What a member may do, by the role and by whether a helper was shown prices. */
export interface Standing {
  readonly role: Role
  readonly seesPrices: boolean
}

/** Whoever works on the computer that runs Regla, where nobody signs in. */
export const ON_THE_MACHINE: Standing = { role: 'owner', seesPrices: true }

/**
 * What something takes: `wall` marks, cuts, fits, logs and photographs; `jobs` jobs, layouts and settings; `prices` looks at what things
 * cost; `links` sets prices and deals with the client; `owner` members, codes and backups.
 */
export type Right = 'wall' | 'jobs' | 'prices' | 'links' | 'owner'

/** Whether somebody may do what takes a right. */
export function may({ role, seesPrices }: Standing, right: Right): boolean {
  switch (right) {
    case 'wall':
      return true
    case 'prices':
      return role !== 'helper' || seesPrices
    case 'jobs':
    case 'links':
      return role !== 'helper'
    case 'owner':
      return role === 'owner'
  }
}

/** Whether somebody may change a document of that kind: at the wall it is measured and photographed, and not laid out. */
export function mayChange(standing: Standing, kind: string): boolean {
  return may(standing, kind === 'survey' || kind === 'photo' ? 'wall' : 'jobs')
}
