export * from './point'
export * from './convex'
export * from './halfPlane'
