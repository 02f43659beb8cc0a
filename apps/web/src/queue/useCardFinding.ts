import type { CardList, CardRow } from '@sure-spool/contract'
import { ref, shallowRef } from 'vue'
import { ask } from '../store/api'
import { keepCopy, readCopy } from '../store/browserDatabase'

const most = 50

/** The cards whose words fit, from the server or from this browser's copy; a question that is overtaken by the next is called off. */
export function useCardFinding() {
  const cards = shallowRef<CardRow[]>([])
  /** the words the cards were found by; none yet */
  const foundBy = ref<string>()
  let overtaken = new AbortController()

  async function find(words: string): Promise<void> {
    overtaken.abort()
    overtaken = new AbortController()
    const { signal } = overtaken
    const list = await ask<CardList>(`/cards?limit=${most}&find=${encodeURIComponent(words)}`, undefined, signal).catch(
      () => undefined,
    )
    if (signal.aborted) return
    if (list && words === '') await keepCopy('cards', list)
    const shown = list?.cards ?? matching((await readCopy<CardList>('cards'))?.cards ?? [], words)
    if (signal.aborted) return
    cards.value = shown
    foundBy.value = words
  }
  /** What is still being looked for is not wanted any more: a card was chosen. */
  const callOff = (): void => overtaken.abort()
  return { cards, foundBy, find, callOff }
}

/** The rows that carry every one of the words, for when the server is away. */
function matching(rows: CardRow[], words: string): CardRow[] {
  const needed = words.toLowerCase().split(/\s+/)
  return rows.filter(({ maker, model, family }) =>
    needed.every((word) => `${maker} ${model} ${family}`.toLowerCase().includes(word)),
  )
}
