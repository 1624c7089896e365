import compression from 'compression'
import express from 'express'
import helmet from 'helmet'
import { pino } from 'pino'

const dev = process.env.NODE_ENV === 'development'
const host = '127.0.0.1'
const port = Number(process.env.PORT ?? 4173)
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' })
const app = express()
app.disable('x-powered-by')
// The content policy is set per page, with its nonce, in entry.server; without the referrer policy
// posts from pages without scripts would arrive with no origin and be refused.
app.use(helmet({ contentSecurityPolicy: false, hsts: false, referrerPolicy: { policy: 'same-origin' } }))
app.use(compression())
app.use((request, response, next) => {
  const started = process.hrtime.bigint()
  response.on('finish', () =>
    log.debug({
      method: request.method,
      url: request.originalUrl,
      status: response.statusCode,
      ms: Number(process.hrtime.bigint() - started) / 1e6,
    }),
  )
  next()
})

if (dev) {
  const { createServer } = await import('vite')
  const vite = await createServer({ server: { middlewareMode: true } })
  app.use(vite.middlewares)
  app.use(async (request, response, next) => {
    try {
      const module = await vite.ssrLoadModule('./app/server/app.server.ts')
      return await module.app(request, response, next)
    } catch (error) {
      if (error instanceof Error) vite.ssrFixStacktrace(error)
      next(error)
    }
  })
} else {
  app.use('/assets', express.static('build/client/assets', { immutable: true, maxAge: '1y' }))
  app.use(express.static('build/client', { maxAge: '1h' }))
  app.use((await import('./build/server/index.js')).app)
}

const server = app.listen(port, host, (error) => {
  if (error) {
    console.error(`Regla can't listen on ${host}:${port}: ${error.message}. Set PORT to a free one.`)
    process.exit(1)
  }
  console.log(`Regla is at http://${host}:${port}`)
})
for (const signal of ['SIGINT', 'SIGTERM'])
  process.once(signal, () => {
    server.close(() => process.exit(0))
    setTimeout(() => process.exit(0), 3000).unref()
  })
