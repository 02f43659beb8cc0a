import { isolations, parseReading, typedTerminals, type Isolation } from '@sure-spool/core'
import { useBench } from '../store/bench'
import { useShop } from '../store/shop'
import { problemWords } from '../words/reasons'
import type { useQuestions } from './useQuestions'

/** How the part is kept apart from what it sits in: loose, unplugged, by a lifted lead, or with what stands in parallel said. */
export function useIsolation(ask: ReturnType<typeof useQuestions>['ask'], tell: (words: string) => void) {
  const bench = useBench()
  const shop = useShop()

  function keep(state: Isolation, more: { lifted?: string[]; parallelOhms?: number } = {}): void {
    const step = bench.current?.step
    if (step?.kind === 'isolate') for (const caution of step.cautions) bench.add({ kind: 'caution', caution })
    bench.add({ kind: 'isolation', state, ...more })
    for (const place of more.lifted ?? []) bench.add({ kind: 'work', what: 'off', place })
  }

  function isolate(at: number): void {
    const state = isolations[at]
    const card = bench.run?.card
    if (bench.current?.step.kind !== 'isolate' || !state || !card) return
    if (state === 'one-lead-lifted') {
      const leads = card.terminals.filter(({ id, part }) => id !== 'frame' && part !== 'joint').slice(0, 9)
      ask(
        'Which lead is lifted? Several apart by a comma.',
        leads.map(({ label }) => label),
        (words) => {
          const typed = typedTerminals(words, card)
          if ('problem' in typed) tell(`${typed.problem} Nothing was kept.`)
          else keep(state, { lifted: typed.terminals })
        },
      )
    } else if (state === 'in-circuit') {
      ask('What stands in parallel? Its ohms, as 330k; leave it empty where nobody knows.', [], parallel, {
        free: true,
      })
    } else keep(state)
  }

  function parallel(words: string): void {
    if (words.trim() === '') return keep('in-circuit')
    const read = parseReading({ text: words.trim(), quantity: 'resistance', decimalComma: shop.settings.decimalComma })
    if (read.kind === 'value' && read.value !== undefined && read.value > 0)
      keep('in-circuit', { parallelOhms: read.value })
    else tell(`“${words}”: ${problemWords[read.problem ?? 'number']} Nothing was kept.`)
  }

  return { isolate }
}
