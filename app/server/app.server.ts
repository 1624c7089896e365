import 'react-router'
import { createRequestHandler } from '@react-router/express'
import compression from 'compression'
import express, { type Request } from 'express'
import helmet from 'helmet'
import { pino } from 'pino'
import { RouterContextProvider, type ServerBuild } from 'react-router'
import { addressContext } from './crew/entry.server'
import { guard } from './http/guard.server'
import { network } from './http/network.server'
import { prepareData } from './prepareData.server'

export { closeDatabase } from './database.server'
export { certificateFor } from './http/certificate.server'
export { network }

const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' })

/** What every request passes before anything is read or served. */
export const front = express.Router()
const { hosts, origins, proxied } = network()
front.use(guard({ hosts, origins }))
// The content policy is set per page, with its nonce, in entry.server; without the referrer policy
// posts from pages without scripts would arrive with no origin and be refused.
front.use(helmet({ contentSecurityPolicy: false, hsts: false, referrerPolicy: { policy: 'same-origin' } }))
front.use(compression())
front.use((request, response, next) => {
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

/** The pages. */
export const app = express()
app.disable('x-powered-by')
if (proxied) app.set('trust proxy', 1)
app.use(
  createRequestHandler({
    getLoadContext(request) {
      const context = new RouterContextProvider()
      context.set(addressContext, (request as Request).ip ?? '')
      return context
    },
    // the cast is for exactOptionalPropertyTypes
    build: () => import('virtual:react-router/server-build') as unknown as Promise<ServerBuild>,
  }),
)

prepareData()
