import { fitText, markedOnText, say, stripName, walkText, type Wording } from '~/messages'
import type { FitStop } from './useFit'

/** Where a piece goes, for the huge number: its mark from the left corner, or its lower edge over the floor. */
export function whereText({ card, name }: Pick<FitStop, 'card' | 'name'>, w: Wording) {
  const strip = stripName(card.stripId, w)
  const isUp = card.marks !== null && card.heights === null
  const number = isUp ? card.marks?.near : (card.left ?? card.heights?.bottom)
  return {
    name,
    strip,
    from: isUp || card.left ? walkText.corner('left') : fitText.lower,
    number: number ? say(number.tick, w) : '',
    side: number ? walkText.side[number.side] : '',
    more: isUp
      ? fitText.near
      : card.heights
        ? fitText.onFloor(say(card.heights.bottom.tick, w), say(card.heights.top.tick, w))
        : '',
    also: [
      !isUp && card.marks ? `${walkText.corner('left')} ${say(card.marks.near.tick, w)}` : '',
      ...card.ends.map(({ on, near, far }) =>
        fitText.endOn(markedOnText(on, w), say(near.tick, w), say(far.tick, w)),
      ),
    ]
      .filter((each) => each !== '')
      .join('; '),
  }
}
