// node tests/readPdf.mjs FILE... prints, for each file, its pages: size, straight lines and words, in points from the left bottom. A process
// of its own: the reader is an ES module that Jest can't load here. Its places are 32-bit floats: compare to 1e-4 pt (35 nm).
import { readFileSync } from 'node:fs'
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'

const times = (a, b) => [
  a[0] * b[0] + a[2] * b[1],
  a[1] * b[0] + a[3] * b[1],
  a[0] * b[2] + a[2] * b[3],
  a[1] * b[2] + a[3] * b[3],
  a[0] * b[4] + a[2] * b[5] + a[4],
  a[1] * b[4] + a[3] * b[5] + a[5],
]

/** The straight lines of a path: 0 move, 1 line, 2 and 3 curves, 4 close. */
function straight(data, m, lines) {
  let [at, start] = [null, null]
  let k = 0
  const point = () => {
    const [x, y] = [data[k++], data[k++]]
    return [m[0] * x + m[2] * y + m[4], m[1] * x + m[3] * y + m[5]]
  }
  while (k < data.length) {
    const op = data[k++]
    if (op === 0) at = start = point()
    else if (op === 1) {
      const to = point()
      lines.push([at, to])
      at = to
    } else if (op === 2) {
      point()
      point()
      at = point()
    } else if (op === 3) {
      point()
      at = point()
    } else if (start) {
      lines.push([at, start])
      at = start
    }
  }
}

async function linesOf(page) {
  const { fnArray, argsArray } = await page.getOperatorList()
  let m = [1, 0, 0, 1, 0, 0]
  const stack = []
  const lines = []
  fnArray.forEach((fn, i) => {
    const args = argsArray[i]
    if (fn === OPS.save) stack.push(m)
    else if (fn === OPS.restore) m = stack.pop() ?? m
    else if (fn === OPS.transform) m = times(m, args)
    // what only clips is drawn nowhere
    else if (fn === OPS.constructPath && args[1]?.[0] && args[0] !== OPS.endPath)
      straight(args[1][0], m, lines)
  })
  return lines
}

const files = []
for (const file of process.argv.slice(2)) {
  const doc = await getDocument({ data: new Uint8Array(readFileSync(file)), verbosity: 0 }).promise
  const pages = []
  for (let n = 1; n <= doc.numPages; n++) {
    const page = await doc.getPage(n)
    const { items } = await page.getTextContent()
    pages.push({
      box: page.view,
      lines: await linesOf(page),
      words: items
        .filter(({ str }) => str.trim() !== '')
        .map(({ str, transform, width }) => ({ text: str, x: transform[4], y: transform[5], width })),
    })
  }
  files.push({ title: (await doc.getMetadata()).info.Title, pages })
}
process.stdout.write(JSON.stringify(files))
