import { defaultOptions } from 'primevue/config'

/** What the controls say to a screen reader: of one thing as of several. */
export const spoken = {
  ...defaultOptions.locale,
  searchMessage: 'found: {0}',
  selectionMessage: 'chosen: {0}',
  emptySelectionMessage: 'none chosen',
  emptySearchMessage: 'nothing found',
  // its label says already what is wanted, and some are a PIN
  passwordPrompt: '',
}
