import type { Instrument, Run } from '@sure-spool/core'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

/** What this browser has in the hand is not what another tab has: neither changes the other's. */
const own = { listenToStorageChanges: false }

/** What is in the hand: the meter, and tips or clips. Both are remembered by this browser. */
export function useMeter(run: () => Run | undefined) {
  const contact = useLocalStorage<'tips' | 'clips'>('spool.contact', 'tips', own)
  const meterId = useLocalStorage('spool.meter', '', own)
  const meters = computed<Instrument[]>(() => run()?.instruments ?? [])
  const meter = computed(() => meters.value.find((one) => one.id === meterId.value) ?? meters.value[0])

  const setContact = (to: 'tips' | 'clips'): void => void (contact.value = to)
  const turnContact = (): void => setContact(contact.value === 'tips' ? 'clips' : 'tips')

  function nextMeter(): void {
    const at = meters.value.findIndex((one) => one.id === meter.value?.id)
    meterId.value = meters.value[(at + 1) % Math.max(1, meters.value.length)]?.id ?? ''
  }

  return { meter, contact, setContact, turnContact, nextMeter }
}
