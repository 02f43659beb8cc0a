import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue'

/** The width of an element in px, as it is laid out; `first` until it is known. */
export function useWidth(element: Ref<HTMLElement | null>, first: number): Ref<number> {
  const width = ref(first)
  const observer = new ResizeObserver(([entry]) => {
    if (entry && entry.contentRect.width > 0) width.value = entry.contentRect.width
  })
  onMounted(() => element.value && observer.observe(element.value))
  onBeforeUnmount(() => observer.disconnect())
  return width
}
