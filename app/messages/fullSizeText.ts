/** What stands on sheets that are printed at full size. */
export const fullSizeText = {
  sheet: (n: number, of: number) => `sheet ${n} of ${of}`,
  part: (n: number, of: number) => `${n} of ${of}`,
  bars: { inches: '6 in', mm: '100 mm' },
  plain: 'print at 100 %, no fitting; then measure the bars',
  corrected: (ratio: number) =>
    `drawn ${(100 / ratio).toFixed(2)} % for a printer whose 6-in bar comes out ${(ratio * 6).toFixed(3)} in; print at 100 %`,
  rod: (wall: string, rod: string) => `${wall}: ${rod.toLowerCase()}`,
  zero: 'corner',
  floor: 'floor',
  end: 'end of the wall',
  sideEnds: ['left end', 'right end'],
  sideFeet: ['foot', 'head'],
  mark: (name: string, reads: string) => `${name}  ${reads}`,
  endOf: (row: string, which: 'start' | 'end', cut: string) => `${row}, ${which}: ${cut}`,
  hand: (mirrored: boolean) => (mirrored ? 'other hand' : 'as the card has it'),
  scarf: (row: string, deg: string, thick: string) =>
    `${row}: scarf ${deg} through ${thick}, seen on the edge`,
  cope: (row: string, wide: string, thick: string) =>
    `${row}: coped over a strip ${wide} by ${thick}, seen on its end`,
  miter: (row: string, deg: string, thick: string) =>
    `${row}: bevel ${deg} through ${thick}, seen on the edge`,
  plate: (panel: string, thing: string) => `Panel ${panel}: ${thing}`,
  fromEdges: (left: string, right: string, bottom: string, top: string) =>
    `from the panel’s left ${left}, right ${right}, foot ${bottom}, head ${top}`,
  arch: (nth: number, wall: string) => `${wall}: arch ${nth}, its right half`,
  archTurn: 'turn it over for the left half',
  spring: 'spring line',
  middle: 'middle',
  row: (nth: number, wall: string) => `${wall}: row ${nth}`,
  gap: (reads: string) => `spacer ${reads}`,
  rods: 'rods',
  templates: 'templates',
  labelSheets: 'labels',
  labels: (wall: string) => `Labels: ${wall}`,
} as const
