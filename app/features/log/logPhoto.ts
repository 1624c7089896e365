import { newToken, theQueue } from '~/editor/saving/browserSaver'

/** The longer side a photograph is sent with. */
const SIDE = 1600

/** Makes a photograph small enough to wait on a phone and to be sent; null where it can't be read. */
async function shrunk(file: File): Promise<string | null> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null)
  if (!bitmap) return null
  const part = Math.min(1, SIDE / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  Object.assign(canvas, { width: Math.round(bitmap.width * part), height: Math.round(bitmap.height * part) })
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  return canvas.toDataURL('image/jpeg', 0.8).split(',')[1] ?? null
}

/** Keeps a photograph of a wall's log until it is sent; its id, or null where it can't be read. */
export async function keepLogPhoto(wallPath: string, file: File): Promise<string | null> {
  const data = await shrunk(file)
  if (data === null) return null
  const id = newToken()
  const photo = { id, kind: 'logPhoto', data }
  const url = `${wallPath}/log-photos`
  if (await theQueue().keep(`photos ${wallPath}`, url, photo)) return id
  return null
}
