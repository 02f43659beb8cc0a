export { createApp, type AppOptions } from './app'
export { connect, type Connection, type Database } from './database/connect'
export { importShop, rebuildStates } from './services/moveHouse'
