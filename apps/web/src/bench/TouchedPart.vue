<script setup lang="ts">
import { plugsOf, readingSet } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import { heldWords, holdPlug } from '../drawings/plugLayout'
import PlugFace from '../drawings/PlugFace.vue'
import RingPicture from '../drawings/RingPicture.vue'
import SetPicture from '../drawings/SetPicture.vue'
import { usePlugHold } from '../drawings/usePlugHold'
import ScreenKey from '../keys/ScreenKey.vue'
import { useAfterPaint } from '../screen/useAfterPaint'
import { useBench } from '../store/bench'

/** The part as it is held: its plug with the two points to touch, or the set of which one item is read. */
const bench = useBench()
useAfterPaint(() => bench.state)
const point = computed(() => (bench.current?.step.kind === 'reading' ? bench.current.step.point : undefined))
const pair = computed(() => point.value?.pair)
/** one of several that are looked at together: bars, leads, places on a curve */
const inSet = computed(() => point.value?.index !== undefined || point.value?.x !== undefined || isHeard.value)
/** a response is drawn once it has begun; before that the plug says where to touch */
const isHeard = computed(
  () =>
    bench.check?.kind === 'response' &&
    bench.state !== undefined &&
    readingSet(bench.state, bench.check).points.length > 0,
)
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
/** the frame is in no cavity, and is touched beside the plug */
const frame = computed(() => bench.run?.card.terminals.find(({ id }) => id === 'frame'))
function readWinding(id: string): void {
  const winding = bench.run?.card.windings.find((one) => one.id === id)
  if (winding) bench.goToPoints([winding.from, winding.to])
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
        @winding="readWinding"
      />
      <p class="seen">
        <span>{{ picked === undefined ? seen : 'and the other point' }}</span>
        <span class="beside"
          ><button v-if="frame" class="plain frame" :class="{ second: picked !== undefined }" @click="touch(frame.id)">
            {{ frame.label }}</button
          ><ScreenKey quiet act="flip"
        /></span>
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
.beside {
  display: flex;
  align-items: center;
  gap: 4px;
  flex: none;
}
.frame {
  min-height: 44px;
  min-width: 44px;
  padding: 0 8px;
  max-width: 130px;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  text-decoration: underline;
}
/* where there is little room it comes with the other point */
@media (max-width: 1100px) {
  .frame:not(.second) {
    display: none;
  }
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
