import type { QueueUnit } from '@sure-spool/contract'
import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'
import { useRouter } from 'vue-router'
import { ask } from '../store/api'
import { useBench } from '../store/bench'
import { useQueue } from '../store/queue'
import { useTray } from '../tray/useTray'

/** The tray that the part on the bench came on, and the next of it. */
export function useBenchTray(told: Ref<string>): { label: ComputedRef<string>; goOn: () => Promise<void> } {
  const bench = useBench()
  const queue = useQueue()
  const router = useRouter()
  const id = ref<string>()
  const tray = useTray(() => id.value)
  watch(
    () => bench.run?.unit.id,
    async (unit) => {
      id.value = undefined
      if (unit === undefined) return
      const here =
        queue.units.find((one) => one.id === unit) ?? (await ask<QueueUnit>(`/units/${unit}`).catch(() => undefined))
      if (bench.run?.unit.id === unit) id.value = here?.tray
    },
    { immediate: true },
  )
  const next = computed(() => tray.nextAfter(bench.run?.unit.id))
  const label = computed(() =>
    next.value ? `next of the tray, ${next.value.tag}` : id.value === undefined ? '' : 'all done: the tray',
  )

  async function goOn(): Promise<void> {
    await tray.load()
    const unit = next.value
    try {
      if (unit) await router.push({ name: 'bench', params: { run: await tray.goOn(unit) } })
      else if (id.value !== undefined) await router.push({ name: 'tray', params: { id: id.value } })
    } catch (error) {
      told.value = error instanceof Error ? error.message : String(error)
    }
  }
  return { label, goOn }
}
