<script setup lang="ts">
import type { RunState } from '@sure-spool/core'
import { computed } from 'vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { findingWords, verdictWords } from '../words/kinds'
import { checkLabel } from '../words/points'

/** How a closed run would be judged by today's card: the verdicts that would differ. What was found then stands. */
const props = defineProps<{ then: RunState; today: RunState }>()
const changed = computed(() => {
  const { card } = props.today.run
  const before = new Map(props.then.checks.map((one) => [one.check.id, one.verdict]))
  const differ = props.today.checks.flatMap(({ check, verdict }) => {
    const was = before.get(check.id)
    return was === verdict ? [] : [{ id: check.id, label: checkLabel(card, check.id), was, is: verdict }]
  })
  return differ
})
</script>

<template>
  <section aria-label="By today’s card">
    <h2 class="label">
      By today’s card, revision <span class="n">{{ today.run.card.revision }}</span>
    </h2>
    <p>
      <strong>{{ findingWords[today.finding.word] }}</strong><template v-if="today.finding.word !== then.finding.word"
        >, where revision <span class="n">{{ then.run.card.revision }}</span> said
        {{ findingWords[then.finding.word] }}</template
      ><template v-else>, as then</template>.
    </p>
    <p v-for="one in changed" :key="one.id" class="line">
      <VerdictMark :mark="one.was ?? 'none'" :size="15" />
      <VerdictMark :mark="one.is" :size="15" />
      <span
        >{{ one.label }}: {{ one.was ? verdictWords[one.was] : 'no such check' }} then,
        {{ verdictWords[one.is] }} today</span
      >
    </p>
    <p v-if="changed.length === 0" class="muted">Every check is judged as it was.</p>
    <p class="muted">A second opinion; what was found then stands.</p>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
