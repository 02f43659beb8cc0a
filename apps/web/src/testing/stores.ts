import { createPinia, disposePinia, setActivePinia, type Pinia } from 'pinia'

let begun: Pinia[] = []

/** Stores that nothing is in yet, as in a tab that was just opened. */
export function beginStores(): Pinia {
  const pinia = createPinia()
  begun.push(pinia)
  setActivePinia(pinia)
  return pinia
}

/** Ends all that was begun, as when the tabs are closed: nothing goes on behind a test. */
export function endStores(): void {
  for (const pinia of begun) disposePinia(pinia)
  begun = []
}
