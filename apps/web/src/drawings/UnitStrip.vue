<script setup lang="ts">
import { scaleLinear } from 'd3'
import { computed, ref } from 'vue'
import type { CardRecord } from '@sure-spool/contract'
import type { Band } from '@sure-spool/core'
import { bracket } from './strokes'
import { useWidth } from './useWidth'

/** Real units as strokes over a limit's brackets. Open readings and what is far off are counted at the side. */
const props = defineProps<{
  band: Band
  readings: CardRecord['readings']
  weaker?: boolean
}>()
const frame = ref<HTMLElement | null>(null)
const width = useWidth(frame, 300)
const window = computed(() => {
  const { min, max } = props.band
  if (min !== undefined && max !== undefined) return [min - 0.35 * (max - min), max + 0.35 * (max - min)] as const
  const edge = max ?? min ?? 1
  const size = Math.abs(edge) || 1
  return max === undefined
    ? ([edge - 0.4 * size, edge + 0.6 * size] as const)
    : ([Math.min(0, edge - size), edge + 0.4 * size] as const)
})
const scale = computed(() => scaleLinear([...window.value], [6, width.value - 46]))
const inside = computed(() =>
  props.readings.filter((one) => !one.open && one.value >= window.value[0] && one.value <= window.value[1]),
)
const away = computed(() => props.readings.length - inside.value.length)
const kind = (one: CardRecord['readings'][number]) =>
  one.cameBack ? 'back' : one.finding === 'fault-found' ? 'fault' : 'sound'
</script>

<template>
  <div ref="frame" class="units">
    <svg
      :width="width"
      height="34"
      role="img"
      :aria-label="`${inside.length} runs near these limits, ${away} beyond the strip or open`"
    >
      <line class="thread" x1="6" :x2="width - 46" y1="17" y2="17" />
      <path
        v-if="band.min !== undefined"
        class="bracket"
        :class="{ weaker }"
        :d="bracket(scale(band.min), 17, 13, 7)"
      />
      <path
        v-if="band.max !== undefined"
        class="bracket"
        :class="{ weaker }"
        :d="bracket(scale(band.max), 17, 13, -7)"
      />
      <g v-for="one in inside" :key="one.run">
        <rect
          :class="kind(one)"
          :x="scale(one.value) - 1.5"
          y="9"
          :width="kind(one) === 'fault' ? 6 : kind(one) === 'back' ? 4 : 3"
          height="16"
        >
          <title>{{ one.tag }}</title>
        </rect>
      </g>
      <text v-if="away > 0" :x="width - 38" y="22">
        +{{ away }}
        <title>beyond this strip, or open</title>
      </text>
    </svg>
  </div>
</template>

<style scoped>
.units {
  min-width: 0;
  overflow: hidden;
}
.thread {
  stroke: var(--hairline);
}
.bracket {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}
.bracket.weaker {
  stroke-dasharray: 4 3;
}
.sound {
  fill: var(--ink);
}
.back {
  fill: var(--copper);
}
.fault {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.5;
}
text {
  font: 400 15px var(--figures);
  fill: var(--muted);
}
</style>
