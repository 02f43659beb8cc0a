import type { Entry, EntryOf } from '../document'
import { type Bench, type Evaluation, judgeRelation } from '../judgement'
import { highSupply } from './drivingRules'
import { beyondOverride, readingRules, sumRemarks } from './rules'
import type { Moment, ReadingRule, Remark, RemarkId } from './rule'

/** A remark as it was given on the tape, and what became of it. */
export interface Firing extends Remark {
  /** the check and entry it is about; none for a remark on the run as a whole */
  check?: string
  entry?: string
  /** readings that do not count while a stop is unanswered */
  holds: string[]
  answered?: { by: 'answer' | 'cleared'; entry?: string; reason?: string }
}

export interface Watch {
  firings: Firing[]
  /** answers given at set-up, waiting for the firing they answer */
  waiting: RemarkId[]
}

/** A rule that fired at a moment, and the other readings that a stop of it holds. */
interface Fired {
  rule: ReadingRule
  remark: Remark
  also: string[]
}

const rank = { stop: 0, warn: 1, note: 2 } as const

/**
 * Looks over the whole tape, reading by reading, as it then stood; `evaluations` are judged with all that is known now.
 * @example
 * watch(scenes.low().bench, new Map([[scenes.low().of('low').entry.id, scenes.low().of('low')]])).firings.length // 0
 */
export function watch(bench: Bench, evaluations: Map<string, Evaluation>): Watch {
  const { entries } = bench.tape
  const { state, from } = resume(bench, evaluations)
  for (const entry of entries.slice(from)) state.pass(entry)
  const last = entries.at(-1)
  if (last) lookedOver.set(last, { bench, evaluations, state })
  return { firings: state.firings.map((one) => cleared(bench, one)), waiting: state.waiting }
}

interface LookedOver {
  bench: Bench
  evaluations: Map<string, Evaluation>
  state: Watcher
}
/** By the last entry looked over: a tape that grew by one reading is looked over from there. */
const lookedOver = new WeakMap<Entry, LookedOver>()
const farthestBack = 3

/** The watcher as it stood after the longest beginning of this tape that was looked over before, and where to go on. */
function resume(bench: Bench, evaluations: Map<string, Evaluation>): { state: Watcher; from: number } {
  const { entries } = bench.tape
  for (let from = entries.length; from > Math.max(0, entries.length - farthestBack); from--) {
    const last = entries[from - 1]
    const before = last && lookedOver.get(last)
    if (before && goesOn(before, bench, evaluations, from))
      return { state: before.state.copy(bench, evaluations), from }
  }
  return { state: new Watcher(bench, evaluations), from: 0 }
}

/** Whether nothing that came since changes how what came before was looked at. */
function goesOn(
  before: LookedOver,
  { run, prepared, tape }: Bench,
  evaluations: Map<string, Evaluation>,
  from: number,
): boolean {
  const old = before.bench
  return (
    old.prepared === prepared &&
    old.run.rule === run.rule &&
    old.tape.entries.length === from &&
    old.tape.entries.every((entry, i) => entry === tape.entries[i]) &&
    tape.entries.slice(from).every(leavesThePast) &&
    [...before.evaluations].every(([id, evaluation]) => evaluations.get(id) === evaluation)
  )
}

const leavesThePast = (entry: Entry): boolean =>
  entry.kind === 'reading'
    ? entry.reading.mistyped !== true
    : ['answer', 'note', 'look', 'skip', 'decision', 'outcome'].includes(entry.kind)

class Watcher {
  firings: Firing[] = []
  waiting: RemarkId[] = []
  private standing: Evaluation[] = []
  private earlier: Evaluation[] = []
  private given = new Set<string>()
  private settings = new Map<string, Firing>()

  constructor(
    private bench: Bench,
    private evaluations: Map<string, Evaluation>,
  ) {}

  /** The same state to go on from, apart from this one. */
  copy(bench: Bench, evaluations: Map<string, Evaluation>): Watcher {
    const other = new Watcher(bench, evaluations)
    const copies = new Map(this.firings.map((one) => [one, { ...one, holds: [...one.holds] }]))
    other.firings = [...copies.values()]
    other.waiting = [...this.waiting]
    other.standing = this.standing
    other.earlier = this.earlier
    other.given = new Set(this.given)
    other.settings = new Map([...this.settings].map(([key, one]) => [key, copies.get(one) ?? one]))
    return other
  }

  pass(entry: Entry): void {
    if (entry.kind === 'answer') this.answer(entry)
    else if (entry.kind === 'take-back') this.takeBack(entry.entry)
    else if (entry.kind === 'supply') this.supply(entry)
    else if (entry.kind === 'reading') this.reading(this.evaluations.get(entry.id), entry)
    if (entry.kind === 'take-back' || entry.kind === 'reading') this.settleSums(entry)
  }

  private answer(entry: EntryOf<'answer'>): void {
    if (this.bench.tape.takenBack.has(entry.id) || beyondOverride.has(entry.remark)) return
    const open = this.firings.findLast((one) => one.id === entry.remark && !one.answered && !this.isGone(one))
    if (open) open.answered = { by: 'answer', entry: entry.id, reason: entry.reason }
    else this.waiting.push(entry.remark as RemarkId)
  }

  /** A reading out of use by now has taken its remarks with it: an answer is for the next one. */
  private isGone({ entry, check }: Firing): boolean {
    return entry !== undefined && check !== undefined && !this.standing.some((one) => one.entry.id === entry)
  }

  /** Of remarks on a sum one is enough, and what a later reading put right is answered by it. */
  private settleSums(by: Entry): void {
    for (const firing of this.firings) {
      if (firing.answered || !sumRemarks.has(firing.id)) continue
      const rule = readingRules.find((one) => one.id === firing.id)
      const evaluation = this.standing.find((one) => one.entry.id === firing.entry)
      if (!rule || !evaluation) continue
      if (rule.test(this.momentOf(evaluation)) === null) firing.answered = { by: 'cleared', entry: by.id }
    }
  }

  private isHeld(id: string): boolean {
    return this.firings.some((one) => !one.answered && !sumRemarks.has(one.id) && one.holds.includes(id))
  }

  /** A supply is judged when it is entered, before anything is driven; another one puts the question aside. */
  private supply(entry: EntryOf<'supply'>): void {
    if (this.bench.tape.takenBack.has(entry.id)) return
    for (const firing of this.firings)
      if (firing.id === 'supply-high' && !firing.answered) firing.answered = { by: 'cleared', entry: entry.id }
    const found = highSupply(this.bench.run.card, entry.volts)
    if (found) this.keep({ id: 'supply-high', ...found, entry: entry.id, holds: [] }, `supply-high|${entry.id}`)
  }

  /** A firing on the tape, unless an answer given ahead waits for it. */
  private keep(firing: Firing, settingKey: string | undefined): void {
    const waiting = this.waiting.indexOf(firing.id)
    if (waiting >= 0) {
      this.waiting.splice(waiting, 1)
      firing.answered = { by: 'answer' }
    }
    this.firings.push(firing)
    if (settingKey !== undefined) this.settings.set(settingKey, firing)
  }

  private takeBack(id: string): void {
    const gone = this.standing.find((one) => one.entry.id === id)
    this.standing = this.standing.filter((one) => one !== gone)
    const restored = gone?.entry.reading.supersedes
    const again = restored === undefined ? undefined : this.evaluations.get(restored)
    if (again && !this.standing.includes(again)) this.standing = [...this.standing, again]
  }

  private reading(evaluation: Evaluation | undefined, entry: EntryOf<'reading'>): void {
    if (!evaluation) return
    this.standing = this.standing.filter((one) => one.entry.id !== entry.reading.supersedes)
    const before = this.standing
    this.standing = [...before.filter((one) => one.point !== evaluation.point), evaluation]
    const moment = { ...this.momentOf(evaluation), before }
    for (const one of severest(fired(moment))) this.give(moment, one)
    this.earlier = [...this.earlier, evaluation]
  }

  private momentOf(evaluation: Evaluation): Moment {
    const standing = (check: string) => this.standing.filter((one) => one.check.id === check)
    const { bench, earlier } = this
    const counting = (check: string) => standing(check).filter((one) => !this.isHeld(one.entry.id))
    const relations = (bench.prepared.relationsOf.get(evaluation.check.id) ?? []).map((relation) =>
      judgeRelation(bench, relation, counting),
    )
    return { bench, evaluation, before: this.standing, standing, earlier, relations }
  }

  private give(moment: Moment, { rule, remark, also }: Fired): void {
    const { entry } = moment.evaluation
    const settingKey = rule.setting ? `${rule.id}|${rule.setting(moment)}` : undefined
    const known = settingKey === undefined ? undefined : this.settings.get(settingKey)
    if (known) {
      if (!known.answered) known.holds.push(entry.id)
      return
    }
    if (remark.severity !== 'stop') {
      const once = `${rule.cause ?? rule.id}|${moment.evaluation.instrument?.id ?? ''}`
      if (this.given.has(once)) return
      this.given.add(once)
    }
    const firing: Firing = {
      ...remark,
      check: entry.check,
      entry: entry.id,
      holds: remark.severity === 'stop' ? [entry.id, ...also] : [],
    }
    if (rule.cause === 'sum')
      for (const older of this.firings)
        if (older.id === firing.id && !older.answered) older.answered = { by: 'cleared', entry: entry.id }
    this.keep(firing, settingKey)
  }
}

/**
 * Every rule that fires at a moment, in table order.
 * @example
 * fired({ bench: scenes.sound().bench, evaluation: scenes.sound().of('low'), before: [], standing: scenes.sound().standing, relations: [], earlier: [] }).length
 * // 0
 */
export function fired(moment: Moment, rules: ReadingRule[] = readingRules): Fired[] {
  const all: Fired[] = []
  for (const rule of rules) {
    const found = rule.test(moment)
    if (!found) continue
    const { also = [], ...remark } = found
    all.push({ rule, remark: { id: rule.id, ...remark }, also })
  }
  return all
}

/** Of remarks on one cause the severest, the first in the table among equals. */
function severest(all: Fired[]): Fired[] {
  return all.filter(
    ({ rule, remark }, i) =>
      rule.cause === undefined ||
      !all.some(
        (other, j) =>
          other.rule.cause === rule.cause &&
          i !== j &&
          (rank[other.remark.severity] < rank[remark.severity] || (other.remark.severity === remark.severity && j < i)),
      ),
  )
}

/** A remark whose reading is out of use, or whose sum holds by now, is answered. */
function cleared({ tape }: Bench, firing: Firing): Firing {
  if (firing.answered || firing.entry === undefined) return firing
  const gone = tape.gone.get(firing.entry)
  return gone ? { ...firing, answered: { by: 'cleared', entry: gone.by.id } } : firing
}
