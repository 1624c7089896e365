import type { Spot, WallPhoto } from '~/model'

async function loaded(href: string): Promise<HTMLImageElement> {
  const image = new Image()
  image.src = href
  await image.decode()
  return image
}

function drawnOn(width: number, height: number): [HTMLCanvasElement, CanvasRenderingContext2D] | null {
  const canvas = document.createElement('canvas')
  Object.assign(canvas, { width, height })
  const pen = canvas.getContext('2d', { willReadFrequently: true })
  return pen ? [canvas, pen] : null
}

/** The color a photograph has about a place: the mean of a few pixels, so that grain does not decide. Null where it can't be read. */
export async function colorAt(url: string, { x, y }: Spot): Promise<string | null> {
  const image = await loaded(url).catch(() => null)
  const made = image && drawnOn(image.naturalWidth, image.naturalHeight)
  if (!image || !made) return null
  const [canvas, pen] = made
  pen.drawImage(image, 0, 0)
  const [cx, cy] = [Math.round(x * canvas.width), Math.round(y * canvas.height)]
  const [left, top] = [
    Math.min(canvas.width - 5, Math.max(0, cx - 2)),
    Math.min(canvas.height - 5, Math.max(0, cy - 2)),
  ]
  const { data } = pen.getImageData(left, top, 5, 5)
  const mean = (channel: number) => {
    let sum = 0
    for (let i = channel; i < data.length; i += 4) sum += data[i] ?? 0
    return Math.round(sum / (data.length / 4))
  }
  return `#${[0, 1, 2].map((channel) => mean(channel).toString(16).padStart(2, '0')).join('')}`
}

/** Saves what is seen as a PNG: the photograph with the plan on it, without the points. */
export async function savePng(svg: SVGSVGElement | null, url: string, photo: WallPhoto): Promise<void> {
  const image = svg && (await loaded(url).catch(() => null))
  const made = image && drawnOn(photo.width, photo.height)
  if (!svg || !image || !made) return
  const copy = svg.cloneNode(true) as SVGSVGElement
  for (const each of copy.querySelectorAll('[data-handles], [data-photograph]')) each.remove()
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('width', String(photo.width))
  copy.setAttribute('height', String(photo.height))
  const text = new XMLSerializer().serializeToString(copy)
  const over = await loaded(`data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`)
  const [canvas, pen] = made
  pen.drawImage(image, 0, 0)
  pen.drawImage(over, 0, 0)
  const link = document.createElement('a')
  link.download = `${photo.name}.png`
  link.href = canvas.toDataURL('image/png')
  link.click()
}
