import { useRouter } from 'vue-router'
import { Away, Refused } from '../store/api'
import { useBench } from '../store/bench'
import { draftRevision } from '../store/cardCopies'
import { newId } from '../store/newId'
import { learned } from '../words/learned'

/** What was learned on the bench, put on a card. */
export function useCardOfRun(tell: (words: string) => void) {
  const bench = useBench()
  const router = useRouter()

  /** A part that was measured first becomes a card in one step; what was asked beside a card, or names its blades, goes into its next revision. */
  async function makeCard(): Promise<void> {
    const { run, state, writtenCard } = bench
    if (!run || !state || !writtenCard) return
    const write = (id: string, revision: number, query: Record<string, string>) =>
      void router.push({ name: 'write', params: { id, revision: String(revision) }, query })
    if (run.card.state === 'sketch') return write(newId(), 1, { run: run.id })
    if (!learned(writtenCard, state)) return
    try {
      write(run.card.id, await draftRevision(run.card.id), { asked: run.id })
    } catch (error) {
      if (error instanceof Away) tell('The server is away: a card is revised when it is there again.')
      else if (error instanceof Refused) tell(error.message)
      else throw error
    }
  }
  return () => void makeCard()
}
