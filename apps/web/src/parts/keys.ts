import { onBeforeUnmount, onMounted } from 'vue'

export type KeyMap = Record<string, (event: KeyboardEvent) => void>

/** Whether the keys belong to what has the focus: a field, or Enter and Space on a control. */
export function isTaken(event: KeyboardEvent): boolean {
  const { target } = event
  if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return true
  if (!(target instanceof HTMLElement)) return false
  if (target.dataset['line'] !== undefined) return false
  if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable) return true
  const control = target.closest('button, a, [role="option"], summary')
  return control !== null && (event.key === 'Enter' || event.key === ' ')
}

/** Listens to keys on the whole screen while the component is there. The handler says by returning true that it used the key. */
export function useKeys(handle: (event: KeyboardEvent) => boolean): void {
  const listener = (event: KeyboardEvent) => {
    if (event.defaultPrevented || document.querySelector('[role="dialog"]')) return
    if (handle(event)) event.preventDefault()
  }
  onMounted(() => window.addEventListener('keydown', listener))
  onBeforeUnmount(() => window.removeEventListener('keydown', listener))
}
