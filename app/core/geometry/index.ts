export * from './point'
