/** An act as the server keeps it. */
export interface Kept {
  readonly id: string
  readonly kind: string
  readonly strip?: string
}

/** What the server has of a wall's acts. */
export async function actsAt(wall: string): Promise<Kept[]> {
  const answer = await fetch(`${wall}/acts`)
  return ((await answer.json()) as { acts: Kept[] }).acts
}

export const count = (acts: readonly Kept[], kind: string) => acts.filter((act) => act.kind === kind).length
