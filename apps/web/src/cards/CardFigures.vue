<script setup lang="ts">
import type { CardRecord, RevisionRow } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { computed } from 'vue'
import WindingLine from '../drawings/WindingLine.vue'
import { conditionWords } from '../words/conditions'
import { useFigures } from '../words/figures'
import CheckLimits from './CheckLimits.vue'
import { limitRows } from './limitRows'
import RewindsOf from '../winder/RewindsOf.vue'
import RevisionsTable from './RevisionsTable.vue'
import { recordWords } from './useRecord'

/** The figures of a card, check by check, with every unit of it that was tested here as a stroke over its limits. */
const props = defineProps<{
  card: Card
  record: CardRecord | undefined
  revisions: RevisionRow[]
  draft: number
  /** why older runs did not come, when they were asked for */
  olderProblem: string
}>()
defineEmits<{ older: [] }>()
const figures = useFigures()
const rows = computed(() => limitRows(props.card, props.record?.readings ?? []))
const shown = computed(() => new Set(props.record?.readings.map((one) => one.run)).size)
const headline = computed(() => {
  const best = props.card.sources.some((source) => source.grade === 'maker') ? 'Maker’s figures' : 'No maker’s figures'
  const units = props.record?.units ?? 0
  if (units === 0) return `${best}, and no unit of it tested here yet.`
  return `${best}, and ${units} ${units === 1 ? 'unit' : 'units'} of it tested here.`
})
const windingOhms = computed(() =>
  Object.fromEntries(props.card.windings.map(({ id, ohms }) => [id, ohms === undefined ? '' : figures.bound(ohms)])),
)
const sourceOf = (id: string) => props.card.sources.find((source) => source.id === id)?.title
</script>

<template>
  <section class="figures" aria-label="Figures" tabindex="0">
    <h1>{{ headline }}</h1>
    <p v-if="record && record.units > 0" class="key">
      <span
        >Each stroke is a closed run: <span class="stroke sound" /> no fault found,
        <span class="n">{{ record.findings['no-fault-found'] }}</span></span
      ><span
        ><span class="stroke back" /> came back, <span class="n">{{ record.cameBack }}</span></span
      ><span
        ><span class="stroke fault" /> fault found, <span class="n">{{ record.findings['fault-found'] }}</span></span
      ><span class="muted">net of leads, at the reference</span>
      <span v-if="record.next !== undefined" class="older"
        ><span
          >drawn and learned from are the newest <span class="n">{{ shown }}</span></span
        >
        <button class="plain" @click="$emit('older')">older ones too</button>
        <span v-if="olderProblem !== ''" role="alert">{{ olderProblem }}</span></span
      >
    </p>
    <p v-if="record && recordWords(record)" class="strong">{{ recordWords(record) }}</p>
    <p v-if="card.name.note" class="muted">{{ card.name.note }}</p>
    <WindingLine class="drawn" :card="card" :values="windingOhms" />
    <div v-for="row in rows" :key="row.id" class="check">
      <p class="what">
        <strong>{{ row.label }}</strong><small
          >{{ row.points
          }}<template v-for="words in conditionWords(card, row.conditions, figures)" :key="words"
            >, {{ words }}</template
          ></small
        >
      </p>
      <CheckLimits :card="card" :row="row" :draft="draft" />
    </div>
    <p v-for="relation in card.relations" :key="relation.id" class="relation">
      <strong>{{ relation.label }}</strong> <span class="muted">{{ sourceOf(relation.source) }}</span>
    </p>
    <RevisionsTable class="relation" :card="card" :revisions="revisions" />
    <RewindsOf :id="card.id" class="relation" of="cards" />
  </section>
</template>

<style scoped>
.figures {
  overflow: auto;
  padding: 14px 26px 20px;
  display: grid;
  gap: 8px;
  align-content: start;
}
h1 {
  font-size: 34px;
}
.key {
  display: flex;
  gap: 4px 22px;
  flex-wrap: wrap;
  align-items: center;
}
.stroke {
  display: inline-block;
  width: 3px;
  height: 18px;
  background: var(--ink);
  vertical-align: middle;
  margin: 0 4px;
}
.stroke.back {
  background: var(--copper);
  width: 5px;
}
.stroke.fault {
  width: 8px;
  background: none;
  border: 1.5px solid var(--ink);
}
.older {
  display: flex;
  gap: 4px 12px;
  flex-wrap: wrap;
  align-items: center;
}
.key button {
  text-decoration: underline;
  min-height: 44px;
}
.drawn {
  max-width: 520px;
}
.check {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 20px;
  border-top: 1px solid var(--hairline);
  padding: 8px 0;
}
.check small {
  display: block;
  color: var(--muted);
  font-size: 15px;
  line-height: 1.25;
}
.relation {
  border-top: 1px solid var(--hairline);
  padding-top: 8px;
}
@media (max-width: 900px) {
  .check {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
