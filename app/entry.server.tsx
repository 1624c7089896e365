import { randomBytes } from 'node:crypto'
import { PassThrough, Transform } from 'node:stream'
import { createReadableStreamFromReadable } from '@react-router/node'
import { isbot } from 'isbot'
import { renderToPipeableStream } from 'react-dom/server'
import {
  ServerRouter,
  isRouteErrorResponse,
  type EntryContext,
  type HandleErrorFunction,
  type RouterContextProvider,
} from 'react-router'
import { ServerStyleSheet } from 'styled-components'
import { NonceContext } from './ui/nonce'

export const streamTimeout = 5_000

/** Puts the styles collected so far just before </head> of the shell, and, for content that
 *  streams in later, in front of the chunk that needs them. */
function styleInjector(sheet: ServerStyleSheet) {
  let head = ''
  let headDone = false
  const decoder = new TextDecoder()
  const take = () => {
    const css = sheet._emitSheetCSS()
    sheet.instance.clearTag()
    return css
  }
  return new Transform({
    transform(chunk: Buffer, _enc, done) {
      if (headDone) {
        const css = take()
        done(null, css ? Buffer.concat([Buffer.from(css), chunk]) : chunk)
        return
      }
      head += decoder.decode(chunk, { stream: true })
      const at = head.indexOf('</head>')
      if (at < 0) return done()
      headDone = true
      done(null, head.slice(0, at) + take() + head.slice(at))
    },
    flush(done) {
      sheet.seal()
      done(null, headDone ? undefined : head)
    },
  })
}

const csp = (nonce: string) =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'wasm-unsafe-eval'`,
    `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "worker-src 'self'",
    "img-src 'self' data:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "base-uri 'none'",
    "object-src 'none'",
    "frame-ancestors 'none'",
  ].join('; ')

export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  entryContext: EntryContext,
  _ctx: RouterContextProvider,
) {
  // no CSP in dev: RR's dev-only critical-css <link nonce> would log a hydration mismatch
  const nonce = import.meta.env.DEV ? undefined : randomBytes(16).toString('base64')
  const sheet = new ServerStyleSheet(nonce ? { nonce } : {})
  const waitAll = isbot(request.headers.get('user-agent') ?? '') || entryContext.isSpaMode
  return new Promise<Response>((resolve, reject) => {
    let shellRendered = false
    const { pipe, abort } = renderToPipeableStream(
      sheet.collectStyles(
        <NonceContext.Provider value={nonce}>
          <ServerRouter context={entryContext} url={request.url} {...(nonce ? { nonce } : {})} />
        </NonceContext.Provider>,
      ),
      {
        ...(nonce ? { nonce } : {}),
        [waitAll ? 'onAllReady' : 'onShellReady']() {
          shellRendered = true
          const body = new PassThrough()
          pipe(styleInjector(sheet)).pipe(body)
          headers.set('Content-Type', 'text/html; charset=utf-8')
          if (nonce) headers.set('Content-Security-Policy', csp(nonce))
          resolve(new Response(createReadableStreamFromReadable(body), { headers, status }))
        },
        onShellError: reject,
        onError(error) {
          status = 500
          if (shellRendered) console.error(error)
        },
      },
    )
    setTimeout(abort, streamTimeout + 1000).unref()
  })
}

export const handleError: HandleErrorFunction = (error, { request }) => {
  if (request.signal.aborted) return
  if (isRouteErrorResponse(error) && error.status < 500) return
  console.error(error)
}
