<script setup lang="ts">
import type { CardRecord } from '@sure-spool/contract'
import { limitsFromRecord, type Card, type Quantity } from '@sure-spool/core'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useFigures } from '../words/figures'

/** Limits learned from this shop's own known-good units, once five are there: with n, k and the band, to be taken into a draft. */
const props = defineProps<{
  card: Card
  check: string
  readings: CardRecord['readings']
  quantity: Quantity | undefined
  draft: number
}>()
const router = useRouter()
const figures = useFigures()

/** One figure a unit, its last one; good is what no fault was found in and what never came back. */
const good = computed(() => {
  const last = new Map(props.readings.filter((one) => !one.open).map((one) => [one.tag, one]))
  const back = new Set(props.readings.filter((one) => one.cameBack).map((one) => one.tag))
  return [...last.values()].map(({ tag, value, u, finding }) => ({
    value,
    u: u ?? 0,
    good: finding === 'no-fault-found' && !back.has(tag),
  }))
})
const learned = computed(() => {
  const kind = props.card.checks.find(({ id }) => id === props.check)?.kind
  return kind === 'resistance' || kind === 'inductance' ? limitsFromRecord(good.value) : null
})
const take = () =>
  void router.push({
    name: 'write',
    params: { id: props.card.id, revision: String(props.draft) },
    query: {
      learn: props.check,
      min: String(learned.value?.min),
      max: String(learned.value?.max),
      n: String(learned.value?.n),
    },
  })
</script>

<template>
  <p v-if="learned" class="learned">
    <span
      ><strong class="n">{{ learned.n }}</strong> known-good units here read
      <strong class="n">{{ figures.bound(learned.mean, quantity) }}</strong> on average; mean ±
      <span class="n">{{ figures.plain(learned.k, 3) }}</span> s would be
      <strong class="n">{{ figures.bound(Number(learned.min.toPrecision(4)), quantity) }}</strong> –
      <strong class="n">{{ figures.bound(Number(learned.max.toPrecision(4)), quantity) }}</strong></span
    >
    <button class="plain" @click="take">take it into a draft</button>
  </p>
</template>

<style scoped>
.learned {
  display: flex;
  gap: 16px;
  align-items: baseline;
  flex-wrap: wrap;
  color: var(--muted);
  font-size: 15px;
}
.learned strong {
  color: var(--ink);
}
button {
  text-decoration: underline;
  min-height: 32px;
  color: var(--ink);
}
</style>
