import { stateKeys } from '../keys/statement'

export const sheetKeys = stateKeys('The sheet', ['sheet'], {
  print: { keys: ['p'], label: 'print' },
  save: { keys: ['j'], label: 'save the run as JSON' },
  back: { keys: ['Escape'], label: 'back to the bench' },
})
