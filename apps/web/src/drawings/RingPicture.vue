<script setup lang="ts">
import { readingSet, slotsMarked, type PreparedCheck, type RunState } from '@sure-spool/core'
import { arc, symbol, symbolDiamond, symbolSquare, symbolTriangle } from 'd3'
import { computed } from 'vue'
import { useFigures } from '../words/figures'
import { ringWords } from '../words/ring'
import { setScale } from './setScale'

/** A commutator from its end, each reading a spoke between its two bars: what is alike lies on a circle, what is not stands off it. */
const props = defineProps<{ state: RunState; check: PreparedCheck; here?: number }>()
const figures = useFigures()
const size = 240
const rim = { inner: 104, outer: 114 }
const ground = { left: 0, right: 1, top: 98, bottom: 34 }
const gap = 0.03
const marked = 70

const set = computed(() => readingSet(props.state, props.check))
const turn = computed(() => (2 * Math.PI) / Math.max(1, set.value.count))
const scale = computed(() => setScale(set.value, ground, false))
const limits = computed(() =>
  [set.value.band.min, set.value.band.max].filter((one) => one !== undefined).map((one) => scale.value.up(one)),
)
/** the edge between a bar and the next, clockwise from the top, radians */
const edge = (bar: number) => bar * turn.value
const at = (bar: number, radius: number) => `${radius * Math.sin(edge(bar))} ${-radius * Math.cos(edge(bar))}`
const bars = computed(() =>
  Array.from({ length: set.value.count }, (_, i) => ({
    bar: i + 1,
    touched: props.here !== undefined && (i + 1 === props.here || i === props.here % set.value.count),
    d:
      arc()({
        innerRadius: rim.inner,
        outerRadius: rim.outer,
        startAngle: edge(i) + gap / 2,
        endAngle: edge(i + 1) - gap / 2,
      }) ?? '',
  })),
)
const named = computed(() => {
  const touched = bars.value.filter((one) => one.touched).map((one) => one.bar)
  const some = bars.value.map((one) => one.bar).filter((bar) => bar === 1 || bar % 5 === 0)
  return touched.length > 0 ? touched : some
})
const marks = computed(() =>
  set.value.points.map(({ at: bar, value, verdict }) => {
    const side = scale.value.beyond(value)
    const radius = scale.value.up(value)
    const degrees = (edge(bar) * 180) / Math.PI + (side === 'low' ? 180 : 0)
    return {
      bar,
      verdict,
      spoke: `M${at(bar, ground.bottom)}L${at(bar, radius)}`,
      d: symbol(side ? symbolTriangle : symbolSquare, marked)() ?? '',
      place: `translate(${at(bar, radius)}) rotate(${degrees})`,
      said: `${bar}: ${figures.bound(value, props.check.quantity ?? 'resistance')}`,
    }
  }),
)
/** slots that were marked under the blade or the lamp, counted as the bars are */
const slots = computed(() =>
  slotsMarked(props.state)
    .filter((slot) => slot <= set.value.count)
    .map((slot) => ({ slot, place: `translate(${at(slot - 0.5, (rim.inner + rim.outer) / 2)})` })),
)
const slotMark = symbol(symbolDiamond, marked)() ?? ''
const words = computed(() => [
  ...ringWords(props.state, props.check, figures),
  ...(slots.value.length > 0 ? [`Slots marked: ${slots.value.map(({ slot }) => slot).join(', ')}.`] : []),
])
</script>

<template>
  <figure class="ring">
    <svg
      :viewBox="`${-size / 2} ${-size / 2} ${size} ${size}`"
      role="img"
      :aria-label="`${check.label}: ${words.join(' ') || 'fewer than three read'}`"
    >
      <path v-for="one in bars" :key="one.bar" class="bar" :class="{ touched: one.touched }" :d="one.d" />
      <path v-for="one in slots" :key="one.slot" class="slot" :d="slotMark" :transform="one.place">
        <title>slot {{ one.slot }}</title>
      </path>
      <circle v-for="radius in limits" :key="radius" class="limit" :r="radius" />
      <g v-for="one in marks" :key="one.bar" :class="one.verdict">
        <path class="spoke" :d="one.spoke" />
        <path class="mark" :d="one.d" :transform="one.place">
          <title>{{ one.said }}</title>
        </path>
      </g>
      <text
        v-for="bar in named"
        :key="bar"
        :x="84 * Math.sin(edge(bar - 0.5))"
        :y="7 - 84 * Math.cos(edge(bar - 0.5))"
        text-anchor="middle"
      >
        {{ bar }}
      </text>
      <text y="7" text-anchor="middle" class="middle">{{ set.points.length }}/{{ set.count }}</text>
    </svg>
    <figcaption v-if="words.length > 0">{{ words.join(' ') }}</figcaption>
  </figure>
</template>

<style scoped>
.ring {
  margin: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
svg {
  min-height: 0;
  flex: 0 1 236px;
  max-height: 236px;
}
figcaption {
  font-size: 16px;
  line-height: 1.25;
}
.bar {
  fill: none;
  stroke: var(--muted);
}
.bar.touched {
  fill: var(--copper);
  stroke: var(--copper);
}
.slot {
  fill: var(--panel);
  stroke: var(--outside);
  stroke-width: 2.5;
}
.limit {
  fill: none;
  stroke: var(--ink);
  stroke-dasharray: 5 4;
}
.spoke {
  stroke: var(--hairline);
  stroke-width: 2;
}
.mark {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.within .mark {
  fill: var(--within);
  stroke: var(--within);
}
.outside .mark {
  fill: var(--outside);
  stroke: var(--outside);
}
.outside .spoke {
  stroke: var(--outside);
}
text {
  font: 600 17px var(--figures);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--panel);
  stroke-width: 4px;
}
.middle {
  fill: var(--muted);
  font-weight: 400;
}
</style>
