<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Quantity } from '@sure-spool/core'
import { useFigures } from '../words/figures'
import { rulerSpoken } from './rulerSpoken'
import { rulerScale } from './rulerScale'
import { arrowHead, bracket, breakSign, movedStrip, stroke, whiskers } from './strokes'
import { textWidth } from './textRoom'
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
    /** the unit that stands with the reading beside a small ruler: a limit in another says its own */
    unit?: string
    /** it moved while it was held: from here to there, and how often it fell to no reading */
    moved?: { low: number; high?: number | undefined; drops?: number | undefined }
  }>(),
  { quantity: 'resistance', verdict: 'none', ticks: () => [] },
)
const figures = useFigures()
const frame = ref<HTMLElement | null>(null)
const width = useWidth(frame, props.small ? 260 : 640)
const middle = computed(() => (props.small ? 16 : 44))
const half = computed(() => (props.small ? 6 : 9))
const labelSize = 15

const partsOf = (value: number | undefined) =>
  value === undefined ? ['', ''] : figures.bound(value, props.quantity).split('\u2009')
const labels = computed(() => ({ min: labelOf('min', 'max'), max: labelOf('max', 'min') }))
/** in the wide ruler the unit stands along the axis; in a small one two limits of one unit say it once, where there is room */
function labelOf(end: 'min' | 'max', other: 'min' | 'max'): string {
  const [digits = '', unit = ''] = partsOf(props[end])
  const isSaid = props.unit === undefined || unit === '' || unit === props.unit
  const saidThere = unit === partsOf(props[other])[1] && (past.value[end] || (end === 'min' && !past.value.max))
  return isSaid || saidThere ? digits : `${digits} ${unit}`
}
const roomOf = (text: string) => (text === '' ? 0 : textWidth(text, labelSize, 'JetBrains Mono') + 10)

/** which limit the reading is past: on a small ruler its figure then stands on the inside, out of the reading's way */
const past = computed(() => {
  const reading = props.value ?? props.bound
  return {
    min: reading !== undefined && props.min !== undefined && reading < props.min,
    max: reading !== undefined && props.max !== undefined && reading > props.max,
  }
})
/** room for the figure of the limit at this end; where there is none, for that of a lone one that is past, which stands on its inside */
function roomBeside(end: 'min' | 'max'): number {
  const other = end === 'min' ? 'max' : 'min'
  const figure =
    props[end] === undefined && past.value[other] ? labels.value[other] : past.value[end] ? '' : labels.value[end]
  return 14 + roomOf(figure)
}
const others = computed(() => [
  ...props.ticks.map(({ value }) => value),
  ...(props.aim ? [props.aim.value] : []),
  ...(props.moved ? [props.moved.low, props.moved.high ?? props.moved.low] : []),
])
const scale = computed(() =>
  rulerScale(
    { ...props, others: others.value },
    props.small
      ? { width: width.value, left: roomBeside('min'), right: roomBeside('max'), broken: 40 }
      : { width: width.value, left: 14, right: 14, broken: Math.min(150, width.value * 0.22) },
  ),
)
const at = (value: number) => scale.value.at(value)
const onStrip = (x: number, room: number) => Math.min(width.value - room, Math.max(room, x))
const axis = computed(() =>
  props.small
    ? []
    : scale.value.ticks.map((value) => ({
        x: at(value),
        text: figures.bound(value, props.quantity).replace('\u2009', ' '),
      })),
)
/** of ticks whose figures would run into one another only those that have room */
const spaced = computed(() => {
  const { breaks } = scale.value
  let free = breaks.low === undefined ? 0 : breaks.low + 8
  const end = breaks.high === undefined ? width.value : breaks.high - 8
  return axis.value.filter(({ x, text }) => {
    const room = textWidth(text, labelSize, 'JetBrains Mono') / 2
    if (x - room < free || x + room > end) return false
    free = x + room + 10
    return true
  })
})
const breaks = computed(() =>
  [scale.value.breaks.low, scale.value.breaks.high].flatMap((x) =>
    x === undefined ? [] : [{ x, d: breakSign(x, props.small ? middle.value : 64, 7) }],
  ),
)
const limits = computed(() =>
  (['min', 'max'] as const).flatMap((end) => {
    const value = props[end]
    if (value === undefined) return []
    const towards = end === 'min' ? 1 : -1
    const x = at(value)
    const outward = end === 'min' ? 'end' : 'start'
    const beside = past.value[end]
      ? { x: x + towards * 13, y: middle.value + 5, anchor: end === 'min' ? 'start' : 'end' }
      : { x: x - towards * 8, y: middle.value + 5, anchor: outward }
    const above = { x: onStrip(x - towards * 2, roomOf(labels.value[end])), y: 26, anchor: outward }
    return [
      {
        end,
        d: bracket(x, middle.value, 14, towards * 9),
        text: labels.value[end],
        ...(props.small ? beside : above),
      },
    ]
  }),
)
/** the small ruler's thread: between the limits, or from the one that is passed to the reading, and never through a figure */
const thread = computed((): [number, number] => {
  const { ends } = scale.value
  const reading = at(props.value ?? props.bound ?? 0)
  if (past.value.max && props.max !== undefined) return [at(props.max), reading]
  if (past.value.min && props.min !== undefined) return [reading, at(props.min)]
  return [props.min === undefined ? ends[0] : at(props.min), props.max === undefined ? ends[1] : at(props.max)]
})
const whisk = computed(() =>
  props.value === undefined || !props.u
    ? ''
    : whiskers(at(props.value - 2 * props.u), at(props.value + 2 * props.u), middle.value, 7),
)
const block = computed(() => {
  const reading = props.value ?? props.bound
  if (reading === undefined) return undefined
  const size = props.value === undefined ? 6 : half.value
  const x = at(reading)
  const side = whichEnd(x)
  return {
    x: x - size,
    y: middle.value - size,
    size: 2 * size,
    // the axis says nothing beyond its break: the reading's own figure does
    said: side && !props.small ? { x: onStrip(x, 5 * saidOf(reading).length + 4), text: saidOf(reading) } : undefined,
    ...(props.value === undefined ? { arrow: arrowOn(x + 6) } : {}),
  }
})
const saidOf = (reading: number) =>
  `${props.value === undefined ? 'beyond ' : ''}${figures.bound(reading, props.quantity)}`
function whichEnd(x: number): 'low' | 'high' | undefined {
  const { low, high } = scale.value.breaks
  if (low !== undefined && x < low) return 'low'
  return high !== undefined && x > high ? 'high' : undefined
}
const arrowOn = (from: number) => {
  const to = Math.min(width.value - 4, from + 26)
  return stroke([from, middle.value], [to, middle.value]) + arrowHead(to, middle.value, 8, 1)
}
const strip = computed(() => {
  if (!props.moved) return undefined
  const { low, high = low, drops = 0 } = props.moved
  return movedStrip(at(low), at(high), drops, middle.value, width.value - 4)
})
const spoken = computed(() => rulerSpoken(props, figures))
</script>

<template>
  <div ref="frame" class="ruler" :class="{ small }">
    <svg :width="width" :height="small ? 32 : 88" role="img" :aria-label="spoken">
      <line v-if="!small" class="axis" x1="14" :x2="width - 14" y1="64" y2="64" />
      <line v-else class="thread" :x1="thread[0]" :x2="thread[1]" y1="16" y2="16" />
      <g v-for="tick in spaced" :key="tick.text">
        <line class="axis" :x1="tick.x" :x2="tick.x" y1="64" y2="70" />
        <text class="axis-text" :x="tick.x" y="85" text-anchor="middle">{{ tick.text }}</text>
      </g>
      <path v-for="one in breaks" :key="one.x" class="break" :d="one.d" />
      <g v-for="one in limits" :key="one.end" class="limit" :class="{ held }">
        <path :d="one.d" />
      </g>
      <line
        v-for="tick in ticks"
        :key="tick.label + tick.value"
        class="other"
        :x1="at(tick.value)"
        :x2="at(tick.value)"
        :y1="middle - 12"
        :y2="middle + 12"
      >
        <title>{{ tick.label }}</title>
      </line>
      <g v-if="aim" class="aim">
        <line :x1="at(aim.value)" :x2="at(aim.value)" y1="14" y2="64" />
        <text :x="onStrip(at(aim.value), 70)" y="11" text-anchor="middle">{{ aim.label }}</text>
        <line v-if="value !== undefined" :x1="at(value)" :x2="at(aim.value)" y1="61" y2="61" />
      </g>
      <g v-if="strip" class="reading" :class="[held ? 'none' : verdict]">
        <rect class="moved" :x="strip.x" :y="middle - 4" :width="strip.width" height="8" />
        <path v-if="strip.drops" class="dropped" :d="strip.drops" />
        <path v-if="strip.marks" class="whisker" :d="strip.marks" />
      </g>
      <g v-if="block" class="reading" :class="[held ? 'none' : verdict]">
        <path v-if="whisk" class="whisker" :d="whisk" />
        <rect :x="block.x" :y="block.y" :width="block.size" :height="block.size" :class="{ hollow: held }" />
        <path v-if="block.arrow" class="whisker" :d="block.arrow" />
        <text v-if="block.said" class="said" :x="block.said.x" y="85" text-anchor="middle">{{ block.said.text }}</text>
      </g>
      <text v-for="one in limits" :key="one.end" class="limit-text" :x="one.x" :y="one.y" :text-anchor="one.anchor">
        {{ one.text }}
      </text>
    </svg>
  </div>
</template>

<style scoped src="./readingRuler.css"></style>
