<script setup lang="ts">
import { scaleLinear, scaleLog } from 'd3'
import { computed, ref } from 'vue'
import type { Quantity } from '@sure-spool/core'
import { useFigures } from '../words/figures'
import { useWidth } from './useWidth'

/** A strip with the limits as brackets, the reading as a block with ±2u whiskers, and other figures as ticks. SI units. */
const props = withDefaults(
  defineProps<{
    value?: number
    u?: number
    bound?: number
    min?: number
    max?: number
    quantity?: Quantity
    verdict?: 'within' | 'borderline' | 'outside' | 'none'
    held?: boolean
    ticks?: { value: number; label: string }[]
    aim?: { value: number; label: string }
    small?: boolean
  }>(),
  { quantity: 'resistance', verdict: 'none', ticks: () => [] },
)
const figures = useFigures()
const frame = ref<HTMLElement | null>(null)
const width = useWidth(frame, props.small ? 260 : 640)
const margin = computed(() => (props.small ? 84 : 14))
const shown = computed(() => props.value ?? props.bound)

/** Logarithmic where the reading, or an open side, is far from the limits. */
const far = computed(() => {
  const all = [shown.value, props.min, props.max].filter((one): one is number => one !== undefined && one > 0)
  const size = Math.max(...all) / Math.min(...all)
  return (
    size > (props.min !== undefined && props.max !== undefined ? 3 * (props.max / props.min) : 8) &&
    all.length === countOf()
  )
})
const countOf = () => [shown.value, props.min, props.max].filter((one) => one !== undefined).length

const domain = computed<[number, number]>(() => {
  const { min, max } = props
  const others = [...props.ticks.map((one) => one.value), ...(props.aim ? [props.aim.value] : [])]
  const points = [shown.value, min, max, ...others].filter(
    (one): one is number => one !== undefined && Number.isFinite(one),
  )
  const low = Math.min(...points)
  const high = Math.max(...points)
  if (far.value) return [low / 2.5, high * (props.bound !== undefined ? 12 : 2.5)]
  const window = min !== undefined && max !== undefined ? max - min : Math.max(high - low, Math.abs(high) * 0.3, 1e-9)
  const pad = Math.max(0.18 * window, (props.u ?? 0) * 2.4)
  return [Math.min(low - pad, low - 0.06 * (high - low)), Math.max(high + pad, high + 0.06 * (high - low))]
})
const scale = computed(() => {
  const span = [margin.value, width.value - margin.value]
  return far.value ? scaleLog(domain.value, span) : scaleLinear(domain.value, span)
})
const at = (value: number) => Math.max(2, Math.min(width.value - 2, scale.value(value)))
const axis = computed(() => {
  if (props.small) return []
  const ticks = far.value ? logTicks() : scale.value.ticks(6)
  return ticks.map((value) => ({ x: at(value), text: figures.bound(value, props.quantity).replace('\u2009', ' ') }))
})
function logTicks(): number[] {
  const [low, high] = domain.value
  const decades: number[] = []
  for (let power = Math.ceil(Math.log10(low)); power <= Math.floor(Math.log10(high)); power++) decades.push(10 ** power)
  return decades
}
const line = computed(() => (props.small ? 16 : 44))
const whisk = computed(() =>
  props.value === undefined || !props.u
    ? undefined
    : { from: at(props.value - 2 * props.u), to: at(props.value + 2 * props.u) },
)
/** A limit's figure stands beside its bracket, or behind the reading that is beyond it. */
const beyond = computed(() => {
  const reading = shown.value
  return reading === undefined
    ? undefined
    : {
        x: at(reading),
        left: (whisk.value?.from ?? at(reading) - 9) - 6,
        right: (whisk.value?.to ?? at(reading) + 9) + 6,
      }
})
const maxLabelX = computed(() => {
  const edge = at(props.max ?? 0) + 8
  const one = beyond.value
  return one && one.right > edge && one.left < edge + 56 && one.x > edge - 8
    ? Math.min(one.right + 2, width.value - 50)
    : edge
})
const minLabelX = computed(() => {
  const edge = at(props.min ?? 0) - 8
  const one = beyond.value
  return one && one.left < edge && one.right > edge - 56 && one.x < edge + 8 ? Math.max(one.left - 2, 50) : edge
})
const text = (value: number) => figures.bound(value, props.quantity).split('\u2009')[0]
const spoken = computed(() => {
  const limits = [props.min, props.max].map((one) =>
    one === undefined ? undefined : figures.bound(one, props.quantity),
  )
  const band =
    limits[0] && limits[1]
      ? `limits ${limits[0]} to ${limits[1]}`
      : limits[0]
        ? `at least ${limits[0]}`
        : limits[1]
          ? `at most ${limits[1]}`
          : 'no limits'
  const reading =
    props.value === undefined
      ? props.bound === undefined
        ? 'no reading'
        : `beyond ${figures.bound(props.bound, props.quantity)}`
      : `reading ${figures.figure(props.value, props.quantity)} plus or minus ${figures.expanded(props.u ?? 0, props.quantity)}`
  return `${band}, ${reading}`
})
</script>

<template>
  <div ref="frame" class="ruler" :class="{ small }">
    <svg :width="width" :height="small ? 32 : 88" role="img" :aria-label="spoken">
      <line v-if="!small" class="axis" :x1="margin" :x2="width - margin" y1="64" y2="64" />
      <line
        v-else
        class="thread"
        :x1="min === undefined ? at(domain[0]) : at(min)"
        :x2="max === undefined ? at(domain[1]) : at(max)"
        y1="16"
        y2="16"
      />
      <g v-for="tick in axis" :key="tick.text">
        <line class="axis" :x1="tick.x" :x2="tick.x" y1="64" y2="70" />
        <text class="axis-text" :x="tick.x" y="85" text-anchor="middle">{{ tick.text }}</text>
      </g>
      <g v-if="min !== undefined" class="limit" :class="{ held }">
        <path :d="`M${at(min) + 9} ${line - 14}h-9v28h9`" />
        <text :x="minLabelX" :y="line + 5" text-anchor="end">{{ text(min) }}</text>
      </g>
      <g v-if="max !== undefined" class="limit" :class="{ held }">
        <path :d="`M${at(max) - 9} ${line - 14}h9v28h-9`" />
        <text :x="maxLabelX" :y="line + 5">{{ text(max) }}</text>
      </g>
      <g v-for="tick in ticks" :key="tick.label + tick.value">
        <line class="other" :x1="at(tick.value)" :x2="at(tick.value)" :y1="line - 12" :y2="line + 12" />
      </g>
      <g v-if="aim" class="aim">
        <line :x1="at(aim.value)" :x2="at(aim.value)" y1="14" y2="64" />
        <text :x="at(aim.value)" y="11" text-anchor="middle">{{ aim.label }}</text>
        <line v-if="value !== undefined" :x1="at(value)" :x2="at(aim.value)" y1="24" y2="24" />
      </g>
      <g v-if="value !== undefined" class="reading" :class="[held ? 'none' : verdict]">
        <path
          v-if="whisk"
          class="whisker"
          :d="`M${whisk.from} ${line - 7}v14M${whisk.from} ${line}H${whisk.to}M${whisk.to} ${line - 7}v14`"
        />
        <rect
          :x="at(value) - (small ? 6 : 9)"
          :y="line - (small ? 6 : 9)"
          :width="small ? 12 : 18"
          :height="small ? 12 : 18"
          :class="{ hollow: held }"
        />
      </g>
      <g v-else-if="bound !== undefined" class="reading" :class="[held ? 'none' : verdict]">
        <rect :x="at(bound) - 6" :y="line - 6" width="12" height="12" :class="{ hollow: held }" />
        <path class="whisker" :d="`M${at(bound) + 6} ${line}H${width - margin - 4}m-8 -6l8 6l-8 6`" />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.ruler {
  flex: none;
  width: 100%;
  min-width: 0;
  overflow: hidden;
}
svg {
  display: block;
}
text {
  font: 400 15px var(--figures);
  fill: var(--ink);
}
.axis,
.thread {
  stroke: var(--ink);
  stroke-width: 1;
}
.thread {
  stroke: var(--hairline);
}
.axis-text {
  fill: var(--muted);
}
.limit path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}
.limit.held path {
  stroke-dasharray: 5 4;
}
.other {
  stroke: var(--copper);
  stroke-width: 2.5;
}
.aim line {
  stroke: var(--copper);
  stroke-width: 2.5;
}
.aim text {
  font: 400 15px var(--text);
}
.reading {
  color: var(--ink);
}
.reading.within {
  color: var(--within);
}
.reading.borderline {
  color: var(--borderline);
}
.reading.outside {
  color: var(--outside);
}
.reading rect {
  fill: currentColor;
  stroke: currentColor;
  stroke-width: 2;
}
.reading rect.hollow {
  fill: var(--panel);
}
.whisker {
  fill: none;
  stroke: currentColor;
  stroke-width: 2.5;
}
</style>
