import { onBeforeUnmount, onMounted } from 'vue'

/** Keeps the screen awake while a run is open, where the browser can. A refusal (a hidden tab, a low battery) does no harm. */
export function useAwake(): void {
  let lock: WakeLockSentinel | undefined
  const take = async () => {
    if (!('wakeLock' in navigator) || document.visibilityState !== 'visible') return
    lock = await navigator.wakeLock.request('screen').catch(() => undefined)
  }
  const seen = () => void take()
  onMounted(() => {
    void take()
    document.addEventListener('visibilitychange', seen)
  })
  onBeforeUnmount(() => {
    document.removeEventListener('visibilitychange', seen)
    void lock?.release()
  })
}
