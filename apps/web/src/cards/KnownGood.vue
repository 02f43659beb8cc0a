<script setup lang="ts">
import type { CardRecord } from '@sure-spool/contract'
import { limitsFromRecord, type Card, type Quantity, type RecordedFigure } from '@sure-spool/core'
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
const good = (rewound: boolean): RecordedFigure[] => {
  const own = props.readings.filter((one) => !one.open && (one.history === 'rewound') === rewound)
  // they come newest first: the newest is set last
  const last = new Map(own.toReversed().map((one) => [one.tag, one]))
  const back = new Set(props.readings.filter((one) => one.cameBack).map((one) => one.tag))
  return [...last.values()].map(({ tag, value, u, finding }) => ({
    value,
    u: u ?? 0,
    good: finding === 'no-fault-found' && !back.has(tag),
  }))
}
/** what was rewound has its own spread: it says nothing of what left the works */
const learned = computed(() => {
  const kind = props.card.checks.find(({ id }) => id === props.check)?.kind
  if (kind !== 'resistance' && kind !== 'inductance') return []
  return [
    { of: 'made', words: 'known-good units here', limits: limitsFromRecord(good(false)) },
    { of: 'rewound', words: 'proven rewinds here', limits: limitsFromRecord(good(true)) },
  ].flatMap(({ limits, ...one }) => (limits ? [{ ...one, ...limits }] : []))
})
const take = ({ of, min, max, n }: (typeof learned.value)[number]) =>
  void router.push({
    name: 'write',
    params: { id: props.card.id, revision: String(props.draft) },
    query: { learn: props.check, min: String(min), max: String(max), n: String(n), of },
  })
</script>

<template>
  <p v-for="one in learned" :key="one.of" class="learned">
    <span
      ><strong class="n">{{ one.n }}</strong> {{ one.words }} read
      <strong class="n">{{ figures.bound(one.mean, quantity) }}</strong> on average; mean ±
      <span class="n">{{ figures.plain(one.k, 3) }}</span> s would be
      <strong class="n">{{ figures.bound(Number(one.min.toPrecision(4)), quantity) }}</strong> –
      <strong class="n">{{ figures.bound(Number(one.max.toPrecision(4)), quantity) }}</strong></span
    >
    <button class="plain" @click="take(one)">take it into a draft</button>
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
