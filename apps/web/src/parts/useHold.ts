import { computed, ref } from 'vue'
import { useShop } from '../store/shop'

interface Hold {
  flipped: boolean
  turns: number
}

/** How this person holds a plug: remembered by person and plug. */
export function useHold(plug: () => string) {
  const shop = useShop()
  const changed = ref(0)
  const key = () => `spool.hold.${shop.person?.id ?? ''}.${plug()}`
  const hold = computed<Hold>(() => {
    void changed.value
    const text = localStorage.getItem(key())
    return text === null ? { flipped: false, turns: 0 } : (JSON.parse(text) as Hold)
  })
  const keep = (to: Hold) => {
    localStorage.setItem(key(), JSON.stringify(to))
    changed.value++
  }
  return {
    hold,
    flip: () => keep({ ...hold.value, flipped: !hold.value.flipped }),
    turn: () => keep({ ...hold.value, turns: (hold.value.turns + 1) % 4 }),
  }
}
