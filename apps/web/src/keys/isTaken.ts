/** Whether the keys belong to what has the focus: a field, a list that is open, or Enter and Space on a control. */
export function isTaken(event: KeyboardEvent): boolean {
  const { target } = event
  if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return true
  if (!(target instanceof HTMLElement)) return false
  if (target.dataset['line'] !== undefined) return false
  if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable) return true
  if (target.closest('[role="combobox"], [role="listbox"], [role="grid"], [role="tablist"]') !== null) return true
  const control = target.closest('button, a, [role="option"], summary')
  return control !== null && (event.key === 'Enter' || event.key === ' ')
}
