import type { CardRecord } from '@sure-spool/contract'
import { ref, watch, type Ref } from 'vue'
import { ask } from '../store/api'
import { keepCopy, readCopy } from '../store/browserDatabase'

/** What the shop's own units of a card have shown; the browser's copy while the server is away. */
export function useRecord(card: () => string | undefined): Ref<CardRecord | undefined> {
  const record = ref<CardRecord>()
  watch(
    card,
    async (id) => {
      record.value = undefined
      if (id === undefined) return
      const shown = await readCopy<CardRecord>(`record:${id}`)
      if (card() === id && shown) record.value = shown
      const fresh = await ask<CardRecord>(`/cards/${id}/record`).catch(() => undefined)
      if (!fresh || card() !== id) return
      record.value = fresh
      await keepCopy(`record:${id}`, fresh)
    },
    { immediate: true },
  )
  return record
}

/** What is said of a model whose units came back although nothing was found; empty where none did. */
export function cameBackWords({ cameBackAfterPass: count }: CardRecord): string {
  if (count === 0) return ''
  return count === 1
    ? 'One unit of this model came back after no fault was found: these tests miss what it fails by.'
    : `${count} units of this model came back after no fault was found: these tests miss what they fail by.`
}
