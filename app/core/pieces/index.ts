export * from './endCut'
export * from './piece'
export * from './splitRun'
export * from './cutList'
