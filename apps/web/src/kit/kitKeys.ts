import { stateKeys } from '../keys/statement'

export const kitKeys = stateKeys('Kit', ['list', 'form'], {
  another: { keys: ['n'], label: 'another meter', when: ['list'] },
  change: { keys: [...'123456789'], label: 'change a meter', cap: '1–9', when: ['list'] },
  leave: { keys: ['Escape'], label: 'the queue', when: ['list'] },
})
