<script setup lang="ts">
import { plugsOf } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import { heldWords, holdPlug } from '../drawings/plugLayout'
import PlugFace from '../drawings/PlugFace.vue'
import RingPicture from '../drawings/RingPicture.vue'
import SetPicture from '../drawings/SetPicture.vue'
import { usePlugHold } from '../drawings/usePlugHold'
import ScreenKey from '../keys/ScreenKey.vue'
import { useBench } from '../store/bench'

/** The part as it is held: its plug with the two points to touch, or the set of which one item is read. */
const bench = useBench()
const point = computed(() => (bench.current?.step.kind === 'reading' ? bench.current.step.point : undefined))
const pair = computed(() => point.value?.pair)
/** one of several that are looked at together: bars, leads, places on a curve */
const inSet = computed(() => point.value?.index !== undefined || point.value?.x !== undefined)
const isRing = computed(() => inSet.value && bench.check !== undefined && 'ring' in bench.check.at)
const plugs = computed(() => {
  if (!bench.run) return []
  const all = plugsOf(bench.run.card, bench.run.unit.variant).filter((plug) => plug.cavities.length > 0)
  const touched = all.filter((plug) =>
    plug.cavities.some((cavity) => cavity.terminal !== null && pair.value?.includes(cavity.terminal)),
  )
  return touched.length > 0 ? touched : all.slice(0, 1)
})
const { hold, flip, turn } = usePlugHold(() => `${bench.run?.card.id ?? ''}.${plugs.value[0]?.id ?? ''}`)
const seen = computed(() =>
  plugs.value
    .map((plug) => {
      const held = heldWords(holdPlug(plug, hold.value.flipped, hold.value.turns))
      return plug.adaptor === undefined ? held : `${held}. ${plug.adaptor}`
    })
    .join('; '),
)
const isThere = computed(() => (inSet.value && bench.check !== undefined) || plugs.value.length > 0)
/** the first of two points that are picked on the drawing */
const picked = ref<string>()
watch(
  () => bench.stepId,
  () => (picked.value = undefined),
)
function touch(terminal: string): void {
  const first = picked.value
  picked.value = first === undefined ? terminal : undefined
  if (first !== undefined && first !== terminal) bench.goToPoints([first, terminal])
}
defineExpose({ flip, turn })
</script>

<template>
  <div v-if="isThere && bench.run" class="plug">
    <RingPicture
      v-if="isRing && bench.check && bench.state"
      :state="bench.state"
      :check="bench.check"
      :here="point?.index"
    />
    <SetPicture v-else-if="inSet && bench.check" :check="bench.check" :here="point?.index ?? point?.x" />
    <template v-else>
      <PlugFace
        v-for="plug in plugs"
        :key="plug.id"
        :card="bench.run.card"
        :plug="plug"
        touchable
        :ring="picked === undefined ? pair : [picked]"
        :flipped="hold.flipped"
        :turns="hold.turns"
        @touch="touch"
      />
      <p class="seen">
        <span>{{ picked === undefined ? seen : 'and the other point' }}</span><ScreenKey quiet act="flip" />
      </p>
    </template>
  </div>
</template>

<style scoped>
.plug {
  min-width: 0;
  min-height: 0;
  max-height: 100%;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.plug :deep(.face) {
  min-height: 0;
  flex: 0 1 214px;
}
.plug :deep(svg) {
  height: 100%;
  max-height: 214px;
}
.seen {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  color: var(--muted);
  font-size: 16px;
}
</style>
