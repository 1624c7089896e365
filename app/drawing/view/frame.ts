import type { Polygon } from '~/core/geometry'

/** Turns wall units (nanometers, y up from the floor) into pixels of the drawing (y down). */
export interface Frame {
  readonly width: number
  readonly height: number
  /** Pixels per nanometer. */
  readonly scale: number
  /** Digits that points are written with: one is enough for a screen, a file says how many it takes. */
  readonly digits?: number
  readonly toX: (x: number) => number
  readonly toY: (y: number) => number
}

export interface Margins {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** Fits a wall into a picture, centered across what the margins leave, standing on the lower margin. */
export function fitFrame(
  size: { width: number; height: number },
  wall: { width: number; height: number },
  margins: Margins,
): Frame {
  const roomX = Math.max(40, size.width - margins.left - margins.right)
  const roomY = Math.max(40, size.height - margins.top - margins.bottom)
  const scale = Math.min(roomX / Math.max(1, wall.width), roomY / Math.max(1, wall.height))
  const x0 = margins.left + (roomX - wall.width * scale) / 2
  const y0 = margins.top + roomY - (roomY - wall.height * scale) / 2
  return { ...size, scale, toX: (x) => x0 + x * scale, toY: (y) => y0 - y * scale }
}

/** An SVG points attribute, to the digits of its frame. */
export function svgPoints(polygon: Polygon, { toX, toY, digits = 1 }: Frame, shift = 0): string {
  return polygon
    .map(({ x, y }) => `${(toX(x) + shift).toFixed(digits)},${(toY(y) + shift).toFixed(digits)}`)
    .join(' ')
}
