import { runState } from '@sure-spool/core'
import { spread, tell } from './figures'
import { longRun } from './longRun'

/** How many runs of 60 entries are judged a second on one core, beside two comparisons a reading. */
const { run } = longRun()
const readings = run.entries.flatMap((entry) => (entry.kind === 'reading' ? [entry.reading.value ?? Infinity] : []))
const compare = () => readings.filter((value) => value >= 286.2 && value <= 349.8).length
const times: number[] = []
for (let i = 0; i < 400; i++) {
  const start = performance.now()
  runState(run)
  if (i >= 100) times.push(performance.now() - start)
}
const rounds = 20_000
const start = performance.now()
let sum = 0
for (let i = 0; i < rounds; i++) sum += compare()
const bare = (performance.now() - start) / rounds
const { median, p99 } = spread(times)
process.stdout.write(`judging a run of 60 entries: ${Math.round(1000 / median)} a second on one core\n`)
tell(
  'judging a run of 60 entries',
  `two comparisons a reading (${sum > 0 ? 'checked' : ''})`,
  median / bare,
  p99 / bare,
)
