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
      const fresh = await ask<CardRecord>(`/cards/${id}/record?limit=1`).catch(() => undefined)
      if (!fresh || card() !== id) return
      record.value = fresh
      await keepCopy(`record:${id}`, fresh)
    },
    { immediate: true },
  )
  return record
}

/** What became of a model's units that read right, where it speaks against such a pass; empty where it does not. */
export function recordWords({
  cameBackAfterPass,
  curedByExchange,
}: Pick<CardRecord, 'cameBackAfterPass' | 'curedByExchange'>): string {
  const back =
    cameBackAfterPass === 1
      ? 'One unit of this model came back after no fault was found: these tests miss what it fails by.'
      : `${cameBackAfterPass} units of this model came back after no fault was found: these tests miss what they fail by.`
  const cured =
    curedByExchange === 1
      ? 'One unit of this model read right, and what it was taken from ran well after its exchange.'
      : `${curedByExchange} units of this model read right, and what they were taken from ran well after their exchange.`
  return [cameBackAfterPass > 0 ? back : '', curedByExchange > 0 ? cured : ''].filter((words) => words !== '').join(' ')
}
