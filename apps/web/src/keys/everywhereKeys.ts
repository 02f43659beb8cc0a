import { stateKeys } from './statement'

/** What the keys do on every screen. */
export const everywhereKeys = stateKeys('On every screen', ['everywhere'], {
  help: { keys: ['?'], label: 'these keys' },
  nextPerson: { keys: ['W'], label: 'who is at the bench' },
})
