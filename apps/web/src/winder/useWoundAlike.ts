import type { ListedRewind, RewindList } from '@sure-spool/contract'
import { computed, ref, watch } from 'vue'
import { ask } from '../store/api'
import { keepCopy, readCopy } from '../store/browserDatabase'

/** One winding of another rewind of the model: how it was wound, and what became of it. */
export type WoundAlike = ListedRewind['wound'][number] & Pick<ListedRewind, 'id' | 'tag' | 'after'>

/** Whether a rewind was proven: no fault was found after it, and it did not come back. */
export const isProven = ({ after }: Pick<ListedRewind, 'after'>): boolean =>
  after?.finding === 'no-fault-found' && !after.cameBack

const mostOffered = 3

/** Rewinds of a model as this browser or the server has them; the browser's copy while the server is away. */
export function useRewindList(of: () => { of: 'units' | 'cards'; id: string } | undefined) {
  const rewinds = ref<ListedRewind[]>([])
  watch(
    () => JSON.stringify(of() ?? null),
    async (key) => {
      rewinds.value = []
      const wanted = of()
      if (!wanted) return
      const address = `/${wanted.of}/${wanted.id}/rewinds`
      const copy = await readCopy<RewindList>(address)
      const isStill = () => JSON.stringify(of() ?? null) === key
      if (copy && isStill()) rewinds.value = copy.rewinds
      // a list that is not there is left out: it is at hand again when the server is
      const fresh = await ask<RewindList>(address).catch(() => undefined)
      if (!fresh) return
      await keepCopy(address, fresh)
      if (isStill()) rewinds.value = fresh.rewinds
    },
    { immediate: true },
  )
  return rewinds
}

/** What the next plan of a winding can begin from: the model's other rewinds of it, proven ones first, then the newest. */
export function useWoundAlike(
  card: () => string | undefined,
  here: () => string | undefined,
  winding: () => string | undefined,
) {
  const rewinds = useRewindList(() => {
    const id = card()
    return id === undefined ? undefined : { of: 'cards', id }
  })
  return computed<WoundAlike[]>(() =>
    rewinds.value
      .flatMap(({ id, tag, after, wound }) =>
        id === here()
          ? []
          : wound
              .filter((one) => one.winding === winding())
              .map((one) => ({ ...one, id, tag, ...(after ? { after } : {}) })),
      )
      .sort((a, b) => Number(isProven(b)) - Number(isProven(a)))
      .slice(0, mostOffered),
  )
}
