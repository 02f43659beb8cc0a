import type { Instrument, Run } from '@sure-spool/core'
import { computed, ref } from 'vue'

const meterKey = 'spool.meter'
const contactKey = 'spool.contact'

/** What is in the hand: the meter, and tips or clips. Both are remembered by this browser. */
export function useKit(run: () => Run | undefined) {
  const contact = ref<'tips' | 'clips'>(localStorage.getItem(contactKey) === 'clips' ? 'clips' : 'tips')
  const meterId = ref(localStorage.getItem(meterKey) ?? '')
  const meter = computed<Instrument | undefined>(() => {
    const meters = run()?.instruments ?? []
    return meters.find((one) => one.id === meterId.value) ?? meters[0]
  })

  function setContact(to: 'tips' | 'clips'): void {
    contact.value = to
    localStorage.setItem(contactKey, to)
  }
  const turnContact = (): void => setContact(contact.value === 'tips' ? 'clips' : 'tips')

  function nextMeter(): void {
    const meters = run()?.instruments ?? []
    const at = meters.findIndex((one) => one.id === meter.value?.id)
    meterId.value = meters[(at + 1) % Math.max(1, meters.length)]?.id ?? ''
    localStorage.setItem(meterKey, meterId.value)
  }

  return { meter, contact, setContact, turnContact, nextMeter }
}
