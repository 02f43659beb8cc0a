import type { Spot } from '@sure-spool/core'

export interface Shown {
  id: string
  photo: string
  spot?: Spot
  words: string
}

interface Showing {
  id: string
  photo?: string
  spot?: Spot
}

/** The photos that entries name, in the order of the tape, each with what was said of it. */
export const photosOf = <E extends { id: string }>(entries: readonly E[], wordsOf: (entry: E) => string): Shown[] =>
  entries.flatMap((entry) => {
    const { photo, spot } = entry as Showing
    return photo === undefined ? [] : [{ id: entry.id, photo, ...(spot ? { spot } : {}), words: wordsOf(entry) }]
  })
