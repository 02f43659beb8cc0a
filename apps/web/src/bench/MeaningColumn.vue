<script setup lang="ts">
import { quantityOf, type Hint, type RelationState } from '@sure-spool/core'
import { computed } from 'vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { useAfterPaint } from '../screen/useAfterPaint'
import { useBench } from '../store/bench'
import { useFigures } from '../words/figures'
import { cautionFoot, cautionWords } from '../words/kinds'
import { checkPoints, pairLabel } from '../words/points'
import { remarkWords } from '../words/remarks'
import FaradsPanel from './FaradsPanel.vue'
import ItemPiles from './ItemPiles.vue'
import PairsPicture from '../drawings/PairsPicture.vue'
import ThreePinsPicture from '../drawings/ThreePinsPicture.vue'
import RolesPanel from './RolesPanel.vue'

/** What it means: checks between readings, remarks that do not hold, what the complaint points at, cautions. */
const bench = useBench()
useAfterPaint(() => bench.state)
const figures = useFigures()
const card = computed(() => bench.run?.card)

const here = computed(() => (bench.current?.step.kind === 'reading' ? bench.current.step.point.pair : undefined))
const sums = computed(() =>
  (bench.state?.relations ?? []).flatMap((one) => {
    if (one.relation.kind !== 'sum' || !one.sum || !card.value) return []
    const parts = one.members.slice(0, -1)
    const whole = one.members.at(-1)
    const total = parts.reduce((sum, part) => sum + (part.net ?? 0), 0)
    const full = Math.max(total, whole?.net ?? 0)
    return [
      {
        id: one.relation.id,
        holds: one.verdict === 'within',
        parts: parts.map((part) => ({
          name: pairLabel(card.value!, part.pair),
          value: part.net ?? 0,
          share: (100 * (part.net ?? 0)) / full,
        })),
        whole: {
          name: pairLabel(card.value, whole?.pair),
          value: whole?.net ?? 0,
          share: (100 * (whole?.net ?? 0)) / full,
        },
        residual: one.sum.residual,
        allowed: one.sum.allowed,
      },
    ]
  }),
)
const percent = new Set(['unbalance', 'equal', 'twin'])
function between({ relation, value = 0, u = 0, limits, verdict, draw }: RelationState): string {
  if (relation.kind === 'kind-of-three')
    return verdict === 'within' ? 'the construction the card says' : 'another construction, or not yet clear'
  if (draw)
    return `${figures.plain(value, 2)} % off volts over ohms, at most ±${relation.kind === 'draw' ? relation.withinPct : ''} %${draw.loaded ? '' : '; the supply was not loaded'}`
  if (relation.kind === 'above') {
    const of = quantityOf(bench.state?.prepared.checks.get(relation.check) ?? { kind: 'resistance' }) ?? 'resistance'
    return `${value < 0 ? 'down' : 'up'} ${figures.bound(Number(Math.abs(value).toFixed(3)), of)}, at least ${figures.bound(relation.by, of)} up wanted`
  }
  if (percent.has(relation.kind))
    return `${figures.plain(value, 2)} % ±${figures.plain(2 * u, 2)}, at most ${limits?.max ?? ''} %`
  return `${figures.plain(value, 3)}, from ${figures.plain(limits?.min ?? 0, 3)} to ${figures.plain(limits?.max ?? 0, 3)}`
}
const others = computed(() =>
  (bench.state?.relations ?? [])
    .filter((one) => one.relation.kind !== 'sum' && (one.value !== undefined || one.conformance !== undefined))
    .map((one) => ({ id: one.relation.id, label: one.relation.label, verdict: one.verdict, words: between(one) })),
)
const explained = computed(() =>
  (bench.state?.explained ?? []).map((id) => (card.value ? checkPoints(card.value, id) : id)),
)
const remarks = computed(() =>
  (bench.state?.remarks ?? [])
    .filter((one) => one.severity !== 'stop' && !one.answered && one.entry !== undefined)
    .reverse()
    .slice(0, 2)
    .map((one) => ({
      key: `${one.id}${one.entry ?? ''}`,
      severity: one.severity,
      ...remarkWords(one, card.value!, figures),
    })),
)
const hints = computed(() => {
  const complaints = bench.run?.unit.complaint ?? []
  const applies = ({ when }: Hint) =>
    typeof when === 'string'
      ? complaints.includes(when)
      : bench.state?.checks.some((one) => one.check.id === when.check && one.verdict === when.verdict)
  return (card.value?.hints ?? []).filter(applies).map((hint) => ({
    text: typeof hint.when === 'string' ? `The complaint: ${hint.text}` : hint.text,
    verb: typeof hint.when === 'string' ? 'points at' : 'look at',
    suspects: hint.suspects.map(placeName),
    clears: (hint.clears ?? []).map(placeName),
  }))
})
const placeName = (id: string) => card.value?.windings.find((winding) => winding.id === id)?.label ?? id
const acknowledged = computed(
  () =>
    new Set((bench.state?.tape.entries ?? []).flatMap((entry) => (entry.kind === 'caution' ? [entry.caution] : []))),
)
const cautions = computed(() => (card.value?.care.cautions ?? []).filter((one) => acknowledged.value.has(one)))
</script>

<template>
  <aside class="meaning" aria-label="What it means" tabindex="0">
    <PairsPicture v-if="bench.state" :state="bench.state" :here="here" />
    <ThreePinsPicture v-if="bench.state" :state="bench.state" :here="here" />
    <RolesPanel v-if="bench.state" :roles="bench.state.roles" :card="bench.state.run.card" />
    <ItemPiles v-if="bench.state" :state="bench.state" />
    <FaradsPanel v-if="bench.state" :state="bench.state" />
    <section v-for="sum in sums" :key="sum.id">
      <h2 class="label">Between readings</h2>
      <p class="names">
        <span v-for="part in sum.parts" :key="part.name"
          >{{ part.name }} <strong class="n">{{ figures.plain(part.value) }}</strong></span
        >
      </p>
      <div class="bar">
        <span
          v-for="(part, i) in sum.parts"
          :key="part.name"
          :class="`part p${i}`"
          :style="{ width: `${part.share}%` }"
        />
      </div>
      <div class="bar">
        <span class="whole" :style="{ width: `${sum.whole.share}%` }" /><span
          v-if="!sum.holds && sum.residual > 0"
          class="over"
          :style="{ width: `${100 - sum.whole.share}%` }"
        />
      </div>
      <p class="names">
        <span
          >{{ sum.whole.name }} <strong class="n">{{ figures.plain(sum.whole.value) }}</strong></span
        ><span v-if="sum.holds">adds up</span
        ><span v-else
          >{{ sum.residual > 0 ? 'over' : 'short' }} by
          <strong class="n">{{ figures.plain(Math.abs(sum.residual), 3) }}</strong></span
        >
      </p>
    </section>
    <section v-for="one in others" :key="one.id">
      <h2 class="label">{{ one.label }}</h2>
      <p>
        <strong>{{
          one.verdict === 'within' ? 'holds' : one.verdict === 'outside' ? 'does not hold' : 'undecided'
        }}</strong>: <span class="n">{{ one.words }}</span>
      </p>
    </section>
    <section v-if="explained.length > 0">
      <p>
        <strong>{{ explained.join(', ') }}</strong> reads what its parts read: they decide, it is not a second fault.
      </p>
    </section>
    <section v-for="one in remarks" :key="one.key">
      <h2 class="label">{{ one.severity === 'warn' ? 'Look again' : 'Worth knowing' }}</h2>
      <p>
        <strong>{{ one.what }}</strong> {{ one.todo }}
      </p>
    </section>
    <section v-for="hint in hints" :key="hint.text">
      <h2 class="label">{{ hint.text }}</h2>
      <p>
        {{ hint.verb }} <strong>{{ hint.suspects.join(', ') }}</strong><template v-if="hint.clears.length > 0"
          >, clears {{ hint.clears.join(', ') }}</template
        >
      </p>
    </section>
    <section v-if="cautions.length > 0">
      <h2 class="label">Cautions, acknowledged</h2>
      <p>
        {{ cautions.map((one) => cautionWords[one]).join(' ') }} <span class="muted">{{ cautionFoot }}</span>
      </p>
    </section>
    <section class="grounds">
      <ScreenKey v-if="bench.limit" quiet act="grounds" />
      <ScreenKey quiet act="look" />
      <ScreenKey quiet act="work" />
    </section>
  </aside>
</template>

<style scoped>
.meaning {
  contain: layout paint style;
  grid-area: meaning;
  background: var(--panel);
  border-left: 1px solid var(--hairline);
  padding: 14px 20px;
  overflow: auto;
  display: grid;
  align-content: start;
  gap: 12px;
}
section {
  border-bottom: 1px solid var(--hairline);
  padding-bottom: 12px;
  display: grid;
  gap: 4px;
}
section.grounds {
  border: 0;
  display: flex;
  flex-wrap: wrap;
}
.names {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  flex-wrap: wrap;
}
.bar {
  display: flex;
  height: 18px;
  margin: 2px 0;
}
.part {
  background: var(--ink);
  border-right: 2px solid var(--panel);
}
.part.p1 {
  background: var(--muted);
}
.whole {
  border: 2px solid var(--ink);
}
.over {
  background: var(--copper);
}
@media (max-width: 900px) {
  .meaning {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 12px 28px;
    border-left: 0;
  }
  .meaning > * {
    align-content: start;
    align-self: start;
  }
}
</style>
