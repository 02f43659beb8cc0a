import { stateKeys } from '../keys/statement'

export const unitKeys = stateKeys('a unit', ['unit'], {
  begin: { keys: ['Enter'], label: 'start its next run' },
  ranWell: { keys: ['1'], label: 'ran well' },
  cameBack: { keys: ['2'], label: 'came back' },
  wind: { keys: ['w'], label: 'wind it as a file says' },
  find: { keys: ['/'], label: 'cards' },
  leave: { keys: ['Escape'], label: 'the queue' },
})
