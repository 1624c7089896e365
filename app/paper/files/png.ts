import sharp from 'sharp'

/** Pixels across: sharp on paper at its usual size. */
const ACROSS = 2200

/** A drawing as a picture, on white: its words are outlines, so it needs no type. */
export async function pngOf(svg: string): Promise<Buffer> {
  return sharp(Buffer.from(svg), { density: 200, limitInputPixels: 80e6 })
    .resize({ width: ACROSS })
    .flatten({ background: '#ffffff' })
    .png()
    .toBuffer()
}
