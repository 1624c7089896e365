import { readFileSync } from 'node:fs'
import { createServer as createPlain } from 'node:http'
import { createServer as createSecure } from 'node:https'
import { dirname, join } from 'node:path'
import express from 'express'

const dev = process.env.NODE_ENV === 'development'
/** A request that is not all here by then is given up. */
const REQUEST_WITHIN_MS = 30_000

const server = express()
server.disable('x-powered-by')
let regla
if (dev) {
  const { createServer } = await import('vite')
  const vite = await createServer({ server: { middlewareMode: true } })
  const load = () => vite.ssrLoadModule('./app/server/app.server.ts')
  regla = await load()
  server.use(regla.front)
  server.use(vite.middlewares)
  server.use(async (request, response, next) => {
    try {
      return await (await load()).app(request, response, next)
    } catch (error) {
      if (error instanceof Error) vite.ssrFixStacktrace(error)
      next(error)
    }
  })
} else {
  regla = await import('./build/server/index.js')
  server.use(regla.front)
  server.use('/assets', express.static('build/client/assets', { immutable: true, maxAge: '1y' }))
  // the worker says which build is there: it is asked for every time
  const fresh = (response, path) => path.endsWith('sw.js') && response.setHeader('Cache-Control', 'no-cache')
  server.use(express.static('build/client', { maxAge: '1h', setHeaders: fresh }))
  server.use(regla.app)
}

function stop(text) {
  console.error(text)
  process.exit(1)
}

const { host, port, local, tls, hosts, url } = regla.network()
const dataFolder = dirname(process.env.DB_FILE ?? 'data/regla.db')
const names = hosts.map((name) => name.replace(/^\[|\]$/g, ''))

/** The certificate of a server on the network: one's own, or one made here with an authority for phones to trust. */
async function certificate() {
  if (tls === 'own')
    return { key: readFileSync(process.env.REGLA_KEY), cert: readFileSync(process.env.REGLA_CERT) }
  return regla.certificateFor(join(dataFolder, 'tls'), names)
}

/** Beside the secure server a plain one sends people there, and hands out the authority that phones are to trust. */
function plainDoor(authority) {
  const door = express()
  door.disable('x-powered-by')
  door.get('/regla-authority.crt', (_request, response) =>
    authority ? response.type('application/x-x509-ca-cert').send(authority) : response.sendStatus(404),
  )
  door.use((request, response) => {
    const asked = hosts.includes(request.hostname) ? request.hostname : new URL(url).hostname
    response.redirect(308, `https://${asked}:${port}${request.originalUrl.replace(/^\/+/, '/')}`)
  })
  return createPlain(door)
}

function listen(on, at, said) {
  on.requestTimeout = REQUEST_WITHIN_MS
  on.headersTimeout = REQUEST_WITHIN_MS
  on.on('error', (error) =>
    stop(`Regla can't listen on ${host}:${at}: ${error.message}. Set PORT to a free one.`),
  )
  on.listen(at, host, () => console.log(said))
  return on
}

const doors = []
if (tls === 'none') doors.push(listen(createPlain(server), port, `Regla is at ${url}`))
else {
  const held = await certificate().catch((error) => stop(`The certificate can't be used: ${error.message}`))
  doors.push(listen(createSecure(held, server), port, `Regla is at ${url}`))
  doors.push(
    listen(
      plainDoor(held.authority),
      port + 1,
      `Phones take the certificate from ${url.replace('https', 'http').replace(`:${port}`, `:${port + 1}`)}/regla-authority.crt; docs/crew.md says how.`,
    ),
  )
}
if (!local) console.log('It can be reached from the network: nobody comes in without signing in.')

function leave() {
  regla.closeDatabase()
  process.exit(0)
}
for (const signal of ['SIGINT', 'SIGTERM'])
  process.once(signal, () => {
    let open = doors.length
    for (const door of doors) door.close(() => (open -= 1) === 0 && leave())
    // kept-alive connections are not waited for
    for (const door of doors) door.closeIdleConnections()
    setTimeout(leave, 3000).unref()
  })
