import type { QueueUnit, RunView } from '@sure-spool/contract'
import {
  chooseRange,
  expectedOf,
  formatBound,
  nextEntry,
  prefixFor,
  prepareCard,
  quantityOf,
  rangesFor,
  runState,
  setUpRemarks,
  type Entry,
  type EntryBody,
  type Evaluation,
  type Quantity,
  type Reading,
  type ReadingProblem,
  type ReadingSetting,
  type Run,
  type RunState,
  type StepState,
} from '@sure-spool/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { afterPaint } from './afterPaint'
import { ask, Refused } from './api'
import { newId } from './ids'
import { readCard } from './cardCopies'
import { kept, plain } from './kept'
import { useOutbox } from './outbox'
import { useShop } from './shop'
import { plainEntry, readingEntry, type PlainStep } from '../bench/typedEntries'
import { useKit } from '../bench/useKit'
import { playVerdict } from '../bench/sound'

/** What the next reading is for, where it is not simply the step's first. */
export interface Doing {
  step: string
  supersedes: string
  mistyped: boolean
  reason: string
}

const plainSteps: string[] = ['temperature', 'leads', 'supply', 'frame-proof'] satisfies PlainStep[]
const isPlain = (kind: string): kind is PlainStep => plainSteps.includes(kind)

/** The run on the bench: its tape, its state as core computes it, and what is being done. */
export const useBench = defineStore('bench', () => {
  const shop = useShop()
  const outbox = useOutbox()
  const run = shallowRef<Run>()
  const missing = ref('')
  /** moved along the path by hand; null follows the run */
  const cursor = ref<string | null>(null)
  const doing = ref<Doing | null>(null)
  const { meter, contact, setContact, turnContact, nextMeter } = useKit(() => run.value)
  const channel = 'BroadcastChannel' in window ? new BroadcastChannel('sure-spool') : undefined
  const serverSays = ref<{ count: number; finding: string }>()

  const state = computed<RunState | undefined>(() => run.value && runState(run.value))
  const steps = computed<StepState[]>(() => state.value?.steps ?? [])
  const stepId = computed(() => doing.value?.step ?? cursor.value ?? state.value?.step ?? 'finding')
  const current = computed(() => steps.value.find((one) => one.step.id === stepId.value) ?? steps.value.at(-1))
  const evaluationOf = (id: string | undefined): Evaluation | undefined =>
    id === undefined ? undefined : state.value?.evaluations.get(id)
  const lastReading = computed(() => {
    const { tape } = state.value ?? {}
    return evaluationOf(tape?.readings.filter((entry) => !tape.gone.has(entry.id)).at(-1)?.id)
  })
  const check = computed(() => {
    const step = current.value?.step
    return step && 'check' in step && step.check !== undefined && run.value
      ? prepareCard(run.value.card, run.value.unit.variant).checks.get(step.check)
      : undefined
  })
  const quantity = computed<Quantity>(() => (check.value && quantityOf(check.value)) ?? 'resistance')
  const limit = computed(() => {
    const history =
      run.value && state.value
        ? (state.value.tape.history(state.value.tape.entries.at(-1) ?? ({} as Entry)) ?? run.value.unit.history)
        : 'used'
    return check.value?.limits[history][0]
  })
  /** stops that are due before this step is touched */
  const setUp = computed(() => {
    const step = current.value?.step
    if (!state.value || step?.kind !== 'reading' || current.value?.entry !== undefined) return []
    return setUpRemarks(state.value, {
      check: step.check,
      instrument: meter.value?.id,
      ...(step.point.pair ? { pair: step.point.pair } : {}),
      ...(step.point.drive === undefined ? {} : { conditions: { drive: step.point.drive } }),
      at: new Date().toISOString(),
      by: shop.person?.id ?? '',
    })
  })
  /** the range to ask for on a meter ranged by hand, as `20 MΩ`; empty on one that ranges by itself */
  const rangeAsked = computed(() => {
    const asked = rangeFigure.value
    return asked === null ? '' : formatBound(asked, quantity.value)
  })
  const rangeFigure = computed(() => {
    const { max, min } = limit.value?.band ?? {}
    const expected = limit.value?.expectOpen ? limit.value.expectOpen.atLeast * 10 : (max ?? min)
    if (expected === undefined) return null
    const ranges = rangesFor(meter.value, quantity.value).map((one) => one.fullScale)
    return chooseRange({ ranges, expectedMax: expected }) ?? ranges.at(-1) ?? null
  })
  /** the prefix in which this step's figure is spoken of */
  const prefix = computed(() => {
    if (limit.value?.expectOpen) return 'M'
    const expected = expectedOf(limit.value?.band ?? {})
    return expected === undefined || expected < 1 ? '' : prefixFor(expected, quantity.value)
  })

  function show(fresh: Run): void {
    const here = run.value?.id === fresh.id ? run.value.entries : []
    if (run.value?.id !== fresh.id) cursor.value = doing.value = null
    const merged = new Map([...here, ...fresh.entries].map((entry) => [entry.id, entry]))
    run.value = { ...fresh, entries: [...merged.values()].sort((a, b) => a.n - b.n) }
    missing.value = ''
  }

  /** Opens a run at the very step it was left: from this browser at once, then with what the server has besides. */
  async function open(id: string): Promise<void> {
    if (run.value?.id !== id) {
      run.value = undefined
      missing.value = ''
    }
    const database = await kept()
    const row = await database.runs.get(id)
    if (row) show(row.run)
    await withWaiting(id)
    try {
      const view = await ask<RunView>(`/runs/${id}`)
      show(view.run)
      serverSays.value = { count: view.run.entries.length, finding: view.state.finding }
      await withWaiting(id)
    } catch (error) {
      if (!run.value)
        missing.value =
          error instanceof Refused
            ? error.message
            : 'The server does not answer, and this run was never opened on this browser.'
    }
    await save()
  }

  /** Entries that this browser has made and the server may not have yet. */
  async function withWaiting(id: string): Promise<void> {
    if (!run.value) return
    const items = await (await kept()).outgoing.where('run').equals(id).toArray()
    const added = items.flatMap((item) => (item.kind === 'entry' && !item.aside ? [item.body] : []))
    if (added.length > 0 && run.value) show({ ...run.value, entries: added })
  }

  async function save(): Promise<void> {
    if (run.value) await (await kept()).runs.put({ id: run.value.id, run: plain(run.value) })
  }

  /** Starts a run of a unit, or goes on with the one it has. @returns the run's id */
  async function startFor(unit: QueueUnit): Promise<string> {
    if (unit.standing && !unit.standing.closed) return unit.standing.run
    const by = shop.person?.id ?? ''
    const body = { id: newId(), unit: unit.id, startedAt: new Date().toISOString(), by }
    await outbox.settle()
    const waiting = await (await kept()).outgoing.where('id').equals(unit.id).count()
    const view = waiting > 0 ? undefined : await startThere(body)
    if (view) show(view.run)
    else await startHere(unit, body)
    await save()
    return body.id
  }

  /** @returns undefined where the server is away; @throws Refused where it will not have it */
  const startThere = (body: object): Promise<RunView | undefined> =>
    ask<RunView>('/runs', { method: 'POST', body }).catch((error: unknown) => {
      if (error instanceof Refused) throw error
      return undefined
    })

  async function startHere(
    unit: QueueUnit,
    body: { id: string; unit: string; startedAt: string; by: string },
  ): Promise<void> {
    const card = await readCard(unit.card)
    if (!card)
      throw new Error(
        'The server is away and this browser has no copy of the card. Open the card once while the server is there.',
      )
    const { id, tag, serial, variant, history, complaint, words } = unit
    show({
      format: 'sure-spool/run',
      version: 1,
      id: body.id,
      unit: plain({ id, tag, serial, variant, history, complaint, words }),
      card,
      rule: shop.settings.rule,
      instruments: plain(shop.instruments),
      startedAt: body.startedAt,
      entries: [],
    })
    outbox.put({ id: body.id, kind: 'run', body })
  }

  /** Puts an entry on the tape: noted in the browser, judged and shown at once, then sent. */
  function add(body: EntryBody): Entry | undefined {
    if (!run.value || !shop.person) return undefined
    const entry = nextEntry(run.value, plain(body), { id: newId(), at: new Date().toISOString(), by: shop.person.id })
    outbox.put({ id: entry.id, kind: 'entry', run: run.value.id, body: entry })
    run.value = { ...run.value, entries: [...run.value.entries, entry] }
    channel?.postMessage({ run: run.value.id, entry })
    cursor.value = doing.value = null
    afterPaint(() => void save())
    return entry
  }

  channel?.addEventListener('message', (message: MessageEvent<{ run: string; entry: Entry }>) => {
    if (run.value?.id === message.data.run) show({ ...run.value, entries: [message.data.entry] })
  })
  outbox.onKept(({ run: id, kept: answer }) => {
    if (run.value?.id !== id) return
    serverSays.value = { count: answer.count, finding: answer.state.finding }
    if (answer.count > run.value.entries.length) void open(id)
  })

  const typing = () => ({ decimalComma: shop.settings.decimalComma, units: shop.units })

  /** Keeps a typed figure for the step that is open. @returns what is wrong with the text, or null */
  function keepTyped(text: string): ReadingProblem | null {
    const step = current.value?.step
    if (!step) return null
    if (step.kind === 'reading') return keepReading(text)
    if (!isPlain(step.kind)) return null
    const made = plainEntry(step.kind, text, {
      ...typing(),
      meter: meter.value,
      temperatureFrom: temperatureFrom.value,
      zeroHow: zeroHow.value,
      supplyWhile: supplyWhile.value,
    })
    if (typeof made === 'string') return made
    add(made)
    return null
  }

  /** The typed line as a reading of the step that is open. */
  function readingOf(text: string, more: ReadingSetting = {}): { reading: Reading } | { problem: ReadingProblem } {
    const step = current.value?.step
    if (!check.value || step?.kind !== 'reading') return { problem: 'number' }
    const { point } = step
    return readingEntry(
      text,
      {
        ...typing(),
        check: check.value,
        quantity: quantity.value,
        point,
        x: point.x ?? lengthOf(point.index),
        meter: meter.value,
        contact: contact.value,
      },
      more,
    )
  }

  /** A lead that was measured once keeps its length. */
  const lengthOf = (index: number | undefined): number | undefined =>
    index === undefined
      ? undefined
      : state.value?.tape.readings.findLast(({ reading }) => reading.index === index)?.reading.x

  function keepReading(text: string): ReadingProblem | null {
    if (!check.value) return null
    const { id } = check.value
    const earlier = doing.value ?? heldOrSecond()
    const made = readingOf(text, {
      ...(earlier
        ? {
            supersedes: earlier.supersedes,
            reason: earlier.reason,
            ...(earlier.mistyped ? { mistyped: true as const } : {}),
          }
        : {}),
    })
    if ('problem' in made) return made.problem
    const entry = add({ kind: 'reading', check: id, reading: made.reading })
    if (entry) playVerdict(evaluationOf(entry.id)?.verdict ?? 'none', state.value?.holding?.entry === entry.id)
    return null
  }

  /** A figure typed on a step that has one already is the new reading, and the old one is struck. */
  function heldOrSecond(): Doing | undefined {
    const one = current.value
    if (!one || one.entry === undefined) return undefined
    return {
      step: one.step.id,
      supersedes: one.entry,
      mistyped: false,
      reason: one.status === 'again' ? 'second touch' : 'taken again',
    }
  }

  const temperatureFrom = ref<'room' | 'measured'>('room')
  const supplyWhile = ref<'on' | 'off'>('on')
  const zeroHow = ref<'hardware' | 'subtract'>('hardware')
  watch(
    () => meter.value?.zero,
    (zero) => (zeroHow.value = zero ?? 'hardware'),
    { immediate: true },
  )
  /** Takes a reading again: a retake keeps both in the record; what was mistyped is only struck. */
  function takeAgain(entryId: string, mistyped: boolean, reason: string): void {
    const step = steps.value.find((one) => one.entry === entryId)?.step ?? stepOfEntry(entryId)
    if (step) doing.value = { step: step.id, supersedes: entryId, mistyped, reason }
  }

  function stepOfEntry(entryId: string): StepState['step'] | undefined {
    const evaluation = evaluationOf(entryId)
    return steps.value.find((one) => 'check' in one.step && one.step.check === evaluation?.check.id)?.step
  }

  const goTo = (id: string | null): void => {
    doing.value = null
    cursor.value = id
  }

  function move(by: 1 | -1): void {
    const at = steps.value.findIndex((one) => one.step.id === stepId.value)
    const next = steps.value[Math.min(steps.value.length - 1, Math.max(0, at + by))]
    if (next) goTo(next.step.id)
  }

  /** The last entry that stands: what Backspace undoes. */
  const lastEntry = computed(() => {
    const { tape } = state.value ?? {}
    return tape?.entries.filter((entry) => entry.kind !== 'take-back' && !tape.takenBack.has(entry.id)).at(-1)
  })

  return {
    run,
    state,
    missing,
    steps,
    stepId,
    current,
    check,
    quantity,
    limit,
    setUp,
    meter,
    contact,
    doing,
    cursor,
    serverSays,
    rangeAsked,
    rangeFigure,
    prefix,
    lastReading,
    lastEntry,
    temperatureFrom,
    zeroHow,
    supplyWhile,
    readingOf,
    evaluationOf,
    open,
    startFor,
    add,
    keepTyped,
    takeAgain,
    goTo,
    move,
    turnContact,
    setContact,
    nextMeter,
    stepOfEntry,
  }
})
