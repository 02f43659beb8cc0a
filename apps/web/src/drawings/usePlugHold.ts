import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useShop } from '../store/shop'

interface Hold {
  flipped: boolean
  turns: number
}

/** How this person holds a plug: remembered by person and plug. */
export function usePlugHold(plug: () => string) {
  const shop = useShop()
  const held = useLocalStorage<Hold>(
    () => `spool.hold.${shop.person?.id ?? ''}.${plug()}`,
    { flipped: false, turns: 0 },
    {
      writeDefaults: false,
    },
  )
  const hold = computed(() => held.value)
  return {
    hold,
    flip: () => (held.value = { ...held.value, flipped: !held.value.flipped }),
    turn: () => (held.value = { ...held.value, turns: (held.value.turns + 1) % 4 }),
  }
}
