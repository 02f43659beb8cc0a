<script setup lang="ts">
import { computed } from 'vue'
import { clockOff, clockWords } from '../store/clock'
import { useDoor } from '../store/door'
import { useOutbox } from '../store/outbox'
import { useQueue } from '../store/queue'
import { useShop } from '../store/shop'

/** What is kept, what waits to go up, what the server set aside: the one line that says nothing is lost. */
const props = defineProps<{ benchLoaded: boolean }>()
const outbox = useOutbox()
const door = useDoor()
const queue = useQueue()
const shop = useShop()
const words = computed(() => {
  if (outbox.keeping === undefined) return 'counting what waits'
  if (shop.person?.access === 'reader') return `${shop.person.name} only reads here: nothing is kept`
  if (outbox.keeping > 0) return 'keeping what was just taken'
  const parts = [outbox.waiting === 0 ? 'everything kept' : `everything kept, ${outbox.waiting} waiting to go up`]
  if (outbox.aside.length > 0) parts.push(`${outbox.aside.length} set aside`)
  return parts.join(', ')
})
const awayWords = computed(() =>
  props.benchLoaded && queue.cardsKept ? 'Every part that waits can be begun without the server.' : undefined,
)
const renamed = computed(() => outbox.renamed[0])
const whyAside = computed(() => outbox.aside.map((item) => item.aside?.detail).join('\n'))
</script>

<template>
  <p class="kept" role="status" :title="awayWords">
    <RouterLink v-if="outbox.aside.length > 0" class="aside" to="/aside" :title="whyAside">{{ words }}</RouterLink>
    <template v-else>{{ words }}</template>
    <button v-if="renamed" class="plain renamed" title="noted on the part: put this away" @click="outbox.noteRenamed()">
      {{ renamed.from }} is another part’s by now: this one is {{ renamed.to }}. Noted
    </button>
    <span v-if="clockOff !== 0" class="clock" title="What is kept stands in the right time; set the clock when you can"
      >, {{ clockWords(clockOff) }}</span
    >
    <span v-if="outbox.away">{{ door.need ? ', until somebody comes in' : ', the server is away' }}</span>
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
  display: inline-flex;
  align-items: center;
}
.clock {
  color: var(--outside);
}
.renamed {
  color: var(--outside);
  text-decoration: underline;
  min-height: 44px;
}
</style>
