import { stateKeys } from '../keys/statement'

export const winderSheetKeys = stateKeys('The winding sheet', ['sheet'], {
  print: { keys: ['p'], label: 'print' },
  back: { keys: ['Escape'], label: 'back to the winder' },
})
