<script setup lang="ts">
import type { CoilState } from '@sure-spool/core'
import { computed } from 'vue'
import { layWords } from '../words/rewind'

/** The coils of a winding in a ring or a row, each with the way that it is laid: what is wound is full, what is due is drawn. */
const props = defineProps<{ coils: CoilState[]; here: string | undefined }>()
const size = 250
const ring = 92
const spot = 22
const places = computed(() =>
  props.coils.map((one, i) => {
    const angle = (2 * Math.PI * i) / props.coils.length
    return {
      id: one.coil.id,
      number: i + 1,
      x: ring * Math.sin(angle),
      y: -ring * Math.cos(angle),
      lay: one.wound?.lay ?? one.lay,
      wound: one.wound !== undefined,
      wrong: one.wound?.lay !== undefined && one.lay !== undefined && one.wound.lay !== one.lay,
      here: one.coil.id === props.here,
      said: `${one.coil.label}: ${one.wound ? `${one.wound.turns} turns` : one.turns > 0 ? `${one.turns} so far` : 'to wind'}${one.lay ? `, ${layWords[one.lay]}` : ''}`,
    }
  }),
)
/** an open circle with a tip: the way round */
const arrow = (lay: 'cw' | 'ccw') => {
  const turn = lay === 'cw' ? 1 : -1
  const r = spot - 8
  const tip = { x: r * turn, y: 0 }
  return `M0 ${-r}A${r} ${r} 0 1 ${turn === 1 ? 0 : 1} ${tip.x} ${tip.y}m${-5 * turn} -2l${5 * turn} 2l${3 * turn} -6`
}
const words = computed(() => places.value.map(({ said }) => said).join('; '))
</script>

<template>
  <svg class="poles" :viewBox="`${-size / 2} ${-size / 2} ${size} ${size}`" role="img" :aria-label="words">
    <circle class="core" :r="ring" />
    <g
      v-for="one in places"
      :key="one.id"
      :class="{ wound: one.wound, here: one.here, wrong: one.wrong }"
      :transform="`translate(${one.x} ${one.y})`"
    >
      <title>{{ one.said }}</title>
      <circle class="spot" :r="spot" />
      <path v-if="one.lay" class="arrow" :d="arrow(one.lay)" />
      <text y="5" text-anchor="middle">{{ one.number }}</text>
    </g>
  </svg>
</template>

<style scoped>
.poles {
  max-width: 100%;
  height: 250px;
  justify-self: center;
}
.core {
  fill: none;
  stroke: var(--hairline);
  stroke-width: 2;
}
.spot {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-dasharray: 4 3;
}
.wound .spot {
  fill: var(--tint);
  stroke-dasharray: none;
}
.here .spot {
  stroke: var(--copper);
  stroke-width: 4;
}
.wrong .spot {
  stroke: var(--outside);
  stroke-width: 4;
}
.arrow {
  fill: none;
  stroke: var(--copper);
  stroke-width: 2.5;
}
text {
  font: 700 15px var(--figures);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--panel);
  stroke-width: 4px;
}
</style>
