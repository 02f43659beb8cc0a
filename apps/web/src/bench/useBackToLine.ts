import { nextTick } from 'vue'

/**
 * After a click the line has the focus again, so that Enter keeps and does not press the button once more. A finger gets no screen
 * keyboard for it.
 * @param isAsking whether words are asked for, which have a field of their own
 */
export const useBackToLine =
  (isAsking: () => boolean) =>
  async (event: MouseEvent): Promise<void> => {
    const isField = event.target instanceof Element && event.target.closest('input, textarea, .ask') !== null
    await nextTick()
    if (isField || isAsking()) return
    const isFinger = event instanceof PointerEvent && event.pointerType === 'touch'
    const field = isFinger ? null : document.querySelector<HTMLElement>('.bench [data-line]')
    ;(field ?? document.getElementById('work'))?.focus()
  }
