import { expose } from 'comlink'
import highs from 'highs'
import wasmUrl from 'highs/runtime?url'
import { type BoardRequest, planBoards } from '~/core/stock'
import { highsSolver } from './highsSolver'

const solve = highsSolver(() => highs({ locateFile: () => wasmUrl }))

const api = { plan: (request: BoardRequest) => planBoards(request, solve) }
export type BoardsWorker = typeof api

expose(api)
