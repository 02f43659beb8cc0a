import { stateKeys } from './statement'

/** A line that asks for words, over whatever screen it lies. */
export const askKeys = stateKeys('A question', ['asking'], {
  offer: { keys: [...'123456789'], label: 'take what is offered', cap: '1–9' },
  keep: { keys: ['Enter'], label: 'keep' },
  leave: { keys: ['Escape'], label: 'leave' },
})
