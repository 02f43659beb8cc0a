/** Median and 99th percentile of some measurements. */
export function spread(values: number[]): { median: number; p99: number } {
  const sorted = [...values].sort((a, b) => a - b)
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN
  return { median: at(0.5), p99: at(0.99) }
}

/** One line of the benchmark: a ratio to a named baseline, with its target where there is one. */
export function tell(what: string, baseline: string, median: number, p99: number, target?: string): void {
  const goal = target === undefined ? '' : `, target ${target}`
  process.stdout.write(`${what}: median ${median.toFixed(2)} ×, p99 ${p99.toFixed(2)} × ${baseline}${goal}\n`)
}

/** The time of one piece of work in milliseconds. */
export async function timed(work: () => unknown): Promise<number> {
  const start = performance.now()
  await work()
  return performance.now() - start
}

/** Measures two pieces of work in turn, so that a drift of the machine meets both alike. */
export async function inTurn(
  rounds: number,
  mine: (round: number) => unknown,
  baseline: (round: number) => unknown,
): Promise<{ mine: number[]; baseline: number[] }> {
  const times = { mine: [] as number[], baseline: [] as number[] }
  for (let round = 0; round < rounds; round++) {
    times.baseline.push(await timed(() => baseline(round)))
    times.mine.push(await timed(() => mine(round)))
  }
  return times
}
