<script setup lang="ts">
import { readingSet, type PreparedCheck } from '@sure-spool/core'
import { area, line, symbol, symbolSquare, symbolTriangle } from 'd3'
import { computed } from 'vue'
import { useBench } from '../store/bench'
import { useFigures } from '../words/figures'
import { placeQuantity } from '../words/points'
import { responseWords } from '../words/response'
import { setScale } from './setScale'

/** Readings that belong together, each at its number or its place: what is alike, what lies on the curve, what stands apart. */
const props = defineProps<{ check: PreparedCheck; here: number | undefined }>()
const bench = useBench()
const figures = useFigures()
const size = { width: 380, height: 214 }
const ground = { left: 76, right: size.width - 12, top: 16, bottom: size.height - 26 }
const marked = 90

const isLogCurve = computed(() => {
  const stated = props.check.stated[0]?.limit
  return stated !== undefined && stated !== 'derived' && stated.kind === 'curve' && stated.scale === 'log'
})
const set = computed(() =>
  bench.state ? readingSet(bench.state, props.check) : { points: [], band: {}, curve: [], perMetre: false, count: 0 },
)
const scale = computed(() => setScale(set.value, ground, isLogCurve.value))
const limits = computed(() => [set.value.band.min, set.value.band.max].filter((one) => one !== undefined))
const curved = computed(() => {
  const { across, up } = scale.value
  const drawn = area<{ x: number; min: number; max: number }>()
    .x(({ x }) => across(x))
    .y0(({ min }) => up(min))
    .y1(({ max }) => up(max))
  return drawn(set.value.curve) ?? ''
})
/** a block where it reads, an arrow at the edge where it is beyond */
const marks = computed(() =>
  set.value.points.map(({ at, value, verdict }) => {
    const side = scale.value.beyond(value)
    return {
      key: `${at} ${value}`,
      d: symbol(side ? symbolTriangle : symbolSquare, marked)() ?? '',
      place: `translate(${scale.value.across(at)} ${scale.value.up(value)})${side === 'low' ? ' rotate(180)' : ''}`,
      verdict,
      said: side ? `beyond: ${figures.bound(value, bench.quantity)}` : figures.bound(value, bench.quantity),
    }
  }),
)
/** from place to place, or frequency to frequency, as it was swept; where nothing was read through it breaks */
const swept = computed(() => {
  if (set.value.curve.length === 0 && set.value.response === undefined) return ''
  const { across, up, beyond } = scale.value
  const drawn = line<{ at: number; value: number }>()
    .defined(({ value }) => Number.isFinite(value) && beyond(value) === undefined)
    .x(({ at }) => across(at))
    .y(({ value }) => up(value))
  return drawn(set.value.points.toSorted((a, b) => a.at - b.at)) ?? ''
})
/** where a response has fallen by 3 dB, and the level of that */
const fallen = computed(() => {
  const { response } = set.value
  if (!response) return undefined
  const { across, up } = scale.value
  return {
    level: up(response.level),
    at: [response.below, response.above].flatMap((hertz) => (hertz === undefined ? [] : [across(hertz)])),
  }
})
const isBeyond = computed(() => set.value.points.some(({ value }) => scale.value.beyond(value) !== undefined))
const tickText = (at: number) =>
  set.value.curve.length > 0 || set.value.response !== undefined
    ? figures.bound(at, placeQuantity(props.check))
    : String(at)
const words = computed(
  () => `${props.check.label}: ${set.value.points.length} read${isBeyond.value ? ', some beyond the picture' : ''}`,
)
const note = computed(() =>
  [
    set.value.perMetre ? 'by the metre' : '',
    set.value.response ? responseWords(set.value.response, figures, bench.quantity) : '',
    isBeyond.value ? 'beyond at the edge' : '',
  ]
    .filter((one) => one !== '')
    .join(', '),
)
</script>

<template>
  <svg class="set" :viewBox="`0 0 ${size.width} ${size.height}`" role="img" :aria-label="words">
    <path v-if="curved" class="area" :d="curved" />
    <path v-if="swept" class="swept" :d="swept" />
    <template v-if="fallen">
      <line class="limit" :x1="ground.left" :x2="ground.right" :y1="fallen.level" :y2="fallen.level" />
      <line v-for="x in fallen.at" :key="x" class="limit" :x1="x" :x2="x" :y1="fallen.level" :y2="ground.bottom" />
    </template>
    <line
      v-for="limit in limits"
      :key="limit"
      class="limit"
      :x1="ground.left"
      :x2="ground.right"
      :y1="scale.up(limit)"
      :y2="scale.up(limit)"
    />
    <line
      v-if="here !== undefined"
      class="here"
      :x1="scale.across(here)"
      :x2="scale.across(here)"
      :y1="ground.top"
      :y2="ground.bottom"
    />
    <line class="axis" :x1="ground.left" :x2="ground.right" :y1="ground.bottom" :y2="ground.bottom" />
    <text v-for="tick in scale.ticks.up" :key="tick" :x="ground.left - 8" :y="scale.up(tick) + 5" text-anchor="end">
      {{ figures.bound(tick, bench.quantity) }}
    </text>
    <text
      v-for="tick in scale.ticks.across"
      :key="tick"
      :x="scale.across(tick)"
      :y="size.height - 6"
      text-anchor="middle"
    >
      {{ tickText(tick) }}
    </text>
    <text v-if="note" class="note" :x="ground.right" y="12" text-anchor="end">{{ note }}</text>
    <path v-for="one in marks" :key="one.key" :class="one.verdict" :d="one.d" :transform="one.place">
      <title>{{ one.said }}</title>
    </path>
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
.note {
  font-family: var(--text);
}
.axis {
  stroke: var(--ink);
}
.limit {
  stroke: var(--ink);
  stroke-dasharray: 5 4;
}
.here {
  stroke: var(--copper);
  stroke-width: 2.5;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
path.area {
  fill: var(--tint);
  stroke: var(--hairline);
}
path.within {
  fill: var(--within);
  stroke: var(--within);
}
path.outside {
  fill: var(--outside);
  stroke: var(--outside);
}
</style>
