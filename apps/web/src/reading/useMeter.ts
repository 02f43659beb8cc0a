import {
  instrumentFor,
  instrumentsFor,
  isByProngs,
  type CheckKind,
  type Instrument,
  type Quantity,
  type Run,
} from '@sure-spool/core'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

/** What this browser has in the hand is not what another tab has: neither changes the other's. */
const own = { listenToStorageChanges: false }

/**
 * What is in the hand: for each quantity the meter last taken up for it, else the one taken up last where it is made for it too, and tips or
 * clips. All are remembered by this browser. A growler's prongs are taken up for bars alone: no draw is read by them.
 */
export function useMeter(
  run: () => Pick<Run, 'instruments'> | undefined,
  quantity: () => Quantity,
  kind: () => CheckKind | undefined = () => undefined,
) {
  const contact = useLocalStorage<'tips' | 'clips'>('spool.contact', 'tips', own)
  const inHand = useLocalStorage<Partial<Record<Quantity | 'prongs', string>>>('spool.meters', {}, own)
  const takenLast = useLocalStorage('spool.meter', '', own)
  const meters = computed<Instrument[]>(() => run()?.instruments ?? [])
  /** none where no meter of this run reads what the step asks for */
  const byProngs = computed(() => isByProngs(quantity(), kind()))
  const use = computed(() => (byProngs.value ? 'prongs' : quantity()))
  const meter = computed(() => {
    const last = byProngs.value ? '' : takenLast.value
    return instrumentFor(meters.value, quantity(), inHand.value[use.value], last, kind())
  })

  const setContact = (to: 'tips' | 'clips'): void => void (contact.value = to)
  const turnContact = (): void => setContact(contact.value === 'tips' ? 'clips' : 'tips')

  function nextMeter(): void {
    const able = instrumentsFor(meters.value, quantity(), kind())
    const next = able[(able.findIndex((one) => one.id === meter.value?.id) + 1) % Math.max(1, able.length)]
    if (!next) return
    inHand.value = { ...inHand.value, [use.value]: next.id }
    if (!byProngs.value) takenLast.value = next.id
  }

  /** The meter that reads a quantity best is in the hand again, whatever was taken up for it before. */
  function bestMeter(of: Quantity): void {
    const [best] = instrumentsFor(meters.value, of)
    if (best) inHand.value = { ...inHand.value, [of]: best.id }
  }

  return { meter, contact, setContact, turnContact, nextMeter, bestMeter }
}
