import type { Entry, EntryOf } from '../document'
import { type Bench, type Evaluation, judgeRelation } from '../judgement'
import { readingRules, sumRemarks } from './rules'
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

const rank = { stop: 0, warn: 1, note: 2 } as const

/** Looks over the whole tape, reading by reading, as it then stood; `evaluations` are judged with all that is known now. */
export function watch(bench: Bench, evaluations: Map<string, Evaluation>): Watch {
  const state = new Watcher(bench, evaluations)
  for (const entry of bench.tape.entries) state.pass(entry)
  return { firings: state.firings.map((one) => cleared(bench, one)), waiting: state.waiting }
}

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

  pass(entry: Entry): void {
    if (entry.kind === 'answer') this.answer(entry)
    else if (entry.kind === 'take-back') this.takeBack(entry.entry)
    else if (entry.kind === 'reading') this.reading(this.evaluations.get(entry.id), entry)
    if (entry.kind === 'take-back' || entry.kind === 'reading') this.settleSums(entry)
  }

  private answer(entry: EntryOf<'answer'>): void {
    if (this.bench.tape.takenBack.has(entry.id)) return
    const open = this.firings.findLast((one) => one.id === entry.remark && !one.answered && !this.isGone(one))
    if (open) open.answered = { by: 'answer', entry: entry.id, reason: entry.reason }
    else this.waiting.push(entry.remark as RemarkId)
  }

  /** A reading out of use by now has taken its remarks with it: an answer is for the next one. */
  private isGone({ entry }: Firing): boolean {
    return entry !== undefined && !this.standing.some((one) => one.entry.id === entry)
  }

  /** Of remarks on a sum one is enough, and what a later reading put right is answered by it. */
  private settleSums(by: Entry): void {
    for (const firing of this.firings) {
      const rule = readingRules.find((one) => one.id === firing.id && one.cause === 'sum')
      const evaluation = this.standing.find((one) => one.entry.id === firing.entry)
      if (!rule || firing.answered || !evaluation) continue
      if (rule.test(this.momentOf(evaluation)) === null) firing.answered = { by: 'cleared', entry: by.id }
    }
  }

  private isHeld(id: string): boolean {
    return this.firings.some((one) => !one.answered && !sumRemarks.has(one.id) && one.holds.includes(id))
  }

  private takeBack(id: string): void {
    const gone = this.standing.find((one) => one.entry.id === id)
    this.standing = this.standing.filter((one) => one !== gone)
    const restored = gone?.entry.reading.supersedes
    const again = restored === undefined ? undefined : this.evaluations.get(restored)
    if (again && !this.standing.includes(again)) this.standing.push(again)
  }

  private reading(evaluation: Evaluation | undefined, entry: EntryOf<'reading'>): void {
    if (!evaluation) return
    this.standing = this.standing.filter((one) => one.entry.id !== entry.reading.supersedes)
    const before = this.standing
    this.standing = [...before.filter((one) => one.point !== evaluation.point), evaluation]
    const moment = { ...this.momentOf(evaluation), before }
    for (const { rule, remark } of severest(fired(moment))) this.give(moment, rule, remark)
    this.earlier = [...this.earlier, evaluation]
  }

  private momentOf(evaluation: Evaluation): Moment {
    const standing = (check: string) => this.standing.filter((one) => one.check.check.id === check)
    const { bench, earlier } = this
    const counting = (check: string) => standing(check).filter((one) => !this.isHeld(one.entry.id))
    const relations = bench.run.card.relations
      .filter((relation) => joins(relation, evaluation.check.check.id))
      .map((relation) => judgeRelation(bench.run, bench.prepared, relation, counting))
    return { bench, evaluation, before: this.standing, standing, earlier, relations }
  }

  private give(moment: Moment, rule: ReadingRule, remark: Remark): void {
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
      holds: remark.severity === 'stop' ? [entry.id] : [],
    }
    const waiting = this.waiting.indexOf(remark.id)
    if (waiting >= 0) {
      this.waiting.splice(waiting, 1)
      firing.answered = { by: 'answer' }
    }
    if (rule.cause === 'sum')
      for (const older of this.firings)
        if (older.id === firing.id && !older.answered) older.answered = { by: 'cleared', entry: entry.id }
    this.firings.push(firing)
    if (settingKey !== undefined) this.settings.set(settingKey, firing)
  }
}

function joins(relation: { kind: string }, check: string): boolean {
  return Object.values(relation).some((value) => value === check || (Array.isArray(value) && value.includes(check)))
}

/** Every rule that fires at a moment, in table order. */
export function fired(moment: Moment, rules: ReadingRule[] = readingRules): { rule: ReadingRule; remark: Remark }[] {
  return rules.flatMap((rule) => {
    const found = rule.test(moment)
    return found ? [{ rule, remark: { id: rule.id, ...found } }] : []
  })
}

/** Of remarks on one cause the severest, the first in the table among equals. */
function severest(all: { rule: ReadingRule; remark: Remark }[]) {
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
