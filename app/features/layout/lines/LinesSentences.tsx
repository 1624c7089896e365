/** What is struck on this wall, move by move. */
export function LinesSentences() {
  return null
}
