import type { RunView } from '@sure-spool/contract'
import type { BenchPage } from './benchPage'
import { expect, type World } from './world'

/** What is typed at each step: a figure; `OL` for the over-range key; `frame` for both tips on bare frame; `machine` and `bench` say where it is now; one letter is a key. */
export async function work(bench: BenchPage, steps: string[]): Promise<void> {
  for (const step of steps) {
    if (step === 'OL') await bench.press('o', 'Enter')
    else if (step === 'frame') {
      await expect(bench.title).toHaveText(/^Touch both tips to bare /)
      await bench.type('0.1')
    } else if (step === 'machine') await bench.press('h', '1')
    else if (step === 'bench') await bench.press('h', '2')
    else if (/^[a-z]$/.test(step)) await bench.press(step)
    else await bench.type(step)
  }
}

/** The run's state as the server has it. */
export async function stateOf(bench: BenchPage, world: World): Promise<RunView['state']> {
  await bench.allSent()
  return (await world.get<RunView>(`/runs/${bench.runId}`)).state
}
/** Each check's verdict, by its id. */
export const verdicts = (state: RunView['state']) =>
  Object.fromEntries(state.verdicts.map((row) => [row.check, row.verdict]))
