import { effectScope, getCurrentScope, onScopeDispose, watch } from 'vue'
import { afterPaint } from '../store/afterPaint'

/**
 * Keeps a component as it is until what changed has been painted elsewhere: the figure and its mark come first, what lies around them a
 * frame later.
 * @param changed what it waits with
 */
export function useAfterPaint(changed: () => unknown): void {
  const own = getCurrentScope()
  if (!own) return
  const outside = effectScope(true)
  outside.run(() =>
    watch(
      changed,
      () => {
        own.pause()
        afterPaint(() => own.resume())
      },
      { flush: 'sync' },
    ),
  )
  onScopeDispose(() => outside.stop())
}
