<script setup lang="ts">
import type { RunState } from '@sure-spool/core'
import { computed } from 'vue'
import { useFigures } from '../words/figures'
import { pairCells, type PairCell } from '../words/pairs'
import { terminalLabel } from '../words/points'

/** Every pair as a cell of a triangle that fills up: joined, a winding, no path, still to read, of no more use; driven below it. */
const props = defineProps<{ state: RunState; here?: [string, string] }>()
const figures = useFigures()
const cells = computed(() => pairCells(props.state, props.here, figures))
const points = computed(() => [...new Set(cells.value.flatMap(({ a, b }) => [a, b]))])
const signWidth = 52
const letterWidth = 11
const longestName = 8
const name = (id: string) => terminalLabel(props.state.run.card, id).slice(0, longestName)
/** a cell as wide as the names, which stand in cells of their own */
const size = computed(() => ({
  width: Math.max(signWidth, ...points.value.map((id) => name(id).length * letterWidth + 6)),
  height: 34,
}))
const place = ({ a, b }: PairCell) => ({
  x: points.value.indexOf(a) * size.value.width,
  y: points.value.indexOf(b) * size.value.height,
})
const box = computed(() => `0 0 ${points.value.length * size.value.width} ${points.value.length * size.value.height}`)
const words = computed(() => cells.value.map(({ said }) => said).join('; '))
</script>

<template>
  <svg
    v-if="cells.length > 0"
    class="pairs"
    :viewBox="box"
    :style="{ height: `${points.length * size.height}px` }"
    role="img"
    :aria-label="`Every pair: ${words}`"
  >
    <text
      v-for="(id, i) in points"
      :key="id"
      :x="i * size.width + size.width / 2"
      :y="i * size.height + 23"
      text-anchor="middle"
    >
      {{ name(id) }}
    </text>
    <g
      v-for="one in cells"
      :key="`${one.a} ${one.b}`"
      :class="[one.rest, { here: one.here }]"
      :transform="`translate(${place(one).x} ${place(one).y})`"
    >
      <title>{{ one.said }}</title>
      <rect class="cell" x="2" y="2" :width="size.width - 4" :height="size.height - 4" />
      <g :transform="`translate(${(size.width - signWidth) / 2} 0)`">
        <path v-if="one.rest === 'joined'" class="path" d="M10 14h32" />
        <path v-else-if="one.rest === 'none'" class="path" d="M10 14h10M32 14h10" />
        <path v-else-if="one.rest === 'wound'" class="path" d="M8 14h6a4 4 0 0 1 8 0a4 4 0 0 1 8 0a4 4 0 0 1 8 0h6" />
        <path v-if="one.driven === 'joined'" class="driven" d="M10 25h32" />
        <path v-else-if="one.driven === 'none'" class="driven" d="M10 25h10M32 25h10" />
      </g>
    </g>
  </svg>
</template>

<style scoped>
.pairs {
  max-width: 100%;
  justify-self: start;
}
text {
  font: 700 18px var(--figures);
  fill: var(--ink);
}
.cell {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 1.25;
}
.unread .cell {
  stroke-dasharray: 4 3;
}
.spared .cell {
  fill: none;
  stroke: var(--hairline);
}
.here .cell {
  stroke: var(--copper);
  stroke-width: 4;
  stroke-dasharray: none;
}
.path,
.driven {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}
.driven {
  stroke: var(--copper);
}
</style>
