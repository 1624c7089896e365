import { type Length, nearestNanometer, subtractLengths } from '~/length'
import type { Design, Settings } from '~/model'
import { type Piece, placePiece, splitRun } from '../pieces'
import type { Band, Layout } from './layout'

/** The longest usable length among the boards on sale in a material; null when none is listed. */
export function longestBoard(settings: Settings, material: string): Length | null {
  const lengths = settings.shop.offers
    .filter((offer) => offer.material === material)
    .map((offer) => offer.length - settings.shop.endTrim)
  return lengths.length === 0 ? null : nearestNanometer(Math.max(...lengths))
}

function cutBattens(layout: Layout): (Piece | null)[] {
  if (layout.battenHead <= layout.battenFoot) return []
  return layout.battens.map(({ id, number, left, right }) =>
    placePiece({
      id,
      stripId: id,
      role: 'batten',
      number,
      materialId: layout.battenMaterial.id,
      faceWidth: layout.battenMaterial.width,
      center: { x: (left + right) / 2, y: 0 },
      directionDeg: 90,
      startLine: { through: { x: 0, y: layout.battenFoot }, directionDeg: 0 },
      endLine: { through: { x: 0, y: layout.battenHead }, directionDeg: 0 },
    }),
  )
}

function cutBand(band: Band, layout: Layout, design: Design, settings: Settings): (Piece | null)[] {
  const { left, right } = layout.lines
  const longest = longestBoard(settings, band.material.id) ?? subtractLengths(right, left)
  const parts = splitRun(left, right, longest, design.railJoint, band.material.thickness)
  return parts.map((part, i) =>
    placePiece({
      id: parts.length === 1 ? band.id : `${band.id}-${i + 1}`,
      stripId: band.id,
      role: band.id,
      number: i + 1,
      materialId: band.material.id,
      faceWidth: subtractLengths(band.top, band.bottom),
      center: { x: 0, y: (band.bottom + band.top) / 2 },
      directionDeg: 0,
      startLine: { through: { x: part.from, y: 0 }, directionDeg: 90 },
      endLine: { through: { x: part.to, y: 0 }, directionDeg: 90 },
      ...(part.start.kind === 'scarf' ? { startScarf: part.start } : {}),
      ...(part.end.kind === 'scarf' ? { endScarf: part.end } : {}),
    }),
  )
}

/** Cuts a layout into pieces: battens left to right, then the bands from the foot up. */
export function cutLayout(layout: Layout, design: Design, settings: Settings): Piece[] {
  const pieces = [
    ...cutBattens(layout),
    ...layout.bands.flatMap((band) => cutBand(band, layout, design, settings)),
  ]
  return pieces.filter((piece) => piece !== null)
}
