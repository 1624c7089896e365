import type { RoomMaker } from './roomMaker'

/** What makes a wall ready to be worked on. */
export function walledBy({ dep, inRoom }: RoomMaker) {
  return [
    dep(inRoom('sandWall'), 'sanded'),
    dep(inRoom('remove'), 'behindTrim'),
    dep(inRoom('protect'), 'protected'),
    dep(inRoom('floorBefore'), 'floorFirst'),
  ]
}
