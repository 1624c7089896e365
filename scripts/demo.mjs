import { prepare } from './prepare.mjs'

// everything a fresh machine needs, then the server with the demo job in it
prepare({ build: true })
process.env.NODE_ENV = 'production'
process.env.REGLA_DEMO = '1'
await import('../server.js')
