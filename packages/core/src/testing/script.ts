import { nextEntry, type Card, type Entry, type EntryBody, type Instrument, type Run } from '../document'
import { quantityOf } from '../judgement'
import { typedReading, type ReadingSetting } from '../quantity'
import { runState, type RunState } from '../state'
import { pocketMeter } from './kit'

export interface ScriptOptions {
  id?: string
  unit?: Partial<Run['unit']>
  instruments?: Instrument[]
  startedAt?: string
  by?: string
  /** milliseconds from one entry to the next */
  step?: number
  newId?: () => string
}

/** Writes a run entry by entry, as a bench does: for tests and for the demo's history. */
export class Script {
  readonly run: Run
  private clock: number
  private count = 0

  constructor(
    card: Card,
    private options: ScriptOptions = {},
  ) {
    const startedAt = options.startedAt ?? '2026-03-02T09:00:00.000Z'
    this.clock = Date.parse(startedAt)
    this.run = {
      format: 'sure-spool/run',
      version: 1,
      id: options.id ?? '019a1111-0000-7000-8000-000000000001',
      unit: {
        id: '019a2222-0000-7000-8000-000000000001',
        tag: 'SQ-0001',
        history: 'used',
        complaint: ['none'],
        words: '',
        ...options.unit,
      },
      card,
      rule: 'guarded',
      instruments: options.instruments ?? [pocketMeter],
      startedAt,
      entries: [],
    }
  }

  /** Puts any entry on the tape. */
  put(body: EntryBody): this {
    this.add(body)
    return this
  }

  add(body: EntryBody): Entry {
    this.clock += this.options.step ?? 45_000
    this.count++
    const id = this.options.newId?.() ?? `019a3333-0000-7000-8000-${String(this.count).padStart(12, '0')}`
    const stamp = {
      id,
      at: new Date(this.clock).toISOString(),
      by: this.options.by ?? '019a0000-0000-7000-8000-0000000000a1',
    }
    const entry = nextEntry(this.run, body, stamp)
    this.run.entries.push(entry)
    return entry
  }

  wait(minutes: number): this {
    this.clock += minutes * 60_000
    return this
  }

  /** Loose on the bench at a measured temperature, leads zeroed in the meter: what most runs begin with. */
  ready(celsius = 20): this {
    return this.put({ kind: 'isolation', state: 'loose' })
      .put({ kind: 'temperature', part: 'measured', partC: celsius, roomC: celsius })
      .put({
        kind: 'lead-check',
        instrument: this.run.instruments[0]?.id ?? 'm2',
        text: '0.11',
        ohms: 0,
        u: 0.018,
        how: 'hardware',
      })
  }

  /** A typed reading of a check. */
  read(check: string, text: string, setting: ReadingSetting = {}): this {
    this.reading(check, text, setting)
    return this
  }

  reading(check: string, text: string, setting: ReadingSetting = {}): Entry {
    const found = this.run.card.checks.find((one) => one.id === check)
    const quantity = found ? (quantityOf(found) ?? 'resistance') : 'resistance'
    const made = typedReading(text, quantity, false, {
      instrument: this.run.instruments[0]?.id,
      contact: 'tips',
      ...setting,
    })
    if ('problem' in made) throw new Error(`${check} ${text}: ${made.problem}`)
    return this.add({ kind: 'reading', check, reading: made.reading })
  }

  /** Takes the last reading of a check again, with the probes lifted between. */
  again(check: string, text: string, setting: ReadingSetting = {}): this {
    const last = this.run.entries.findLast((entry) => entry.kind === 'reading' && entry.check === check)
    return this.read(check, text, { supersedes: last?.id, reason: 'taken again', ...setting })
  }

  /** Both groups of a stator open to frame on the meter's highest range. */
  framed(...terminals: string[]): this {
    this.put({ kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' })
    const top = this.run.instruments[0]?.functions.find(({ quantity }) => quantity === 'resistance')?.ranges.at(-1)
    const open = `OL ${(top?.fullScale ?? 40e6) / 1e6}M`
    for (const terminal of terminals) this.read('frame', open, { pair: [terminal, 'frame'] })
    return this
  }

  state(): RunState {
    return runState(this.run)
  }
}
