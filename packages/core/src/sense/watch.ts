import type { Entry, EntryOf } from '../document'
import { judgeRelation, wasRead, type Bench, type Evaluation } from '../judgement'
import { highSupply } from './drivingRules'
import { fired, severest, type Fired } from './fired'
import { beyondOverride, readingRules, sumRemarks } from './rules'
import { ReadThere } from './readThere'
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

/** What looking over a tape left behind: a tape that only grew is looked over from there. */
export interface LookedOver {
  bench: Bench
  evaluations: Map<string, Evaluation>
  watcher: Watcher
}

/**
 * Looks over the whole tape, reading by reading, as it then stood; `evaluations` are judged with all that is known now.
 * @param before what an earlier look over the beginning of this tape left behind
 * @example
 * watch(scenes.low().bench, new Map([[scenes.low().of('low').entry.id, scenes.low().of('low')]])).firings.length // 0
 */
export function watch(
  bench: Bench,
  evaluations: Map<string, Evaluation>,
  before?: LookedOver,
): Watch & { lookedOver: LookedOver } {
  const { entries } = bench.tape
  const goes = before !== undefined && goesOn(before, bench, evaluations)
  const watcher = goes ? before.watcher.copy(bench, evaluations) : new Watcher(bench, evaluations)
  for (let i = goes ? before.bench.tape.entries.length : 0; i < entries.length; i++) {
    const entry = entries[i]
    if (entry) watcher.pass(entry)
  }
  return {
    firings: watcher.firings.map((one) => cleared(bench, one)),
    waiting: watcher.waiting,
    lookedOver: { bench, evaluations, watcher },
  }
}

/** Whether nothing that came since changes how what came before was looked at. */
function goesOn(before: LookedOver, { run, prepared, tape }: Bench, evaluations: Map<string, Evaluation>): boolean {
  const old = before.bench
  return (
    old.prepared === prepared &&
    old.run.rule === run.rule &&
    old.tape.entries.every((entry, i) => entry === tape.entries[i]) &&
    tape.entries.slice(old.tape.entries.length).every(leavesThePast) &&
    holdsAll(evaluations, before.evaluations)
  )
}

function holdsAll(all: Map<string, Evaluation>, some: Map<string, Evaluation>): boolean {
  for (const [id, evaluation] of some) if (all.get(id) !== evaluation) return false
  return true
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
  /** what was read at each point and stage */
  private there = new ReadThere()
  private given = new Set<string>()
  private settings = new Map<string, Firing>()
  /** remarks on a sum that nothing has answered */
  private openSums = new Set<Firing>()
  /** the readings that an unanswered stop, other than on a sum, keeps from counting; by how many */
  private held = new Map<string, number>()

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
    other.earlier = [...this.earlier]
    other.there = this.there.copy()
    other.given = new Set(this.given)
    other.settings = new Map([...this.settings].map(([key, one]) => [key, copies.get(one) ?? one]))
    other.openSums = new Set([...this.openSums].map((one) => copies.get(one) ?? one))
    other.held = new Map(this.held)
    return other
  }

  pass(entry: Entry): void {
    if (entry.kind === 'answer') this.answer(entry)
    else if (entry.kind === 'take-back') this.takeBack(entry.entry)
    else if (entry.kind === 'supply') this.supply(entry)
    else if (entry.kind === 'reading') {
      this.settleDisagreement(entry)
      this.reading(this.evaluations.get(entry.id), entry)
    }
    if (entry.kind === 'take-back' || entry.kind === 'reading') this.settleSums(entry)
  }

  private answer(entry: EntryOf<'answer'>): void {
    if (this.bench.tape.takenBack.has(entry.id) || beyondOverride.has(entry.remark)) return
    const open = this.firings.findLast((one) => one.id === entry.remark && !one.answered && !this.isGone(one))
    if (open) this.settle(open, { by: 'answer', entry: entry.id, reason: entry.reason })
    else this.waiting.push(entry.remark as RemarkId)
  }

  /** A reading out of use by now has taken its remarks with it: an answer is for the next one. */
  private isGone({ entry, check }: Firing): boolean {
    return entry !== undefined && check !== undefined && !this.standing.some((one) => one.entry.id === entry)
  }

  /** One of two that disagree is taken again: what it reads now is held against the other anew. */
  private settleDisagreement({ id, reading: { supersedes } }: EntryOf<'reading'>): void {
    if (supersedes === undefined) return
    for (const firing of this.firings)
      if (firing.id === 'tests-disagree' && !firing.answered && firing.holds.includes(supersedes))
        this.settle(firing, { by: 'cleared', entry: id })
  }

  /** A remark that something has answered holds nothing any more. */
  private settle(firing: Firing, answered: Firing['answered']): void {
    firing.answered = answered
    if (this.openSums.delete(firing) || sumRemarks.has(firing.id)) return
    for (const one of firing.holds) this.hold(one, -1)
  }

  private hold(entry: string, by: 1 | -1): void {
    const count = (this.held.get(entry) ?? 0) + by
    if (count === 0) this.held.delete(entry)
    else this.held.set(entry, count)
  }

  /** Of remarks on a sum one is enough, and what a later reading put right is answered by it. */
  private settleSums(by: Entry): void {
    for (const firing of this.openSums) {
      const rule = readingRules.find((one) => one.id === firing.id)
      const evaluation = this.standing.find((one) => one.entry.id === firing.entry)
      if (!rule || !evaluation) continue
      if (rule.test(this.momentOf(evaluation)) === null) this.settle(firing, { by: 'cleared', entry: by.id })
    }
  }

  /** A supply is judged when it is entered, before anything is driven; another one puts the question aside. */
  private supply(entry: EntryOf<'supply'>): void {
    if (this.bench.tape.takenBack.has(entry.id)) return
    for (const firing of this.firings)
      if (firing.id === 'supply-high' && !firing.answered) this.settle(firing, { by: 'cleared', entry: entry.id })
    const found = highSupply(this.bench.run.card, entry.volts)
    if (found) this.keep({ id: 'supply-high', ...found, entry: entry.id, holds: [] }, `supply-high|${entry.id}`)
  }

  /** A firing on the tape, unless an answer given ahead waits for it. */
  private keep(firing: Firing, settingKey: string | undefined): void {
    const waiting = this.waiting.indexOf(firing.id)
    if (waiting >= 0) {
      this.waiting.splice(waiting, 1)
      firing.answered = { by: 'answer' }
    } else if (sumRemarks.has(firing.id)) this.openSums.add(firing)
    else for (const one of firing.holds) this.hold(one, 1)
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
    const { supersedes } = entry.reading
    if (supersedes !== undefined) this.standing = this.standing.filter((one) => one.entry.id !== supersedes)
    const before = this.standing
    this.standing = before.filter((one) => one.point !== evaluation.point)
    this.standing.push(evaluation)
    const moment = this.momentOf(evaluation, before)
    // what was said before leaves room for what was not
    const fresh = fired(moment).filter((one) => !this.given.has(onceOf(moment, one)))
    for (const one of severest(fresh)) this.give(moment, one)
    this.earlier.push(evaluation)
    if (wasRead(this.bench.tape, evaluation)) this.there.add(this.bench.tape, evaluation)
  }

  private momentOf(evaluation: Evaluation, before = this.standing): Moment {
    const known = new Map<string, Evaluation[]>()
    const standing = (check: string) => {
      const found = known.get(check) ?? this.standing.filter((one) => one.check.id === check)
      known.set(check, found)
      return found
    }
    const { bench, earlier, held } = this
    const joining = bench.prepared.relationsOf.get(evaluation.check.id) ?? []
    const counting = (check: string) =>
      held.size === 0 ? standing(check) : standing(check).filter((one) => !held.has(one.entry.id))
    const relations = joining.map((relation) => judgeRelation(bench, relation, counting))
    return {
      bench,
      evaluation,
      before,
      standing,
      earlier,
      relations,
      ...this.there.beside(bench.tape, evaluation),
    }
  }

  private give(moment: Moment, { rule, remark, also }: Fired): void {
    const { entry } = moment.evaluation
    const settingKey = rule.setting ? `${rule.id}|${rule.setting(moment)}` : undefined
    const known = settingKey === undefined ? undefined : this.settings.get(settingKey)
    if (known) {
      if (known.answered) return
      known.holds.push(entry.id)
      this.hold(entry.id, 1)
      return
    }
    if (remark.severity !== 'stop') {
      this.given.add(causeOf(moment, rule)).add(onceOf(moment, { rule, remark }))
    }
    const firing: Firing = {
      ...remark,
      check: entry.check,
      entry: entry.id,
      holds: remark.severity === 'stop' ? [entry.id, ...also] : [],
    }
    if (rule.cause === 'sum')
      for (const older of this.openSums)
        if (older.id === firing.id) this.settle(older, { by: 'cleared', entry: entry.id })
    this.keep(firing, settingKey)
  }
}

/** What a warn or note is given once for: its cause and instrument. */
const causeOf = ({ evaluation }: Moment, rule: ReadingRule): string =>
  `${rule.cause ?? rule.id}|${evaluation.instrument?.id ?? ''}`

/** The same, and what gives it anew; a stop is given every time. */
function onceOf(moment: Moment, { rule, remark }: Pick<Fired, 'rule' | 'remark'>): string {
  if (remark.severity === 'stop') return ''
  return rule.anew ? `${causeOf(moment, rule)}|${rule.anew(moment)}` : causeOf(moment, rule)
}

/** A remark whose reading is out of use, or whose sum holds by now, is answered. */
function cleared({ tape }: Bench, firing: Firing): Firing {
  if (firing.answered || firing.entry === undefined) return firing
  const gone = tape.gone.get(firing.entry)
  return gone ? { ...firing, answered: { by: 'cleared', entry: gone.by.id } } : firing
}
