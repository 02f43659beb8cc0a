import type { EntryBody, StepState } from '@sure-spool/core'
import { ref } from 'vue'
import type { Doing } from '../reading/useTyping'

/** What makes ready for a reading, or is noted beside it: it leaves a step that was chosen by hand where it is. */
const leavesTheHand: ReadonlySet<EntryBody['kind']> = new Set([
  'proof',
  'note',
  'look',
  'compare',
  'caution',
  'lead-check',
  'temperature',
  'supply',
])

/** Where the hand is on the path: chosen by it, or where the run says; and what is being taken again there. */
export function handPlace(current: () => StepState | undefined) {
  /** moved along the path by hand; null follows the run */
  const cursor = ref<string | null>(null)
  const doing = ref<Doing | null>(null)
  /** the reading that waits while its leads are zeroed */
  let back: string | null = null
  const atReading = () => current()?.step.kind === 'reading'

  function goTo(id: string | null): void {
    doing.value = null
    back = null
    cursor.value = id
  }

  /** Goes to a step that makes ready, and from it back to the reading that was chosen by hand, if one was. */
  function goAside(id: string): void {
    const from = atReading() ? cursor.value : null
    goTo(id)
    back = from
  }

  /**
   * The hand after an entry: at the step it had chosen where that is still to be read, else where the run says.
   * @param goesOn the step that is read on: a response is many readings
   */
  function added({ kind }: EntryBody, goesOn: string | undefined): void {
    doing.value = null
    if (goesOn !== undefined) {
      cursor.value = goesOn
      return
    }
    const stays = leavesTheHand.has(kind)
    if (!(stays && atReading())) cursor.value = stays ? back : null
    back = null
  }

  const leave = () => goTo(null)
  return { cursor, doing, goTo, goAside, added, leave }
}
