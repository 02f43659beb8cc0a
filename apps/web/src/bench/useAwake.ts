import { useWakeLock } from '@vueuse/core'
import { onScopeDispose } from 'vue'

/** Keeps the screen awake while a run is open, where the browser can. A refusal (a hidden tab, a low battery) does no harm. */
export function useAwake(): void {
  const { isSupported, request, release } = useWakeLock()
  if (isSupported.value) request('screen').catch(() => undefined)
  onScopeDispose(() => void release())
}
