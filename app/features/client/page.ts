// The script of the client's page, a file of its own: the page works without it. A place pressed on a drawing goes with
// the remark, and a line can be drawn under the name.
import SignaturePad from 'signature_pad'

const MARK = 'http://www.w3.org/2000/svg'

for (const drawing of document.querySelectorAll<SVGSVGElement>('svg[data-place]')) {
  const { place = '', placeOption = '', scale = '1', x0 = '0', y0 = '0' } = drawing.dataset
  const form = document.querySelector(`[data-remark="${place}"]`)
  if (!form) continue
  drawing.style.cursor = 'crosshair'
  drawing.addEventListener('click', (event) => {
    const box = drawing.getBoundingClientRect()
    const { width, height } = drawing.viewBox.baseVal
    const px = ((event.clientX - box.left) / box.width) * width
    const py = ((event.clientY - box.top) / box.height) * height
    const values = {
      x: String(Math.round((px - Number(x0)) / Number(scale))),
      y: String(Math.round((Number(y0) - py) / Number(scale))),
      option: placeOption,
    }
    for (const [name, value] of Object.entries(values)) {
      const input = form.querySelector<HTMLInputElement>(`input[data-part="${name}"]`)
      if (input) input.value = value
    }
    for (const old of document.querySelectorAll(`svg[data-place="${place}"] [data-pressed]`)) old.remove()
    const mark = document.createElementNS(MARK, 'circle')
    for (const [name, value] of Object.entries({
      cx: px,
      cy: py,
      r: 12,
      fill: '#b3261a',
      'fill-opacity': 0.8,
    }))
      mark.setAttribute(name, String(value))
    mark.setAttribute('data-pressed', '')
    drawing.append(mark)
    form.querySelector('textarea')?.focus()
  })
}

type Stroke = readonly (readonly [number, number])[]

const page = document.querySelector<HTMLFormElement>('form[data-page]')
const signing = page?.querySelector('[data-sign]')
const canvas = signing?.querySelector('canvas')
const line = signing?.querySelector<HTMLInputElement>('input[name="line"]')
if (page && signing && canvas && line) {
  signing.querySelector<HTMLElement>('[data-line]')?.removeAttribute('hidden')
  const pad = new SignaturePad(canvas, { penColor: '#000', minWidth: 0.8, maxWidth: 2.4 })
  const size = () => [canvas.offsetWidth || 1, canvas.offsetHeight || 1] as const
  const fit = () => {
    const ratio = Math.max(window.devicePixelRatio, 1)
    const kept = pad.toData()
    canvas.width = canvas.offsetWidth * ratio
    canvas.height = canvas.offsetHeight * ratio
    canvas.getContext('2d')?.scale(ratio, ratio)
    // setting the size clears it
    pad.fromData(kept)
  }
  fit()
  // a line that came back with the page is drawn again
  const [width, height] = size()
  if (line.value !== '')
    pad.fromData(
      (JSON.parse(line.value) as Stroke[]).map((stroke) => ({
        penColor: '#000',
        dotSize: 0,
        minWidth: 0.8,
        maxWidth: 2.4,
        velocityFilterWeight: 0.7,
        compositeOperation: 'source-over' as const,
        points: stroke.map(([x, y], i) => ({ x: x * width, y: y * height, pressure: 0.5, time: i * 16 })),
      })),
    )
  new ResizeObserver(fit).observe(canvas)
  signing.querySelector('[data-clear]')?.addEventListener('click', () => pad.clear())
  page.addEventListener('submit', () => {
    const [wide, high] = size()
    const part = (value: number, of: number) => Math.min(1, Math.max(0, Math.round((value / of) * 1e4) / 1e4))
    // points in parts of the box, without their time: the same line has the same text
    line.value = pad.isEmpty()
      ? ''
      : JSON.stringify(
          pad
            .toData()
            .map(({ points }) => points.slice(0, 600).map(({ x, y }) => [part(x, wide), part(y, high)])),
        )
  })
}
