import { stateKeys } from '../keys/statement'

/** Undo and redo are the whole card's, wherever the cursor stands. */
export const writeKeys = stateKeys('Writing a card', ['writing'], {
  undo: { keys: ['Ctrl+z'], label: 'undo', repeats: true },
  redo: { keys: ['Ctrl+y', 'Ctrl+Shift+z'], label: 'redo', repeats: true },
  publish: { keys: ['Ctrl+Enter'], label: 'publish' },
  nextSection: { keys: ['Ctrl+ArrowDown'], label: 'the next section' },
  sectionBefore: { keys: ['Ctrl+ArrowUp'], label: 'the section before' },
})
