<script setup lang="ts">
import type { UnitRun } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import Column from 'primevue/column'
import { computed } from 'vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { useShop } from '../store/shop'
import RuledTable from '../tables/RuledTable.vue'
import { useFigures } from '../words/figures'
import { decisionWords, findingMarks, findingWords, historyWords, outcomeWords } from '../words/kinds'
import { day } from '../words/times'
import { runRows, type RunRow } from './runRows'

/** A unit's runs side by side, the newest first: what was found, what became of it, and what each place read. */
const props = defineProps<{ card: Card; runs: UnitRun[] }>()
const shop = useShop()
const figures = useFigures()
const rows = computed<RunRow[]>(() => [
  { key: 'found', label: 'found', where: '', cells: [] },
  { key: 'became', label: 'became of it', where: '', cells: [] },
  ...runRows(props.card, props.runs, figures),
])
const person = (id: string) => shop.people.find((one) => one.id === id)?.name.split(' ')[0] ?? ''
const decisionOf = ({ decision }: UnitRun) =>
  decision && `${decisionWords[decision.what as keyof typeof decisionWords]}: ${decision.why}`
/** what it was closed as, where today's program finds otherwise */
const closedAs = ({ findings, finding }: UnitRun) => {
  const kept = findings.at(-1)
  return kept && kept.finding !== finding ? `${findingWords[kept.finding]}, by core ${kept.core}` : ''
}
</script>

<template>
  <RuledTable
    class="runs"
    :rows="rows"
    row-key="key"
    label="Its runs side by side, the newest first"
    :row-class="({ key }) => (key === 'found' || key === 'became' ? 'found' : undefined)"
  >
    <Column header="read" class="check">
      <template #body="{ data }: { data: RunRow }"
        >{{ data.label }} <small class="muted">{{ data.where }}</small></template
      >
    </Column>
    <Column v-for="(run, i) in runs" :key="run.run">
      <template #header
        ><span class="head"
          ><RouterLink :to="{ name: 'sheet', params: { run: run.run } }">{{ day(run.startedAt) }}</RouterLink>
          <small>{{ historyWords[run.history] }}, {{ person(run.by) }}, revision {{ run.revision }}</small></span
        ></template
      >
      <template #body="{ data }: { data: RunRow }">
        <template v-if="data.key === 'found'"
          ><VerdictMark :mark="findingMarks[run.finding]" :size="18" />
          <strong>{{ findingWords[run.finding] }}</strong><small v-if="run.decision">{{ decisionOf(run) }}</small
          ><small v-else-if="!run.closed">still open</small
          ><small v-if="closedAs(run)">closed as {{ closedAs(run) }}</small></template
        >
        <template v-else-if="data.key === 'became'"
          ><template v-if="run.outcome"
            ><VerdictMark :mark="run.outcome.what === 'ran-well' ? 'done' : 'flagged'" :size="18" />
            <strong>{{ outcomeWords[run.outcome.what] }}</strong></template
          ><span v-else class="muted">{{ run.closed ? 'not said' : '' }}</span></template
        >
        <template v-else-if="data.cells[i]?.verdict !== undefined"
          ><VerdictMark :mark="data.cells[i].verdict" :side="data.cells[i].side" :size="18" />
          <span class="n">{{ data.cells[i].text || (data.cells[i].open ? 'open' : '') }}</span>
          <small v-if="data.cells[i].moved" class="strong">{{ data.cells[i].moved }}</small></template
        >
      </template>
    </Column>
  </RuledTable>
</template>

<style scoped>
.runs {
  overflow-x: auto;
}
.runs :deep(td),
.runs :deep(th) {
  min-width: 180px;
}
.head {
  display: grid;
  gap: 2px;
}
.head a {
  min-height: 44px;
  display: inline-flex;
  align-items: end;
}
small {
  display: block;
  font-weight: 400;
}
.runs :deep(.found td) {
  border-bottom-color: var(--ink);
}
</style>
