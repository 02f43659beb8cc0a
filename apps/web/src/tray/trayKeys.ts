import { stateKeys } from '../keys/statement'

export const trayKeys = stateKeys('a tray', ['tray', 'deciding'], {
  begin: { keys: ['Enter'], label: 'take the next to the bench', when: ['tray'] },
  decide: { keys: ['a', 'b'], label: 'one decision', cap: 'a b', when: ['tray'], settles: true },
  print: { keys: ['p'], label: 'print', when: ['tray'] },
  leave: { keys: ['Escape'], label: 'the queue', when: ['tray'] },
})
