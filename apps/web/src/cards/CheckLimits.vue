<script setup lang="ts">
import type { Card } from '@sure-spool/core'
import UnitStrip from '../drawings/UnitStrip.vue'
import { useFigures } from '../words/figures'
import { gradeWords } from '../words/kinds'
import { historySaid, limitSaid } from '../words/limits'
import KnownGood from './KnownGood.vue'
import { bandText, type LimitRow } from './limitRows'

/** What a check should read, once a source, each as brackets with the shop's own units over them. */
defineProps<{ card: Card; row: LimitRow; draft: number }>()
const figures = useFigures()
</script>

<template>
  <div class="limits">
    <div v-for="(one, i) in row.limits" :key="i" class="limit">
      <p class="band">
        <strong class="n">{{ bandText(one.limit, row.quantity, figures) }}</strong><small>{{
          [limitSaid(one.limit), historySaid(one.limit.forHistory)].filter((words) => words !== '').join(', ')
        }}</small>
      </p>
      <UnitStrip :band="one.limit.band" :readings="row.readings" :weaker="i > 0" />
      <p class="says">
        <strong>{{ gradeWords[one.limit.grade] }}</strong>
        {{ one.limit.stated === 'derived' ? 'at the weakest of its windings’ figures' : one.source?.title }}
      </p>
    </div>
    <p v-if="row.limits.length === 0" class="muted">no figure</p>
    <KnownGood :card="card" :check="row.id" :readings="row.readings" :quantity="row.quantity" :draft="draft" />
  </div>
</template>

<style scoped>
.limits {
  display: grid;
  gap: 8px;
}
.limit {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) 210px;
  gap: 16px;
  align-items: center;
}
.band strong {
  font-size: 17px;
}
.band small {
  display: block;
  color: var(--muted);
  font-size: 15px;
  line-height: 1.25;
}
.says {
  font-size: 15px;
  line-height: 1.25;
}
@media (max-width: 1100px) {
  .limit {
    grid-template-columns: 190px minmax(0, 1fr);
  }
  .says {
    grid-column: 1 / -1;
  }
}
@media (max-width: 900px) {
  .limit {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
