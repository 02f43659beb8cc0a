import type { QueueUnit, RunView, Seal } from '@sure-spool/contract'
import {
  asJudged,
  conditionWordsOf,
  nextEntry,
  runState,
  type Entry,
  type EntryBody,
  type Quantity,
  type Run,
  type RunState,
  type StepState,
  type WorkOrder,
} from '@sure-spool/core'
import { useEventListener, useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { useMeter } from '../reading/useMeter'
import { useTyping } from '../reading/useTyping'
import { playVerdict } from '../reading/verdictSound'
import { ask, whyMissing } from './api'
import { alongPath } from './alongPath'
import { askedBeside } from './askedBeside'
import { keepRunCopy, merged, readRunCopy } from './browserDatabase'
import { handPlace } from './handPlace'
import { stampNow } from './clock'
import { newId } from './newId'
import { wouldSay } from './oneLonger'
import { useOutbox } from './outbox'
import { plain } from './plain'
import { restAlike } from './restAlike'
import { turnedStep } from './turnedStep'
import { startRun, waitingEntries } from './runCopies'
import { saidSpeed } from './saidSpeed'
import { useShop } from './shop'
import { stepFacts } from './stepFacts'

/** What one tab tells the others of this browser. */
interface Told {
  run: string
  entry: Entry
}

/** The run on the bench: its tape, its state as core computes it, and what is being done. */
export const useBench = defineStore('bench', () => {
  const shop = useShop()
  const outbox = useOutbox()
  const run = shallowRef<Run>()
  const missing = ref('')
  const place = handPlace(() => current.value)
  const { cursor, doing, goTo } = place
  const serverSays = ref<{ count: number; finding: string }>()
  const hand = useMeter(
    () => run.value,
    () => wanted(),
    () => facts.check.value?.kind,
  )
  const tabs = 'BroadcastChannel' in globalThis ? new BroadcastChannel('sure-spool') : undefined
  onScopeDispose(() => tabs?.close())

  /** test by test or coil by coil: remembered by person */
  const order = useLocalStorage<WorkOrder>(() => `spool.order.${shop.person?.id ?? ''}`, 'tests', {
    writeDefaults: false,
  })
  const state = computed<RunState | undefined>(
    (before) => run.value && runState(run.value, before?.run.id === run.value.id ? before : undefined, order.value),
  )
  /** the run on its card with what was asked of it besides */
  const asked = computed(() => state.value?.run)
  const steps = computed<StepState[]>(() => state.value?.steps ?? [])
  const stepId = computed(() => doing.value?.step ?? cursor.value ?? state.value?.step ?? 'finding')
  const current = computed(() => steps.value.find((one) => one.step.id === stepId.value) ?? steps.value.at(-1))
  const evaluationOf = (id = '') => state.value && asJudged(state.value, id)
  const lastReading = computed(() => {
    const { tape } = state.value ?? {}
    return evaluationOf(tape?.readings.filter((entry) => !tape.gone.has(entry.id)).at(-1)?.id)
  })
  const saidRpm = saidSpeed(() => state.value)
  const facts = stepFacts({
    state: () => state.value,
    current: () => current.value,
    meter: () => hand.meter.value,
    person: () => shop.person?.id ?? '',
    again: () => doing.value !== null,
  })
  /** what the step that is open is read in */
  const wanted = (): Quantity => (current.value?.step.kind === 'supply' ? 'voltage' : facts.measured.value)
  const typing = useTyping({
    current: () => current.value,
    doing: () => doing.value,
    check: () => facts.check.value,
    quantity: () => facts.quantity.value,
    meter: () => hand.meter.value,
    contact: () => hand.contact.value,
    typing: () => ({ decimalComma: shop.settings.decimalComma, units: shop.units }),
    lengthOf: (index) =>
      index === undefined
        ? undefined
        : state.value?.tape.readings.findLast(({ reading }) => reading.index === index)?.reading.x,
    rpm: () => saidRpm.value,
    isLength: () => facts.isLength.value,
    standing: () =>
      (state.value?.checks ?? []).flatMap(({ points }) => points.flatMap(({ evaluation }) => evaluation ?? [])),
    readingOf: (id) => evaluationOf(id)?.entry.reading,
    words: () => conditionWordsOf(run.value?.card ?? { checks: [] }),
    add: (body) => {
      const entry = add(body)
      if (entry?.kind === 'reading')
        playVerdict(evaluationOf(entry.id)?.verdict ?? 'none', state.value?.holding?.entry === entry.id)
    },
  })

  function show(fresh: Run): void {
    const here = run.value?.id === fresh.id ? run.value.entries : []
    if (run.value?.id !== fresh.id) place.leave()
    run.value = { ...fresh, entries: merged(here, fresh.entries) }
    missing.value = ''
  }

  /** Opens a run at the very step it was left: from this browser at once, then with what the server has besides. */
  async function open(id: string): Promise<void> {
    if (run.value?.id !== id) {
      run.value = undefined
      missing.value = ''
    }
    const copy = await readRunCopy(id)
    if (copy) show(copy)
    await withWaiting(id)
    try {
      const view = await ask<RunView>(`/runs/${id}`)
      show(view.run)
      serverSays.value = { count: view.run.entries.length, finding: view.state.finding }
      await withWaiting(id)
    } catch (error) {
      if (!run.value) missing.value = whyMissing(error, 'run')
    }
    if (run.value) await keepRunCopy(run.value)
  }

  async function withWaiting(id: string): Promise<void> {
    const entries = run.value ? await waitingEntries(id) : []
    if (run.value?.id === id && entries.length > 0) show({ ...run.value, entries })
  }

  /** Starts a run of a unit, or goes on with the one it has. @returns the run's id */
  async function startFor(unit: QueueUnit): Promise<string> {
    if (unit.standing && !unit.standing.closed) return unit.standing.run
    const begun = await startRun(unit, outbox, shop)
    // shown with the screen that goes there, not before: what is pressed in between would count for neither
    await keepRunCopy(begun)
    show(begun)
    return begun.id
  }

  /**
   * Puts an entry on the tape: noted in the browser, judged and shown at once, then sent. The outbox writes it onto the run's copy.
   * @param word gives a second person's word for the entry, once it is made
   */
  function add(body: EntryBody, word?: (entry: Entry) => Seal): Entry | undefined {
    // who only reads is told so in the header
    if (!run.value || !shop.person || shop.person.access === 'reader') return undefined
    // a reading is plain already, and keeps what was parsed of it; anything else may hold a form's own objects
    const bare = body.kind === 'reading' ? body : plain(body)
    // before the entry moves the run on
    const goesOn = body.kind === 'reading' && facts.isResponse.value ? current.value?.step.id : undefined
    const entry = nextEntry(run.value, bare, { id: newId(), ...stampNow(), by: shop.person.id })
    const second = word ? { second: word(entry) } : {}
    outbox.put({ id: entry.id, kind: 'entry', run: run.value.id, body: entry, ...second })
    run.value = { ...run.value, entries: [...run.value.entries, entry] }
    tabs?.postMessage({ run: run.value.id, entry } satisfies Told)
    place.added(body, goesOn)
    return entry
  }

  useEventListener(tabs, 'message', ({ data }: MessageEvent<Told>) => {
    if (run.value?.id === data.run) show({ ...run.value, entries: [data.entry] })
  })
  outbox.onKept(({ run: id, kept: answer }) => {
    if (run.value?.id !== id) return
    serverSays.value = { count: answer.count, finding: answer.state.finding }
    if (answer.count > run.value.entries.length) void open(id)
  })

  /** Takes a reading again: a retake keeps both in the record; what was mistyped is only struck. */
  function takeAgain(entryId: string, mistyped: boolean, reason: string): void {
    const step = steps.value.find((one) => one.entry === entryId)?.step ?? stepOfEntry(entryId)
    if (step) doing.value = { step: step.id, supersedes: entryId, mistyped, reason }
  }

  function stepOfEntry(entryId: string): StepState['step'] | undefined {
    const check = evaluationOf(entryId)?.check.id
    return steps.value.find(({ step }) => 'check' in step && step.check === check)?.step
  }

  const beside = askedBeside({
    state: () => state.value,
    check: () => facts.check.value,
    next: () => facts.next.value,
    readingOf: typing.readingOf,
    add,
    goTo,
  })

  const rest = restAlike({
    state: () => state.value,
    current: () => current.value,
    lastReading: () => lastReading.value,
    add,
  })

  function move(by: 1 | -1, byTest = false): void {
    const next = alongPath(steps.value, stepId.value, by, byTest)
    if (next !== undefined) goTo(next)
  }

  /** To the same points with the leads of the supply exchanged. @returns what keeps it from being so, else nothing */
  function goTurned(): string {
    const found = turnedStep(steps.value, current.value)
    if ('why' in found) return found.why
    goTo(found.id)
    return ''
  }

  /** The last entry that stands: what Backspace undoes. */
  const lastEntry = computed(() => {
    const { tape } = state.value ?? {}
    return tape?.entries.filter((entry) => entry.kind !== 'take-back' && !tape.takenBack.has(entry.id)).at(-1)
  })

  return {
    run: asked,
    /** its card as it is written: no blades counted, nothing asked */
    writtenCard: computed(() => run.value?.card),
    state,
    missing,
    steps,
    stepId,
    current,
    ...facts,
    ...hand,
    ...typing,
    doing,
    cursor,
    order,
    serverSays,
    lastReading,
    lastEntry,
    saidRpm,
    evaluationOf,
    open,
    startFor,
    add,
    wouldSay: wouldSay(run, state),
    takeAgain,
    goTo,
    goAside: place.goAside,
    ...beside,
    ...rest,
    move,
    goTurned,
    stepOfEntry,
  }
})
