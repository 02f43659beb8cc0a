<script setup lang="ts">
import { itemFindings, type RunState } from '@sure-spool/core'
import { computed } from 'vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { useFigures } from '../words/figures'
import { pileWords } from '../words/piles'

/** A set in its piles: which are good, which are not, which are still open, each with its number and its length. */
const props = defineProps<{ state: RunState }>()
const figures = useFigures()
const piles = computed(() => {
  const ofSet = [...props.state.prepared.checks.values()].some(({ kind }) => kind === 'per-length')
  return ofSet ? pileWords(props.state, itemFindings(props.state), figures) : []
})
</script>

<template>
  <section v-if="piles.length > 0" aria-label="Piles">
    <h2 class="label">Piles</h2>
    <p v-for="one in piles" :key="one.name" class="pile">
      <VerdictMark :mark="one.mark" :size="13" /><span
        ><strong>{{ one.name }}:</strong> {{ one.items }}</span
      >
    </p>
  </section>
</template>

<style scoped>
.pile {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr);
  gap: 6px;
  align-items: start;
}
</style>
