<script setup lang="ts">
import type { Card } from '@sure-spool/core'
import { computed } from 'vue'
import { terminalLabel } from '../words/points'
import { chainsOf, type Link } from './chains'
import { turns } from './strokes'
import { fitted } from './textRoom'

/** The windings drawn as chains between their terminals: what is joined to what. */
const props = defineProps<{ card: Card; values?: Record<string, string> }>()
const chains = computed(() => chainsOf(props.card.windings))
const named = (id: string) => terminalLabel(props.card, id)
const width = 128
const start = 34
const size = 13
const xOf = (at: number) => start + at * width
const nodes = (chain: Link[]) => [...chain.map(({ from }) => from), chain.at(-1)?.to ?? '']
const short = (id: string) => fitted(named(id), width - 10, size)
const words = (chain: Link[]) =>
  chain.map(({ id, from, to }) => `${named(from)} to ${named(to)} ${props.values?.[id] ?? ''}`.trim()).join(', ')
</script>

<template>
  <div class="windings">
    <svg
      v-for="(chain, i) in chains"
      :key="i"
      :viewBox="`0 0 ${xOf(chain.length) + start} 54`"
      :style="{ maxWidth: `${xOf(chain.length) + start}px` }"
      role="img"
      :aria-label="words(chain)"
    >
      <template v-for="(one, j) in chain" :key="one.id">
        <path :d="turns(xOf(j), xOf(j + 1), 34)" />
        <text :x="xOf(j + 0.5)" y="12" text-anchor="middle" class="value">{{ values?.[one.id] }}</text>
      </template>
      <g v-for="(id, j) in nodes(chain)" :key="j">
        <title>{{ named(id) }}</title>
        <circle :cx="xOf(j)" cy="34" r="4" />
        <text
          :x="xOf(j)"
          y="51"
          :text-anchor="j === 0 ? 'start' : j === chain.length ? 'end' : 'middle'"
          :dx="j === 0 ? -start + 2 : j === chain.length ? start - 2 : 0"
        >
          {{ short(id) }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.windings {
  display: grid;
  gap: 4px;
}
svg {
  width: 100%;
  height: auto;
  overflow: visible;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
circle {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 1.5;
}
text {
  font: 400 13px var(--text);
  fill: var(--ink);
}
.value {
  font-family: var(--figures);
  font-size: 13px;
}
</style>
