<script setup lang="ts">
import { pairsByFarads, type RunState } from '@sure-spool/core'
import { computed } from 'vue'
import { useFigures } from '../words/figures'
import { terminalLabel } from '../words/points'

/** Wires with no path between them, by farads proposed to be the ends of one coil. */
const props = defineProps<{ state: RunState }>()
const figures = useFigures()
const pairs = computed(() =>
  pairsByFarads(props.state).map(({ pair, farads }) => ({
    key: pair.join('-'),
    wires: pair.map((id) => terminalLabel(props.state.run.card, id)).join(' with '),
    said: figures.bound(Number(farads.toPrecision(2)), 'capacitance'),
  })),
)
</script>

<template>
  <section v-if="pairs.length > 0">
    <h2 class="label">Which belong together</h2>
    <p v-for="one in pairs" :key="one.key">
      <strong>{{ one.wires }}</strong> <span class="n">{{ one.said }}</span>
    </p>
    <p class="muted">By the larger farads of open pairs; it proves nothing.</p>
  </section>
</template>
