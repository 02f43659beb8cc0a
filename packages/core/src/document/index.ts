export * from './card'
export * from './ids'
export * from './run'
