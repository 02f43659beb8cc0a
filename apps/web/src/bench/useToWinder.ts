import { windingsToRewind, type Card, type Coil, type RunState, type Winding } from '@sure-spool/core'
import { useRouter } from 'vue-router'
import { useRewind } from '../store/rewind'
import type { useQuestions } from './useQuestions'

type Ask = ReturnType<typeof useQuestions>['ask']

/** The two coils of a pickup are to add: each by the label of the other. */
const sisterOf =
  ({ family, windings }: Card) =>
  (id: string): string | undefined =>
    family === 'pickup' && windings.length === 2 ? windings.find((one) => one.id !== id)?.label : undefined

/** From the finding to the winder: which windings, and of how many poles or bobbins each is. */
export function useToWinder(ask: Ask, tell: (words: string) => void): (state: RunState | undefined) => void {
  const rewind = useRewind()
  const router = useRouter()

  async function begin(state: RunState, coils: Coil[]): Promise<void> {
    const { run } = state
    const { maker, model } = run.card.name
    const unit = { id: run.unit.id, tag: run.unit.tag, card: run.card.id, model: `${maker} ${model}`.trim() }
    await router.push({ name: 'rewind', params: { id: await rewind.begin(unit, run.id, coils) } })
  }

  return (state) => {
    if (!state) return
    const windings = windingsToRewind(state)
    const names = windings.map(({ label }) => label).join(', ')
    const question = `How many poles or bobbins is ${names || 'the winding'} wound on, each? Enter is one`
    const answer = (words: string): void => {
      const count = words.trim() === '' ? 1 : Number(words)
      if (!Number.isInteger(count) || count < 1 || count > 200) {
        tell(`“${words.slice(0, 20)}” is no count of poles: type a number, 1 to 200.`)
        return
      }
      const sister = sisterOf(state.run.card)
      const all: Pick<Winding, 'id' | 'label'>[] =
        windings.length > 0 ? windings : [{ id: 'winding', label: 'winding' }]
      const coils = all.flatMap(({ id, label }) =>
        Array.from({ length: count }, (_, i) => ({
          id: count === 1 ? id : `${id}-${i + 1}`,
          winding: id,
          ...(count === 1 && sister(id) !== undefined ? { sister: sister(id) } : {}),
          label: count === 1 ? label : all.length > 1 ? `${label}, ${i + 1}` : `pole ${i + 1}`,
        })),
      )
      void begin(state, coils).catch((error: unknown) => tell(error instanceof Error ? error.message : String(error)))
    }
    ask(question, [], answer, { free: true })
  }
}
