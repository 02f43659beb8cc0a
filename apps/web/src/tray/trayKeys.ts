import { stateKeys } from '../keys/statement'

export const trayKeys = stateKeys('a tray', ['tray'], {
  begin: { keys: ['Enter'], label: 'take the next to the bench' },
  print: { keys: ['p'], label: 'print' },
  leave: { keys: ['Escape'], label: 'the queue' },
})
