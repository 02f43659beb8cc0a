<script setup lang="ts">
import type { FigureRow } from '@sure-spool/contract'
import { computed, ref } from 'vue'
import VerdictMark from '../parts/VerdictMark.vue'

/** A file of figures, row by row: what becomes of it, and why a row stays out. The refused come first. */
const props = defineProps<{ rows: FigureRow[] }>()
const shown = ref(200)
const words: Record<FigureRow['what'], string> = {
  'new-card': 'begins a new card',
  'new-check': 'a new check',
  'another-limit': 'another limit',
  changed: 'changes its limit',
  same: 'changes nothing',
  refused: 'stays out',
}
const ordered = computed(() =>
  [...props.rows].sort((a, b) => Number(b.what === 'refused') - Number(a.what === 'refused') || a.row - b.row),
)
const mark = (what: FigureRow['what']) => (what === 'refused' ? 'flagged' : what === 'same' ? 'skipped' : 'done')
</script>

<template>
  <table class="ruled">
    <thead>
      <tr>
        <th scope="col">row</th>
        <th scope="col">card</th>
        <th scope="col">check</th>
        <th scope="col">limit</th>
        <th scope="col">what happens</th>
        <th scope="col">why</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in ordered.slice(0, shown)" :key="one.row" :class="one.what">
        <td class="n">{{ one.row }}</td>
        <td>{{ one.maker }} {{ one.model }}</td>
        <td>{{ one.check }}</td>
        <td class="n">{{ one.limit }}</td>
        <td><VerdictMark :mark="mark(one.what)" :size="15" /> {{ words[one.what] }}</td>
        <td>{{ one.detail }}</td>
      </tr>
    </tbody>
  </table>
  <button v-if="ordered.length > shown" class="plain more" @click="shown += 1000">
    {{ ordered.length - shown }} more rows
  </button>
</template>

<style scoped>
table {
  overflow-wrap: anywhere;
}
th {
  white-space: nowrap;
}
.refused td:nth-child(n + 5) {
  color: var(--outside);
  font-weight: 600;
}
.same {
  color: var(--muted);
}
.more {
  min-height: 44px;
  text-decoration: underline;
}
</style>
