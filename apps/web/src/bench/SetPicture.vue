<script setup lang="ts">
import { curveBand, onCurve, type PreparedCheck } from '@sure-spool/core'
import { scaleLinear, scaleLog } from 'd3'
import { computed } from 'vue'
import { useBench } from '../store/bench'
import { useFigures } from '../words/figures'
import { placeQuantity } from '../words/points'

/** Readings that belong together, each at its number or its place: what is alike, what lies on the curve, what stands apart. */
const props = defineProps<{ check: PreparedCheck; here: number | undefined }>()
const bench = useBench()
const figures = useFigures()
const size = { width: 380, height: 214, left: 76, right: 12, top: 10, bottom: 26 }

const curve = computed(() => {
  const stated = props.check.stated[0]?.limit
  return stated !== undefined && stated !== 'derived' && stated.kind === 'curve' ? stated : undefined
})
const count = computed(() => {
  const { check } = props
  return check.items ?? ('ring' in check.at ? check.at.ring : 0)
})
const points = computed(() =>
  (bench.state?.checks.find((one) => one.check === props.check)?.points ?? []).flatMap(({ evaluation, verdict }) => {
    const { index, x } = evaluation?.entry.reading ?? {}
    const at = curve.value ? x : index
    const value = curve.value || !x ? (evaluation?.judged ?? evaluation?.net) : (evaluation?.net ?? 0) / x
    return at === undefined || value === undefined ? [] : [{ at, value, verdict }]
  }),
)
/** the limits of a set: each over its own length where it has one */
const band = computed(() => {
  const stated = props.check.stated[0]?.limit
  if (stated !== undefined && stated !== 'derived' && stated.kind === 'perMetre')
    return {
      min: stated.value * (1 - stated.tolerancePct / 100),
      max: stated.value * (1 + stated.tolerancePct / 100),
    }
  const known = bench.state?.checks.find((one) => one.check === props.check)?.points.find((one) => one.evaluation)
  return curve.value ? {} : (known?.evaluation?.limit?.band ?? {})
})
const line = computed(() => {
  if (!curve.value) return []
  const { points: stated, tolerancePct, scale } = curve.value
  const places = stated.map((one) => one.x)
  const [first, last] = [Math.min(...places), Math.max(...places)]
  return Array.from({ length: 41 }, (_, i) => {
    const x = first + ((last - first) * i) / 40
    const ohms = onCurve(stated, x, scale) ?? 0
    return { x, ...curveBand(ohms, tolerancePct) }
  })
})
const across = computed(() => {
  const places = line.value.map((one) => one.x)
  const [low, high] = curve.value ? [Math.min(...places), Math.max(...places)] : [0.5, Math.max(1, count.value) + 0.5]
  return scaleLinear([low, high], [size.left, size.width - size.right])
})
const up = computed(() => {
  const all = [
    ...points.value.map((one) => one.value),
    ...line.value.flatMap((one) => [one.min, one.max]),
    ...[band.value.min, band.value.max].filter((one) => one !== undefined),
  ].filter((one) => Number.isFinite(one))
  const [low, high] = all.length > 0 ? [Math.min(...all), Math.max(...all)] : [0, 1]
  const range = [size.height - size.bottom, size.top] as const
  if (curve.value?.scale === 'log' && low > 0) return scaleLog([low * 0.9, high * 1.1], range)
  const room = 0.12 * (high - low || Math.abs(high) || 1)
  return scaleLinear([low - room, high + room], range)
})
const area = computed(() => {
  const there = line.value.map((one) => `${across.value(one.x)} ${up.value(one.max)}`)
  const back = [...line.value].reverse().map((one) => `${across.value(one.x)} ${up.value(one.min)}`)
  return there.length > 0 ? `M${[...there, ...back].join('L')}Z` : ''
})
const quantity = computed(() => bench.quantity)
const words = computed(() => `${props.check.label}: ${points.value.length} read`)
</script>

<template>
  <svg class="set" :viewBox="`0 0 ${size.width} ${size.height}`" role="img" :aria-label="words">
    <path v-if="area" class="area" :d="area" />
    <template v-else>
      <line
        v-for="limit in [band.min, band.max].filter((one) => one !== undefined)"
        :key="limit"
        class="limit"
        :x1="size.left"
        :x2="size.width - size.right"
        :y1="up(limit)"
        :y2="up(limit)"
      />
    </template>
    <line
      v-if="here !== undefined"
      class="here"
      :x1="across(here)"
      :x2="across(here)"
      :y1="size.top"
      :y2="size.height - size.bottom"
    />
    <line
      class="axis"
      :x1="size.left"
      :x2="size.width - size.right"
      :y1="size.height - size.bottom"
      :y2="size.height - size.bottom"
    />
    <g v-for="tick in up.ticks(4).slice(0, 8)" :key="tick">
      <text :x="size.left - 8" :y="up(tick) + 5" text-anchor="end">{{ figures.bound(tick, quantity) }}</text>
    </g>
    <text v-for="tick in across.ticks(6)" :key="tick" :x="across(tick)" :y="size.height - 6" text-anchor="middle">
      {{ curve ? figures.bound(tick, placeQuantity(check)) : tick }}
    </text>
    <rect
      v-for="one in points"
      :key="`${one.at}-${one.value}`"
      :class="one.verdict"
      :x="across(one.at) - 5"
      :y="up(one.value) - 5"
      width="10"
      height="10"
    />
  </svg>
</template>

<style scoped>
.set {
  width: 100%;
  max-height: 236px;
}
text {
  font: 400 15px var(--figures);
  fill: var(--muted);
}
.axis {
  stroke: var(--ink);
}
.limit {
  stroke: var(--ink);
  stroke-dasharray: 5 4;
}
.area {
  fill: var(--tint);
  stroke: var(--hairline);
}
.here {
  stroke: var(--copper);
  stroke-width: 2.5;
}
rect {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
rect.within {
  fill: var(--within);
  stroke: var(--within);
}
rect.outside {
  fill: var(--outside);
  stroke: var(--outside);
}
</style>
