import { instrumentFor, instrumentsFor, type Instrument, type Quantity, type Run } from '@sure-spool/core'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

/** What this browser has in the hand is not what another tab has: neither changes the other's. */
const own = { listenToStorageChanges: false }

/** What is in the hand: for each quantity the meter last used for it, and tips or clips. Both are remembered by this browser. */
export function useMeter(run: () => Run | undefined, quantity: () => Quantity) {
  const contact = useLocalStorage<'tips' | 'clips'>('spool.contact', 'tips', own)
  const inHand = useLocalStorage<Partial<Record<Quantity, string>>>('spool.meters', {}, own)
  const meters = computed<Instrument[]>(() => run()?.instruments ?? [])
  /** none where no meter of this run reads what the step asks for */
  const meter = computed(() => instrumentFor(meters.value, quantity(), inHand.value[quantity()]))

  const setContact = (to: 'tips' | 'clips'): void => void (contact.value = to)
  const turnContact = (): void => setContact(contact.value === 'tips' ? 'clips' : 'tips')

  function nextMeter(): void {
    const able = instrumentsFor(meters.value, quantity())
    const next = able[(able.findIndex((one) => one.id === meter.value?.id) + 1) % Math.max(1, able.length)]
    if (next) inHand.value = { ...inHand.value, [quantity()]: next.id }
  }

  /** The meter that reads a quantity best is in the hand again, whatever was taken up for it before. */
  function bestMeter(of: Quantity): void {
    const { [of]: _taken, ...others } = inHand.value
    inHand.value = others
  }

  return { meter, contact, setContact, turnContact, nextMeter, bestMeter }
}
