/** What is cut from a sheet, in one unit with the kerf. */
export interface Cutting {
  readonly width: number
  readonly height: number
}

/** So many panels are tried in every way, which takes some milliseconds; more are cut by the best of some rules. */
const MOST_TRIED = 7

/** Boxes that hold a set of panels, none larger both ways than another. */
function leastBoxes(boxes: readonly Cutting[], sheet: Cutting): Cutting[] {
  const fits = boxes
    .filter(({ width, height }) => width <= sheet.width && height <= sheet.height)
    .sort((a, b) => a.width - b.width || a.height - b.height)
  const kept: Cutting[] = []
  for (const box of fits) if (box.height < (kept.at(-1)?.height ?? Infinity)) kept.push(box)
  return kept
}

const turned = ({ width, height }: Cutting): Cutting => ({ width: height, height: width })

/** The fewest sheets by cuts right across, over every way to part the panels; a panel may be turned. */
function everyWay(panels: readonly Cutting[], sheet: Cutting, kerf: number): number {
  const all = (1 << panels.length) - 1
  const boxes: Cutting[][] = []
  for (let set = 1; set <= all; set++) {
    const [only] = panels.filter((_, i) => set === 1 << i)
    if (only) {
      boxes[set] = leastBoxes([only, turned(only)], sheet)
      continue
    }
    const found: Cutting[] = []
    // each part once: the one with the set's lowest panel
    const low = set & -set
    for (let part = (set - 1) & set; part > 0; part = (part - 1) & set) {
      if ((part & low) === 0) continue
      for (const a of boxes[part] ?? [])
        for (const b of boxes[set ^ part] ?? []) {
          found.push({ width: a.width + b.width + kerf, height: Math.max(a.height, b.height) })
          found.push({ width: Math.max(a.width, b.width), height: a.height + b.height + kerf })
        }
    }
    boxes[set] = leastBoxes(found, sheet)
  }
  const least: number[] = [0]
  for (let set = 1; set <= all; set++) {
    least[set] = Infinity
    const low = set & -set
    for (let part = set; part > 0; part = (part - 1) & set)
      if ((part & low) !== 0 && (boxes[part]?.length ?? 0) > 0)
        least[set] = Math.min(least[set] ?? Infinity, 1 + (least[set ^ part] ?? Infinity))
  }
  return least[all] ?? Infinity
}

/** Side by side in rows, in the order given; a row is as high as its first. */
function inRows(panels: readonly Cutting[], sheet: Cutting, kerf: number): number {
  const rows: { height: number; left: number }[] = []
  const sheets: number[] = []
  for (const { width, height } of panels) {
    const row = rows.find((each) => each.height >= height && each.left >= width)
    if (row) {
      row.left -= width + kerf
      continue
    }
    const on = sheets.findIndex((left) => left >= height)
    const index = on >= 0 ? on : sheets.push(sheet.height) - 1
    sheets[index] = (sheets[index] ?? 0) - height - kerf
    rows.push({ height, left: sheet.width - width - kerf })
  }
  return sheets.length
}

/**
 * How many sheets some panels are cut from by cuts right across the sheet or a part of it, a kerf between two; a panel may be turned. The
 * fewest where few panels share sheets, else the best of rules of thumb. Each panel fits a sheet.
 */
export function sheetCount(panels: readonly Cutting[], sheet: Cutting, kerf: number): number {
  const together = (a: Cutting, b: Cutting) =>
    [a, turned(a)].some((p) =>
      [b, turned(b)].some(
        (q) =>
          (p.width + q.width + kerf <= sheet.width && Math.max(p.height, q.height) <= sheet.height) ||
          (p.height + q.height + kerf <= sheet.height && Math.max(p.width, q.width) <= sheet.width),
      ),
    )
  // what shares its sheet with no other has one of its own
  const shared = panels.filter((a, i) => panels.some((b, k) => k !== i && together(a, b)))
  const alone = panels.length - shared.length
  const orders: ((a: Cutting, b: Cutting) => number)[] = [
    (a, b) => b.height - a.height || b.width - a.width,
    (a, b) => b.width * b.height - a.width * a.height,
    (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height),
  ]
  const counts = orders.flatMap((order) => {
    const asIs = [...shared].sort(order)
    const across = shared.map(turned).sort(order)
    return [inRows(asIs, sheet, kerf), inRows(across, turned(sheet), kerf)]
  })
  const best = Math.min(shared.length, ...counts)
  const area = shared.reduce((sum, { width, height }) => sum + width * height, 0)
  // nothing goes below what their area takes
  const isLeast = best <= Math.ceil(area / (sheet.width * sheet.height) - 1e-9)
  return alone + (isLeast || shared.length > MOST_TRIED ? best : everyWay(shared, sheet, kerf))
}
