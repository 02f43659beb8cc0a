<script setup lang="ts">
import type { CautionId } from '@sure-spool/core'
import { cautionFoot, cautionWords } from '../words/kinds'

/** Cautions above the step they guard. */
defineProps<{ cautions: CautionId[] }>()
</script>

<template>
  <section v-if="cautions.length > 0" class="cautions" aria-label="Cautions">
    <p v-for="caution in cautions" :key="caution">
      <strong>{{ cautionWords[caution] }}</strong>
    </p>
    <p class="muted">{{ cautionFoot }}</p>
  </section>
</template>

<style scoped>
.cautions {
  border-left: 5px solid var(--copper);
  background: var(--tint);
  padding: 8px 14px;
  display: grid;
  gap: 2px;
}
</style>
