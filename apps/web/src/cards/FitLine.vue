<script setup lang="ts">
import type { CardRow } from '@sure-spool/contract'
import VerdictMark from '../drawings/VerdictMark.vue'
import { useFigures } from '../words/figures'

/** Why a card is among those that read like this: each figure, what it would be, and how far it lies from the middle. */
defineProps<{ fit: NonNullable<CardRow['fit']> }>()
const figures = useFigures()
const off = (percent: number) =>
  Math.abs(percent) < 0.5
    ? 'in the middle'
    : `${figures.plain(Math.abs(percent), 2)} % ${percent > 0 ? 'over' : 'under'} the middle`
</script>

<template>
  <span class="fits">
    <span v-for="one in fit.matches" :key="one.text"
      ><strong class="n">{{ one.text }}</strong> {{ one.label }}, {{ off(one.offPct)
      }}<template v-if="one.leadsOhms !== undefined"
        >, with {{ figures.plain(one.leadsOhms, 2) }} Ω of leads in it</template
      ></span
    >
    <span v-for="one in fit.missing" :key="one" class="missing"
      ><VerdictMark mark="none" :size="13" /> <strong class="n">{{ one }}</strong> fits nothing on it</span
    >
    <span v-if="fit.openMissing" class="missing"><VerdictMark mark="none" :size="13" /> nothing on it reads open</span>
  </span>
</template>

<style scoped>
.fits {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  font-size: 16px;
  line-height: 1.25;
}
.missing {
  color: var(--muted);
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
</style>
