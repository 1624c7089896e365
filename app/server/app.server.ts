import 'react-router'
import { createRequestHandler } from '@react-router/express'
import express from 'express'
import { type ServerBuild } from 'react-router'
import { prepareData } from './prepareData.server'

export const app = express()
app.disable('x-powered-by')
app.use(
  createRequestHandler({
    // the cast is for exactOptionalPropertyTypes
    build: () => import('virtual:react-router/server-build') as unknown as Promise<ServerBuild>,
  }),
)

prepareData()
