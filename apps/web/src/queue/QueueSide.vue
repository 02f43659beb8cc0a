<script setup lang="ts">
import type { QueueUnit } from '@sure-spool/contract'
import KeyButton from '../keys/KeyButton.vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { useQueue } from '../store/queue'
import { useShop } from '../store/shop'
import { decisionWords, findingMarks, findingWords } from '../words/kinds'

/** What is blocked and what frees it, and what was finished last. */
defineEmits<{ free: [unit: QueueUnit] }>()
const queue = useQueue()
const shop = useShop()
const short = (tag: string) => tag.replace(shop.settings.tagPrefix, '')
</script>

<template>
  <aside class="side" aria-label="Blocked and finished" tabindex="0">
    <section>
      <h2 class="label">Blocked, and what frees it</h2>
      <ul>
        <li v-for="unit in queue.blocked" :key="unit.id">
          <p class="strong two-lines">{{ unit.blockedBy || 'no reason given' }}</p>
          <p class="two-lines">
            <span class="n">{{ short(unit.tag) }}</span> {{ unit.maker }} {{ unit.model }}
          </p>
          <KeyButton quiet label="it is free" @press="$emit('free', unit)" />
        </li>
        <li v-if="queue.blocked.length === 0" class="muted">Nothing is blocked.</li>
      </ul>
    </section>
    <section>
      <h2 class="label">Finished</h2>
      <ul class="finished">
        <li v-for="unit in queue.done.slice(0, 8)" :key="unit.id">
          <VerdictMark
            :mark="findingMarks[unit.standing?.finding ?? 'undecided']"
            :size="15"
            :label="findingWords[unit.standing?.finding ?? 'undecided']"
          />
          <RouterLink v-if="unit.standing" :to="{ name: 'sheet', params: { run: unit.standing.run } }">
            <strong>{{ findingWords[unit.standing.finding] }}</strong><template v-if="unit.standing.decision"
              >, {{ decisionWords[unit.standing.decision as keyof typeof decisionWords] }}</template
            >
            <span class="two-lines"
              ><span class="n">{{ short(unit.tag) }}</span> {{ unit.maker }} {{ unit.model }}</span
            >
          </RouterLink>
          <RouterLink class="unit-link" :to="{ name: 'unit', params: { id: unit.id } }">its runs</RouterLink>
        </li>
      </ul>
    </section>
  </aside>
</template>

<style scoped>
.side {
  background: var(--panel);
  padding: 14px 20px;
  overflow: auto;
  border-left: 1px solid var(--hairline);
  display: grid;
  align-content: start;
  gap: 18px;
}
.side > *,
.side li {
  min-width: 0;
}
.side li {
  padding: 8px 0;
  border-bottom: 1px solid var(--hairline);
}
.finished li {
  display: flex;
  gap: 12px;
  align-items: flex-start;
}
.finished .unit-link {
  margin-left: auto;
  flex: none;
  white-space: nowrap;
  text-decoration: underline;
}
.finished a {
  min-width: 0;
  text-decoration: none;
  min-height: 44px;
}
</style>
