<script setup lang="ts">
import type { RewindState } from '@sure-spool/core'
import { computed } from 'vue'
import { useFigures } from '../words/figures'
import { rewindEntryWords, rewindKindWords } from '../words/rewind'
import { clock } from '../words/times'

/** All that was done at the winder, in order; what was taken back is struck. */
const props = defineProps<{ state: RewindState }>()
const figures = useFigures()
const slips = computed(() =>
  props.state.rewind.entries
    .filter((entry) => entry.kind !== 'take-back')
    .map((entry) => ({
      id: entry.id,
      at: clock(entry.at),
      what: rewindKindWords[entry.kind],
      words: rewindEntryWords(entry, props.state, figures),
      gone: props.state.takenBack.has(entry.id),
    })),
)
</script>

<template>
  <footer class="tape">
    <ol tabindex="0" aria-label="Tape, oldest first">
      <li v-for="one in slips" :key="one.id">
        <span class="muted">{{ one.at }} {{ one.what }}</span>
        <span :class="{ struck: one.gone }">{{ one.words }}</span>
      </li>
    </ol>
  </footer>
</template>

<style scoped>
.tape {
  border-top: 1px solid var(--ink);
  background: var(--panel);
  overflow: auto;
}
ol {
  padding: 8px 20px;
  display: flex;
  flex-direction: column-reverse;
  gap: 2px;
}
li {
  display: flex;
  gap: 10px;
}
</style>
