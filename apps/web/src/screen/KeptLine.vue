<script setup lang="ts">
import { computed } from 'vue'
import { useOutbox } from '../store/outbox'
import { useQueue } from '../store/queue'
import { saveFile } from './saveFile'

/** What is kept, what waits to go up, what the server set aside: the one line that says nothing is lost. */
const props = defineProps<{ benchLoaded: boolean }>()
const outbox = useOutbox()
const queue = useQueue()
const words = computed(() => {
  const parts = [outbox.waiting === 0 ? 'everything kept' : `everything kept, ${outbox.waiting} waiting to go up`]
  if (outbox.aside.length > 0) parts.push(`${outbox.aside.length} set aside`)
  return parts.join(', ')
})
const awayWords = computed(() =>
  props.benchLoaded && queue.cardsKept ? 'Every part that waits can be begun without the server.' : undefined,
)
const whyAside = computed(() => outbox.aside.map((item) => item.aside?.detail).join('\n'))
const exportAside = () => saveFile('set-aside.json', 'application/json', JSON.stringify(outbox.aside, null, 2))
</script>

<template>
  <p class="kept" role="status" :title="awayWords">
    <button v-if="outbox.aside.length > 0" class="plain aside" :title="whyAside" @click="exportAside">
      {{ words }}: export
    </button>
    <template v-else>{{ words }}</template>
    <span v-if="outbox.away">, the server is away</span>
  </p>
</template>

<style scoped>
.kept {
  color: var(--muted);
  min-width: 0;
  line-height: 1.2;
}
.aside {
  color: var(--outside);
  text-decoration: underline;
  min-height: 44px;
}
</style>
