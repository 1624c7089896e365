export * from './point'
export * from './convex'
