import type { QueueUnit } from '@sure-spool/contract'
import type { DecisionId, FindingWord } from '@sure-spool/core'
import { computed, ref, type Ref } from 'vue'
import { useBench } from '../store/bench'
import { useShop } from '../store/shop'
import type { Figures } from '../words/figures'
import { decisionWords } from '../words/kinds'
import { remarkWords } from '../words/remarks'
import { pileOf } from './piles'

/** One decision for several parts of a tray, in which the same was found. */
export interface TrayOffer {
  what: DecisionId
  units: QueueUnit[]
  label: string
  hint: string
}

/** What goes without saying for a finding. Anything else is decided on the bench, part by part: as is what stands undecided. */
const plainly: [FindingWord, DecisionId, string][] = [
  ['no-fault-found', 'return', 'the sheets list what is not proved'],
  ['fault-found', 'replace', 'the parts are out'],
]

/** The decisions that a tray may be given at once, by what was found and is not decided yet. */
export const trayOffers = (units: readonly QueueUnit[]): TrayOffer[] =>
  plainly.flatMap(([finding, what, follows]) => {
    const found = units.filter((unit) => pileOf(unit) === 'found' && unit.standing?.finding === finding)
    const tags = found.map(({ tag }) => tag).join(', ')
    const label = found.length === 1 ? decisionWords[what] : `${decisionWords[what]}, all ${found.length}`
    return found.length === 0 ? [] : [{ what, units: found, label, hint: `${tags}; ${follows}` }]
  })

/** Decides several runs of a tray with one reason: each gets its own entry, and closes. */
export function useTrayDecision(units: () => readonly QueueUnit[], figures: Figures, load: () => Promise<void>) {
  const bench = useBench()
  const shop = useShop()
  /** decided here, and perhaps not with the server yet */
  const decided = ref<ReadonlySet<string>>(new Set())
  const offers = computed(() =>
    shop.person?.access === 'reader' ? [] : trayOffers(units().filter(({ id }) => !decided.value.has(id))),
  )
  const chosen: Ref<TrayOffer | undefined> = ref()
  const doubt = ref('')
  let doubted = ''
  const leave = () => {
    chosen.value = undefined
    doubt.value = doubted = ''
  }

  function choose(at: number): boolean {
    const offer = offers.value[at]
    if (!offer) return false
    if (shop.person?.access === 'learner')
      doubt.value = 'Who is learning decides on the bench, part by part, with a second person.'
    else chosen.value = offer
    return true
  }

  /** Opens each run in turn, as the bench does, and puts the decision on its tape. What a colleague doubts is said once, first. */
  async function decide(why: string): Promise<void> {
    const offer = chosen.value
    if (!offer) return
    const body = { kind: 'decision' as const, what: offer.what, why }
    const runs = offer.units.flatMap(({ tag, standing }) => (standing ? [{ tag, run: standing.run }] : []))
    if (why !== doubted) {
      doubted = why
      doubt.value = await doubtOf(runs)
      if (doubt.value !== '') return
    }
    for (const { run } of runs) {
      await bench.open(run)
      if (bench.run?.id === run && bench.state?.closed === false) bench.add(body)
    }
    decided.value = new Set([...decided.value, ...offer.units.map(({ id }) => id)])
    leave()
    await load()

    async function doubtOf(all: typeof runs): Promise<string> {
      for (const { tag, run } of all) {
        await bench.open(run)
        const high = bench.wouldSay(body).find(({ id }) => id === 'high-is-not-shorted')
        if (high && bench.run) {
          const { what, todo } = remarkWords(high, bench.run.card, figures)
          return `${tag}: ${what} ${todo} Enter keeps the words as they are.`
        }
      }
      return ''
    }
  }

  return { offers, chosen, doubt, choose, decide, leave }
}
