import { stateKeys } from '../keys/statement'

export const queueKeys = stateKeys('Queue', ['list', 'takingIn', 'settingAside'], {
  takeIn: { keys: ['i'], label: 'take in a part', when: ['list'] },
  goOn: { keys: ['r'], label: 'go on with the last run', when: ['list'] },
  toBench: { keys: ['Enter'], label: 'take to the bench', when: ['list'] },
  down: { keys: ['ArrowDown'], label: 'down the list', when: ['list'], repeats: true },
  up: { keys: ['ArrowUp'], label: 'up the list', when: ['list'], repeats: true },
  setAside: { keys: ['b'], label: 'set aside', when: ['list'] },
  find: { keys: ['/'], label: 'cards', when: ['list'] },
  keepAside: { keys: ['Enter'], label: 'set aside', when: ['settingAside'] },
  leave: { keys: ['Escape'], label: 'leave', when: ['settingAside'] },
})

export const takeInKeys = stateKeys('Taking in', ['takingIn'], {
  keep: { keys: ['Enter'], label: 'take in' },
  more: { keys: ['Ctrl+Enter'], label: 'another on its tray' },
  leave: { keys: ['Escape'], label: 'leave' },
})
