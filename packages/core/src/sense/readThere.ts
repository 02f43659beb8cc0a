import type { Evaluation, Tape } from '../judgement'
import type { Moment } from './rule'

type ByMeter = ReadonlyMap<Evaluation['instrument'], Evaluation[]>

const pointOf = ({ stageOf }: Tape, { point, entry }: Evaluation): string => `${point}|${stageOf.get(entry.id) ?? 0}`

/** What was read at each point and stage of a tape, by meter: a long tape is asked for it at every reading. */
export class ReadThere {
  private points = new Map<string, ByMeter>()

  copy(): ReadThere {
    const other = new ReadThere()
    other.points = new Map(this.points)
    return other
  }

  add(tape: Tape, evaluation: Evaluation): void {
    const point = pointOf(tape, evaluation)
    const there = new Map(this.points.get(point))
    const { instrument } = evaluation
    this.points.set(point, there.set(instrument, [...(there.get(instrument) ?? []), evaluation]))
  }

  /** The others at the point of a reading, on its meter and on other meters, each in tape order. */
  beside(tape: Tape, evaluation: Evaluation): Pick<Moment, 'again' | 'onOthers'> {
    const there: ByMeter = this.points.get(pointOf(tape, evaluation)) ?? new Map()
    const same = there.get(evaluation.instrument) ?? []
    const onOthers = [...there].flatMap(([meter, some]) => (meter === evaluation.instrument ? [] : some))
    if (there.size > 2) onOthers.sort((a, b) => a.entry.n - b.entry.n)
    return { again: same.includes(evaluation) ? same.filter((one) => one !== evaluation) : same, onOthers }
  }
}
