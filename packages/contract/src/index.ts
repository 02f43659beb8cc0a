export * from './formats'
export * from './api/bodies'
