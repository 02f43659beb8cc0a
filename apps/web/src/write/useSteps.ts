import type { Card } from '@sure-spool/core'
import { useManualRefHistory } from '@vueuse/core'
import { computed, ref, type ShallowRef } from 'vue'

const mostSteps = 200

/** The steps in which a card was written: each can be undone, and what is typed into one field counts as one. */
export function useSteps(card: ShallowRef<Card | undefined>) {
  const history = useManualRefHistory(card, { capacity: mostSteps })
  /** the step that is being made: more typing in its field still belongs to it */
  const open = ref(false)
  let field: string | undefined

  /** The card as it was opened, before which there is nothing. */
  function begin(first: Card): void {
    card.value = first
    history.commit()
    history.clear()
    open.value = false
  }

  /** @param within the field that was typed into; a change without one is a step by itself */
  function step(next: Card, within: string | undefined): void {
    if (within === undefined || within !== field) close()
    field = within
    card.value = next
    open.value = true
  }

  function close(): void {
    field = undefined
    if (open.value) history.commit()
    open.value = false
  }

  function undo(): void {
    close()
    history.undo()
  }

  function redo(): void {
    if (!open.value) history.redo()
  }

  return {
    begin,
    step,
    undo,
    redo,
    canUndo: computed(() => open.value || history.canUndo.value),
    canRedo: computed(() => !open.value && history.canRedo.value),
  }
}
