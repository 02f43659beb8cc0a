import { useElementSize } from '@vueuse/core'
import { computed, type ComputedRef, type Ref } from 'vue'

/** The width of an element in px, as it is laid out; `first` until it is known. */
export function useWidth(element: Ref<HTMLElement | null>, first: number): ComputedRef<number> {
  const { width } = useElementSize(element, { width: first, height: 0 })
  return computed(() => (width.value > 0 ? width.value : first))
}
