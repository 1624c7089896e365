/** A drawing as an answer. Its address names the versions it is of, so a browser asks for each once. */
export function pictureAnswer(picture: string | null): Response {
  if (picture === null) return new Response('There is no such drawing.', { status: 404 })
  return new Response(picture, {
    headers: {
      'Content-Type': 'image/svg+xml',
      'Cache-Control': 'private, max-age=31536000, immutable',
      'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'",
    },
  })
}
