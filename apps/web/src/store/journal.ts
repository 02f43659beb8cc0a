import type { Outgoing } from './outgoing'

const prefix = 'spool.journal.'

/**
 * Notes something outgoing at once, before anything is drawn: this store is written while the key is still down, so that a tab
 * closed in the next millisecond loses nothing.
 */
export function jot(item: Outgoing): void {
  localStorage.setItem(prefix + item.id, JSON.stringify(item))
}

/** Takes a note off the journal, once the browser's own database has it. */
export const unjot = (id: string): void => localStorage.removeItem(prefix + id)

/** What was jotted and never reached the database: a tab was closed in between. Oldest first. */
export function jotted(): Outgoing[] {
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(prefix))
    .sort()
    .flatMap((key) => {
      const text = localStorage.getItem(key)
      return text === null ? [] : [JSON.parse(text) as Outgoing]
    })
}
