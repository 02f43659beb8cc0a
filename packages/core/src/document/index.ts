export * from './card'
export * from './ids'
export * from './run'
export { nextEntry } from './nextEntry'
