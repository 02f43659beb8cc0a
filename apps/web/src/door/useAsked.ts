import { ref } from 'vue'
import { Away, Refused } from '../store/api'

/** One thing asked of the server from a form: whether it is under way, and the sentence with which it was refused. */
export function useAsked() {
  const busy = ref(false)
  const problem = ref('')

  /** @returns whether it was done */
  async function asked(work: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    problem.value = ''
    try {
      await work()
      return true
    } catch (error) {
      if (!(error instanceof Refused || error instanceof Away)) throw error
      const told = error instanceof Refused || error.retryAfterMs > 0
      problem.value = told
        ? error.message
        : 'The server does not answer. What was taken in this browser is kept; try again when it is back.'
      return false
    } finally {
      busy.value = false
    }
  }
  return { busy, problem, asked }
}
