import { z } from 'zod'

/** A device's clock off by less than this is right. */
const CLOCK_SLACK_MS = 120_000

/** Acts as they come: alone, or with what the device's clock showed as they were sent. */
export function bundleOf<Of>(acts: z.ZodType<Of[]>) {
  return z.union([
    acts.transform((all) => ({ sentAt: null, acts: all })),
    z.strictObject({ sentAt: z.number().int().min(0).max(8_640_000_000_000_000), acts }),
  ])
}

/** How far behind the server's clock a device's is, as it says what it shows; 0 where it is right or says nothing. */
export function clockOff(sentAt: number | null, now: number): number {
  const off = sentAt === null ? 0 : now - sentAt
  return Math.abs(off) < CLOCK_SLACK_MS ? 0 : off
}
