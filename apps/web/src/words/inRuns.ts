/** Numbers in order, neighbours as one run: `3, 12–23`. */
export function inRuns(numbers: number[]): string {
  const runs: [number, number][] = []
  for (const one of numbers) {
    const last = runs.at(-1)
    if (last && one === last[1] + 1) last[1] = one
    else runs.push([one, one])
  }
  return runs.map(([from, to]) => (from === to ? String(from) : `${from}–${to}`)).join(', ')
}
