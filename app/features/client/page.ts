// The script of the client's page, a file of its own: the page works without it. A place pressed on a drawing goes with
// the remark, and a line can be drawn under the name.
import SignaturePad from 'signature_pad'

const MARK = 'http://www.w3.org/2000/svg'

function field(form: Element, name: string): HTMLInputElement | null {
  return form.querySelector<HTMLInputElement>(`input[name="${name}"]`)
}

for (const drawing of document.querySelectorAll<SVGSVGElement>('svg[data-place]')) {
  const { place = '', placeOption = '', scale = '1', x0 = '0', y0 = '0' } = drawing.dataset
  const form = document.querySelector(`form[data-remark="${place}"]`)
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
      const input = field(form, name)
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

const signing = document.querySelector<HTMLFormElement>('form[data-sign]')
const canvas = signing?.querySelector('canvas')
if (signing && canvas) {
  signing.querySelector<HTMLElement>('[data-line]')?.removeAttribute('hidden')
  const pad = new SignaturePad(canvas, { penColor: '#000', minWidth: 0.8, maxWidth: 2.4 })
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
  new ResizeObserver(fit).observe(canvas)
  signing.querySelector('[data-clear]')?.addEventListener('click', () => pad.clear())
  signing.addEventListener('submit', () => {
    const line = field(signing, 'line')
    const [width, height] = [canvas.offsetWidth || 1, canvas.offsetHeight || 1]
    const part = (value: number, of: number) => Math.min(1, Math.max(0, Math.round((value / of) * 1e4) / 1e4))
    // points in parts of the box, without their time: the same line has the same text
    if (line && !pad.isEmpty())
      line.value = JSON.stringify(
        pad
          .toData()
          .map(({ points }) => points.slice(0, 600).map(({ x, y }) => [part(x, width), part(y, height)])),
      )
  })
}
