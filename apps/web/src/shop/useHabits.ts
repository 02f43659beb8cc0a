import type { ShopSettings, ShopView } from '@sure-spool/contract'
import { plainDefaults, plainUnits } from '@sure-spool/core'
import { useDebounceFn } from '@vueuse/core'
import { computed, onScopeDispose, ref, watch } from 'vue'
import { ask } from '../store/api'
import { plain } from '../store/plain'
import { useShop } from '../store/shop'

type Defaults = NonNullable<ShopSettings['defaults']>
const typingMs = 500

/** The shop's habits as they are being changed: what is typed is kept when it pauses, and when the screen is left. */
export function useHabits(kept: (answer: Promise<ShopView>) => Promise<void>, refuse: (sentence: string) => void) {
  const shop = useShop()
  const habits = ref<ShopSettings>(plain(shop.settings))
  let changed = false
  watch(
    () => shop.known,
    () => (habits.value = plain(shop.settings)),
  )

  async function keepNow(): Promise<void> {
    if (!changed) return
    changed = false
    if (habits.value.name.trim() === '') refuse('The shop needs a name.')
    else
      await kept(
        ask<ShopView>('/shop/settings', { method: 'PUT', body: { settings: habits.value, by: shop.person?.id } }),
      )
  }
  const keepSoon = useDebounceFn(keepNow, typingMs)
  onScopeDispose(() => void keepNow())

  /** What is chosen is kept at once, what is typed when it pauses. */
  function choose<K extends keyof ShopSettings>(key: K, value: ShopSettings[K]): void {
    habits.value = { ...habits.value, [key]: value }
    changed = true
    void keepNow()
  }
  function type<K extends keyof ShopSettings>(key: K, value: ShopSettings[K]): void {
    habits.value = { ...habits.value, [key]: value }
    changed = true
    void keepSoon()
  }
  const defaults = computed<Defaults>(() => habits.value.defaults ?? plainDefaults)
  const units = computed(() => habits.value.units ?? plainUnits)
  const setDefault = (key: keyof Defaults, value: number | undefined) =>
    value !== undefined && value > 0 && type('defaults', { ...defaults.value, [key]: value })

  return { habits, choose, type, defaults, units, setDefault }
}
