<script setup lang="ts">
import type { Card } from '@sure-spool/core'
import { computed } from 'vue'
import { terminalLabel } from '../words/points'

/** The windings drawn as chains between their terminals: what is joined to what. */
const props = defineProps<{ card: Card; values?: Record<string, string> }>()
const chains = computed(() => {
  const left = [...props.card.windings]
  const made: { id: string; from: string; to: string; text: string }[][] = []
  while (left.length > 0) {
    const first = left.shift()
    if (!first) break
    let chain = [link(first.id, first.from, first.to)]
    for (let grew = true; grew;) {
      grew = false
      for (const [i, next] of left.entries()) {
        const head = chain[0]?.from
        const tail = chain.at(-1)?.to
        if (next.from === tail) chain = [...chain, link(next.id, next.from, next.to)]
        else if (next.to === tail) chain = [...chain, link(next.id, next.to, next.from)]
        else if (next.to === head) chain = [link(next.id, next.from, next.to), ...chain]
        else if (next.from === head) chain = [link(next.id, next.to, next.from), ...chain]
        else continue
        left.splice(i, 1)
        grew = true
        break
      }
    }
    made.push(chain)
  }
  return made
})
const link = (id: string, from: string, to: string) => ({ id, from, to, text: props.values?.[id] ?? '' })
const named = (id: string) => terminalLabel(props.card, id)
const width = 128
const coil = (x: number) => `M${x} 34h24q8 -22 16 0q8 -22 16 0q8 -22 16 0q8 -22 16 0h${width - 88}`
</script>

<template>
  <div class="windings">
    <svg
      v-for="(chain, i) in chains"
      :key="i"
      :viewBox="`0 0 ${chain.length * width + 60} 52`"
      :style="{ maxWidth: `${chain.length * width + 60}px` }"
      role="img"
      :aria-label="chain.map((one) => `${named(one.from)} to ${named(one.to)} ${one.text}`).join(', ')"
    >
      <template v-for="(one, j) in chain" :key="one.id">
        <path :d="coil(j * width + 20)" />
        <text :x="j * width + 20 + width / 2 - 4" y="12" text-anchor="middle" class="value">{{ one.text }}</text>
        <circle :cx="j * width + 20" cy="34" r="4" />
        <text :x="j * width + 20" y="51" text-anchor="middle">{{ named(one.from) }}</text>
        <template v-if="j === chain.length - 1">
          <circle :cx="(j + 1) * width + 20" cy="34" r="4" />
          <text :x="(j + 1) * width + 20" y="51" text-anchor="middle">{{ named(one.to) }}</text>
        </template>
      </template>
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
