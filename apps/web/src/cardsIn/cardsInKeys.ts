import { stateKeys } from '../keys/statement'

export const cardsInKeys = stateKeys('taking in', ['choose', 'working', 'shown'], {
  choose: { keys: ['u'], label: 'choose a file', when: ['choose', 'shown'] },
  keep: { keys: ['Enter'], label: 'take it in', when: ['shown'] },
  callOff: { keys: ['x'], label: 'call it off', when: ['working'] },
  leave: { keys: ['Escape'], label: 'cards', when: ['choose', 'shown'] },
})
