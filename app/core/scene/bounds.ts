import { boundsOf } from '../geometry'
import type { Scene, SceneNode } from './buildScene'

/** An upright rectangle in wall units. */
export type Bounds = ReturnType<typeof boundsOf>

/** What a node of the scene covers, in wall units. Marks on a rod are lines: they have a place along it and no height. */
export function nodeBounds(node: SceneNode): Bounds {
  switch (node.kind) {
    case 'thing':
      return boundsOf(node.outline)
    case 'stud':
      return { left: node.x, right: node.x, bottom: node.bottom, top: node.top }
    case 'rodMark':
      return {
        left: Math.min(node.left, node.markAt),
        right: Math.max(node.right, node.markAt),
        bottom: 0,
        top: 0,
      }
    case 'height':
      return { left: 0, right: 0, bottom: node.at, top: node.at }
    case 'dimension':
      return { left: node.left, right: node.right, bottom: node.y, top: node.y }
    case 'arch':
      return boundsOf(node.outer ?? node.polygon)
    default:
      return boundsOf(node.polygon)
  }
}

/** What all nodes of a scene cover together: what a print or a file must have room for, its rods aside. */
export function sceneBounds({ nodes }: Scene): Bounds {
  return boundsOf(
    nodes.map(nodeBounds).flatMap(({ left, right, bottom, top }) => [
      { x: left, y: bottom },
      { x: right, y: top },
    ]),
  )
}
