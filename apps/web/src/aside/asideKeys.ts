import { stateKeys } from '../keys/statement'

/** What the keys do on the screen of what was set aside. */
export const asideKeys = stateKeys('Set aside', ['list', 'empty', 'asking'], {
  up: { keys: ['ArrowUp'], label: 'up', when: ['list'], repeats: true },
  down: { keys: ['ArrowDown'], label: 'down', when: ['list'], repeats: true },
  again: { keys: ['a'], label: 'send it again', when: ['list'] },
  save: { keys: ['s'], label: 'save all as a file', when: ['list'] },
  give: { keys: ['p'], label: 'give it to another part', when: ['list'] },
  away: { keys: ['x'], label: 'throw it away, and say why', when: ['list'] },
  saved: { keys: ['t'], label: 'take in a saved file', when: ['list', 'empty'] },
  leave: { keys: ['Escape'], label: 'the queue', when: ['list', 'empty'] },
})
