import { instrumentFor, instrumentsFor, type Instrument, type Quantity, type Run } from '@sure-spool/core'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

/** What this browser has in the hand is not what another tab has: neither changes the other's. */
const own = { listenToStorageChanges: false }

/**
 * What is in the hand: for each quantity the meter last taken up for it, else the one taken up last where it is made for it too, and tips or
 * clips. All are remembered by this browser.
 */
export function useMeter(run: () => Pick<Run, 'instruments'> | undefined, quantity: () => Quantity) {
  const contact = useLocalStorage<'tips' | 'clips'>('spool.contact', 'tips', own)
  const inHand = useLocalStorage<Partial<Record<Quantity, string>>>('spool.meters', {}, own)
  const takenLast = useLocalStorage('spool.meter', '', own)
  const meters = computed<Instrument[]>(() => run()?.instruments ?? [])
  /** none where no meter of this run reads what the step asks for */
  const meter = computed(() => instrumentFor(meters.value, quantity(), inHand.value[quantity()], takenLast.value))

  const setContact = (to: 'tips' | 'clips'): void => void (contact.value = to)
  const turnContact = (): void => setContact(contact.value === 'tips' ? 'clips' : 'tips')

  function nextMeter(): void {
    const able = instrumentsFor(meters.value, quantity())
    const next = able[(able.findIndex((one) => one.id === meter.value?.id) + 1) % Math.max(1, able.length)]
    if (!next) return
    inHand.value = { ...inHand.value, [quantity()]: next.id }
    takenLast.value = next.id
  }

  /** The meter that reads a quantity best is in the hand again, whatever was taken up for it before. */
  function bestMeter(of: Quantity): void {
    const [best] = instrumentsFor(meters.value, of)
    if (best) inHand.value = { ...inHand.value, [of]: best.id }
  }

  return { meter, contact, setContact, turnContact, nextMeter, bestMeter }
}
