/** The documents of a wall by their revisions: the same key is the same wall, word for word. */
export function wallVersion(id: string, survey: number, design: number, settings: number): string {
  return `${id} ${survey} ${design} ${settings}`
}
