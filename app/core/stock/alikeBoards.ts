import type { CutBoard } from './boardPlan'

/** Boards cut alike: the first of them, and the numbers of all. */
export interface AlikeBoards {
  readonly board: CutBoard
  readonly numbers: readonly number[]
}

/** Boards of one length cut into pieces of the same cards, in the same order, are drawn once. */
export function alikeBoards(boards: readonly CutBoard[]): AlikeBoards[] {
  const found = new Map<string, { board: CutBoard; numbers: number[] }>()
  for (const board of boards) {
    const key = [
      board.length,
      ...board.pieces.map(({ label, from, cut }) => `${label} ${from} ${cut ?? ''}`),
    ].join(' ')
    const alike = found.get(key)
    if (alike) alike.numbers.push(board.number)
    else found.set(key, { board, numbers: [board.number] })
  }
  return [...found.values()]
}
