import { stateKeys } from '../keys/statement'

export const shopKeys = stateKeys('Shop', ['shop'], {
  leave: { keys: ['Escape'], label: 'the queue' },
})
