import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

export interface PdfPage {
  /** Left, bottom, right, top in points. */
  readonly box: readonly [number, number, number, number]
  readonly lines: readonly (readonly [readonly [number, number], readonly [number, number]])[]
  readonly words: readonly {
    readonly text: string
    readonly x: number
    readonly y: number
    readonly width: number
  }[]
}

/** PDFs read back by an independent reader, in one process for all of them: starting it takes longest. */
export function readPdfs(
  files: readonly Uint8Array[],
): { readonly title: string; readonly pages: readonly PdfPage[] }[] {
  const folder = mkdtempSync(join(tmpdir(), 'regla-pdf-'))
  const paths = files.map((bytes, i) => {
    const path = join(folder, `${i}.pdf`)
    writeFileSync(path, bytes)
    return path
  })
  const { status, stdout, stderr } = spawnSync('node', ['tests/readPdf.mjs', ...paths], {
    encoding: 'utf8',
    maxBuffer: 256 * 2 ** 20,
  })
  if (status !== 0) throw new Error(stderr.slice(-2000))
  return JSON.parse(stdout)
}
