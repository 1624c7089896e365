import { prepare } from './prepare.mjs'

prepare({ build: true })
process.env.NODE_ENV = 'production'
await import('../server.js')
