export * from './formats'
export * from './api/bodies'
export * from './figures'
