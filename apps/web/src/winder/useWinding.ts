import { unknownFacts, type CoilState, type RewindBody, type RewindStep, type WireFit } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import { emptyLine, keptText, openLine, press, type Line } from '../reading/line'
import { useMeter } from '../reading/useMeter'
import { usePhotos } from '../store/photos'
import { useRewind } from '../store/rewind'
import { useShop } from '../store/shop'
import { lays } from './lays'
import { saying } from './saying'
import { swings } from './swings'
import { useCounter } from './useCounter'

/** as many as letters choose */
const mostFits = 5

/** What is typed and pressed at the winder, made entries of the rewind. */
export function useWinding() {
  const store = useRewind()
  const shop = useShop()
  const photos = usePhotos()
  /** chosen by hand; null follows the work */
  const cursor = ref<string | null>(null)
  const line = ref<Line | null>(null)
  const problem = ref('')
  /** this coil is laid the other way than it should be */
  const other = ref(false)
  const step = computed<RewindStep | undefined>(() => {
    const { steps = [], step: due } = store.state ?? {}
    return steps.find(({ id }) => id === (cursor.value ?? due)) ?? steps.at(-1)
  })
  const kind = computed(() => step.value?.id.split(':')[0] ?? '')
  const coil = computed<CoilState | undefined>(() => store.state?.coils.find((one) => one.coil.id === step.value?.coil))
  const sisters = computed(
    () => store.state?.coils.filter((one) => one.coil.winding === coil.value?.coil.winding).length ?? 1,
  )
  const of = computed(() => (kind.value === 'turns' ? ('strip' as const) : ('wind' as const)))
  const { turns, set, add } = useCounter(() =>
    store.rewind && coil.value ? `${store.rewind.id}/${coil.value.coil.id}/${of.value}` : undefined,
  )
  watch(
    () => step.value?.id,
    () => {
      line.value = null
      problem.value = ''
      other.value = false
    },
  )
  // what another bench or an earlier day counted is gone on from
  watch(
    coil,
    (one) => {
      const known = of.value === 'strip' ? one?.stripped : one?.turns
      if (known !== undefined && known > turns.value) set(known)
    },
    { immediate: true },
  )

  const id = () => coil.value?.coil.id ?? ''
  /** What may show a photo goes with the one that was taken. */
  const keep = (body: RewindBody): void =>
    store.add(
      body.kind === 'original' || body.kind === 'step' || body.kind === 'note' ? { ...body, ...photos.named() } : body,
    )
  const done = () => void (cursor.value = null)
  const lay = computed(() => {
    const due = coil.value?.lay
    return due && other.value ? (due === 'cw' ? ('ccw' as const) : ('cw' as const)) : due
  })
  /** which way the machine must turn for that, by the turn that was tried */
  const machine = computed(() => {
    const tried = store.state?.direction
    if (!tried || !lay.value) return undefined
    return lay.value === tried.lay ? tried.machine : tried.machine === 'cw' ? ('ccw' as const) : ('cw' as const)
  })
  const { meter, nextMeter } = useMeter(
    () => store.rewind,
    () => 'resistance',
  )

  function go(by: 1 | -1): void {
    const { steps = [] } = store.state ?? {}
    const at = steps.findIndex((one) => one.id === step.value?.id)
    cursor.value = steps[Math.min(steps.length - 1, Math.max(0, at + by))]?.id ?? null
  }

  /** All were counted: of the old coil, or on the new one. */
  function counted(): void {
    if (!coil.value || turns.value === 0) {
      problem.value = 'Nothing is counted yet: Space is one turn, + is ten, or type the number.'
      return
    }
    if (kind.value === 'turns') keep({ kind: 'original', coil: id(), facts: { turns: turns.value } })
    else
      store.add({
        kind: 'wound',
        coil: id(),
        turns: turns.value,
        ...(lay.value ? { lay: lay.value } : {}),
      })
    done()
  }

  function keepLine(): void {
    const text = line.value ? keptText(line.value) : ''
    const wrong = keptAs(text)
    problem.value = wrong === '' ? '' : `${wrong} Nothing was kept of “${text.slice(0, 40)}”.`
    if (wrong === '') line.value = null
  }

  /** What this step asks of the old coil nobody can tell any more. */
  function cannotBeKnown(): void {
    const of = unknownFacts.find((one) => one === kind.value)
    if (!of) return
    store.add({ kind: 'unknown', coil: id(), of })
    done()
  }

  const build = ref<'single' | 'heavy'>()
  const fits = computed<WireFit[]>(() => (coil.value?.gauges.at(-1)?.fits ?? []).slice(0, mostFits))
  function take(at: number): boolean {
    const fit = fits.value[at]
    if (!fit) return false
    const { awg, bareMm, overallMm, build: film } = fit
    const size = awg === undefined ? (bareMm === undefined ? {} : { bareMm }) : { awg }
    keep({ kind: 'original', coil: id(), facts: { wire: { ...size, overallMm, build: film } } })
    done()
    return true
  }
  /** The film that the next reading is held against: single, heavy, either. It is no finding before a wire is chosen. */
  function turnBuild(): void {
    build.value = build.value === undefined ? 'single' : build.value === 'single' ? 'heavy' : undefined
  }

  function turned(at: number): void {
    const way = lays[at]
    if (way) store.add({ kind: 'direction', machine: way.machine, lay: way.lay })
    done()
  }

  const here = () => ({ coil: id(), turns: turns.value })
  const ground = () =>
    store.add({ kind: 'live-ground', state: store.state?.ground === 'off' ? 'on' : 'off', ...here() })
  const beep = () => store.add({ kind: 'live-ground', state: 'beep', ...here() })
  const mended = () => store.add({ kind: 'live-ground', state: 'mended', ...here() })
  function broke(then: 'splice' | 'again'): void {
    store.add({ kind: 'broke', ...here(), then })
    if (then === 'again') set(0)
    other.value = false
  }

  const { keptAs, say } = saying({
    kind: () => kind.value,
    coil: id,
    build: () => build.value,
    meter: () => meter.value?.id,
    left: () => coil.value?.original.left,
    decimalComma: () => shop.settings.decimalComma,
    keep,
    set,
    done,
    cannotBeKnown,
  })

  function swung(at: number): void {
    const found = swings[at]
    if (found) store.add({ kind: 'phase', coil: id(), swing: found.swing, magnets: found.magnets })
    done()
  }

  /** What is counted so far goes onto the tape: another bench, or another day, goes on from there. */
  function soFar(): void {
    const known = of.value === 'strip' ? coil.value?.stripped : coil.value?.turns
    if (coil.value && known !== turns.value) store.add({ kind: 'count', coil: id(), of: of.value, turns: turns.value })
  }

  /** Takes back what was entered last; a count that was typed goes back to what stood before it, one that was counted here stays. */
  function undo(): void {
    const last = store.lastEntry
    if (!last) return
    store.add({ kind: 'take-back', entry: last.id, reason: 'undone' })
    if (last.kind === 'count' || last.kind === 'mid-wind' || last.kind === 'broke')
      set((of.value === 'strip' ? coil.value?.stripped : coil.value?.turns) ?? 0)
  }

  const open = (key: string) => void (line.value = openLine(key, ''))
  function type(key: string): void {
    const next = press(line.value ?? emptyLine, key)
    line.value = next.text === '' ? null : next
    problem.value = ''
  }
  const put = (text: string) =>
    void (line.value = text === '' ? null : { ...openLine('', ''), text: text.slice(0, 60) })

  return {
    step,
    kind,
    coil,
    sisters,
    cursor,
    line,
    problem,
    turns,
    add,
    lay,
    machine,
    meter,
    nextMeter,
    other,
    fits,
    build,
    go,
    counted,
    keepLine,
    say,
    cannotBeKnown,
    take,
    turnBuild,
    turned,
    swung,
    soFar,
    keep,
    ground,
    beep,
    mended,
    broke,
    undo,
    open,
    type,
    put,
    clear: () => void (line.value = null),
    done,
  }
}

export type Winding = ReturnType<typeof useWinding>
