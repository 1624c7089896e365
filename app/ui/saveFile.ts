/** A browser takes a file a moment after it was handed over. */
const TAKEN_MS = 10_000

/** Hands a file to the browser, under a name. */
export function saveFile(file: Blob, name: string): void {
  const url = URL.createObjectURL(file)
  Object.assign(document.createElement('a'), { href: url, download: name }).click()
  setTimeout(() => URL.revokeObjectURL(url), TAKEN_MS)
}
