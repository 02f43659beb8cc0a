import { LuDecomposition, Matrix } from 'ml-matrix'
import { evaluate, pairResistance, prepareCard, readTape, runState, sweep, watch } from '@sure-spool/core'
import { chanceFrom } from '@sure-spool/core/simulate'
import { spread, tell } from './figures'
import { longRun } from './longRun'

/** The core alone: a run judged from nothing, and after one more entry; a network of 40 nodes; a long sweep. */
const rounds = 2000
const { run } = longRun()
const warmUp = rounds / 4

function timesOf(work: (round: number) => void, before = warmUp): number[] {
  const times: number[] = []
  for (let round = 0; round < before + rounds; round++) {
    const start = performance.now()
    work(round)
    if (round >= before) times.push(performance.now() - start)
  }
  return times
}

const readings = run.entries.flatMap((entry) => (entry.kind === 'reading' ? [entry.reading.value ?? Infinity] : []))
const compare = () => readings.filter((value) => value >= 286.2 && value <= 349.8).length
const fromNothing = spread(timesOf(() => runState(run)))
let checked = 0
const bare = spread(timesOf(() => (checked += Array.from({ length: 1000 }, compare).length))).median / 1000
process.stdout.write(
  `judging a run of 60 entries from nothing: ${Math.round(1000 / fromNothing.median)} a second on one core\n`,
)
tell(
  'judging a run of 60 entries from nothing',
  `two comparisons a reading (${checked > 0 ? 'checked' : ''})`,
  fromNothing.median / bare,
  fromNothing.p99 / bare,
)

const bench = { run, prepared: prepareCard(run.card), tape: readTape(run) }
const alone = new Map(
  bench.tape.readings.flatMap((entry) => evaluate(bench, entry) ?? []).map((one) => [one.entry.id, one]),
)
const remarks = spread(timesOf(() => watch(bench, alone)))
const rest = fromNothing.median - remarks.median
tell('the remarks of that run', 'the judgement without them', remarks.median / rest, remarks.p99 / rest, '1 ×')

const next = longRun().reading('low', '321')
const before = runState(run)
// the compiler rewrites what runs often for some thousands of rounds, and each of its pauses is longer than the work
const compiled = 10_000
const grown = spread(
  timesOf((round) => {
    runState({ ...run, entries: [...run.entries, { ...next, id: `next-${round}` }] }, before)
  }, compiled),
)
tell(
  'judging again after one more entry',
  'judging the run from nothing',
  grown.median / fromNothing.median,
  grown.p99 / fromNothing.median,
)
process.stdout.write(`judging again after one more entry, once compiled: p99 ${grown.p99.toFixed(2)} ms, target 1 ms\n`)

const chance = chanceFrom(40)
const nodes = Array.from({ length: 40 }, (_, i) => `n${i}`)
const windings = nodes.flatMap((from, i) =>
  [1, 7].flatMap((step) => {
    const to = nodes[(i + step) % nodes.length]
    return to === undefined ? [] : [{ id: `${from}-${to}`, from, to, ohms: chance.between(1, 100) }]
  }),
)
const byMatrix = () => {
  const laplacian = Matrix.zeros(39, 39)
  const place = new Map(nodes.map((node, i) => [node, i]))
  for (const { from, to, ohms } of windings) {
    const [i, j] = [place.get(from) ?? 0, place.get(to) ?? 0]
    for (const k of [i, j]) if (k < 39) laplacian.set(k, k, laplacian.get(k, k) + 1 / ohms)
    if (i < 39 && j < 39)
      for (const [k, l] of [
        [i, j],
        [j, i],
      ] as const)
        laplacian.set(k, l, laplacian.get(k, l) - 1 / ohms)
  }
  const current = Matrix.zeros(39, 1)
  current.set(0, 0, 1)
  return new LuDecomposition(laplacian).solve(current).get(0, 0)
}
const ours = () => Number(pairResistance({ nodes, windings, a: 'n0', b: 'n39' }))
if (Math.abs(ours() - byMatrix()) > 1e-9 * ours()) throw new Error('the two do not agree')
const mine = spread(timesOf(ours))
const matrix = spread(timesOf(byMatrix))
tell(
  'pair resistance on 40 nodes',
  'LU of the same Laplacian by ml-matrix',
  mine.median / matrix.median,
  mine.p99 / matrix.p99,
)

const samples = Array.from({ length: 100_000 }, (_, x) => ({ x, ohms: 10 + x / 500 + chance.normal() }))
let total = 0
const onePass = spread(
  timesOf(() => {
    for (const { ohms } of samples) total += ohms
  }),
)
const swept = spread(timesOf(() => (total += sweep({ samples, dropOhms: 3 }).dropouts.length)))
tell(
  'a sweep of 100,000 samples',
  `one pass over them (${total > 0 ? 'summed' : ''})`,
  swept.median / onePass.median,
  swept.p99 / onePass.p99,
)
