import type { Comparison } from '@sure-spool/core'
import { shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { useBench } from '../store/bench'
import { figuresOfPart } from '../store/figuresOfPart'
import { useQueue } from '../store/queue'
import type { useQuestions } from './useQuestions'

/** Where the bench stood when it went over to another part, and to which; it outlives the screen. */
const cameFrom = shallowRef<{ run: string; step: string; to: string }>()

/** A good one beside this part: a figure read on the spot, or another part of the model by its tag, with a way over to it and back. */
export function useBeside(ask: ReturnType<typeof useQuestions>['ask'], tell: (words: string) => void) {
  const bench = useBench()
  const queue = useQueue()
  const router = useRouter()

  function compare(): void {
    if (bench.current?.step.kind !== 'reading') return
    ask(
      'What does a good one read there, with this meter and as warm as this part? As the display shows it; or the tag of a part like this one, whose figures are then taken.',
      [],
      (words) => void take(words.trim()),
    )
  }

  async function take(words: string): Promise<void> {
    if (!/^[A-Za-z]/.test(words)) {
      if (bench.compareWith(words)) tell(`“${words}” is no figure to compare with. Nothing was kept.`)
      return
    }
    const problem = await beside(words)
    if (problem !== '') tell(`${problem} Nothing was kept.`)
  }

  /** @returns why there is nothing to compare with, or nothing */
  async function beside(tag: string): Promise<string> {
    const { run } = bench
    if (!run) return ''
    const found = await figuresOfPart(tag, run, queue)
    if (bench.run?.id !== run.id) return ''
    if ('problem' in found) return found.problem
    bench.add({ kind: 'compare', with: found })
    return ''
  }

  /** The part that was last taken as this one’s twin. */
  const twin = (): Comparison | undefined =>
    bench.run?.compare?.findLast(({ as, run }) => as === 'twin' && run !== undefined)

  /** Over to the other part at the same step, or back with what it reads by now. */
  async function hop(): Promise<void> {
    const [from, other] = [cameFrom.value, twin()]
    const here = bench.run
    if (!here) return
    // back only from where it led: any other part has its own beside it
    if (from?.to === here.id) {
      cameFrom.value = undefined
      await goTo(from.run, from.step)
      await followUp(here.id)
    } else if (other?.run !== undefined) {
      cameFrom.value = { run: here.id, step: bench.stepId, to: other.run }
      await goTo(other.run, bench.stepId)
    } else tell('No part stands beside this one: c takes one by its tag.')
  }

  async function goTo(run: string, step: string): Promise<void> {
    await bench.open(run)
    await router.push({ name: 'bench', params: { run } })
    bench.goTo(bench.steps.some((one) => one.step.id === step) ? step : null)
  }

  /** What the other part reads by now, where that is not what was taken. */
  async function followUp(run: string): Promise<void> {
    const taken = twin()
    const { run: here } = bench
    if (!here || taken?.run !== run) return
    const step = bench.stepId
    const fresh = await figuresOfPart(taken.tag, here, queue)
    if ('problem' in fresh || JSON.stringify(fresh.figures) === JSON.stringify(taken.figures)) return
    if (bench.run?.id !== here.id) return
    bench.add({ kind: 'compare', with: fresh })
    bench.goTo(step)
  }

  return { compare, hop: () => void hop() }
}
