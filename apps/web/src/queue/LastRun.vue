<script setup lang="ts">
import type { QueueUnit } from '@sure-spool/contract'
import StepTitle from '../bench/StepTitle.vue'
import PlugFace from '../drawings/PlugFace.vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { complaintSaid, familySaid } from './said'
import { useLastStep } from './useLastStep'

/** The run that was worked on last, at the step it was left at: one key goes on with it. */
const props = defineProps<{ unit: QueueUnit }>()
const { card, step, plug, ring } = useLastStep(() => props.unit)
</script>

<template>
  <section class="last" aria-labelledby="last-title">
    <div class="words">
      <p class="who two-lines">
        <span class="n tag">{{ unit.tag }}</span> <strong>{{ unit.maker }} {{ unit.model }}</strong>
        {{ familySaid(unit) }}, {{ unit.history }} <span class="muted">{{ complaintSaid(unit) }}</span>
      </p>
      <div class="next">
        <StepTitle v-if="step && card" id="last-title" :step="step" :card="card" :level="2" again="" />
        <h2 v-else id="last-title" class="big">Go on where it was left</h2>
      </div>
      <div class="go">
        <ScreenKey main act="goOn" label="go on" />
        <p class="marks">
          <VerdictMark v-for="mark in unit.standing?.marks" :key="mark.step" :mark="mark.mark" :size="18" />
          <span
            ><strong class="n">{{ unit.standing?.done }}</strong> of
            <span class="n">{{ unit.standing?.steps }}</span> steps</span
          >
        </p>
      </div>
    </div>
    <PlugFace v-if="card && plug && ring.length > 0" class="plug" :card="card" :plug="plug" :ring="ring" />
  </section>
</template>

<style scoped>
.last {
  flex: 0 1 auto;
  max-height: 62%;
  overflow: auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 230px);
  gap: 8px 20px;
  padding: 16px 20px 18px 28px;
  background: var(--tint);
  border-left: 5px solid var(--copper);
  border-bottom: 1px solid var(--hairline);
}
.words {
  min-width: 0;
}
.who {
  overflow-wrap: anywhere;
}
.tag {
  margin-right: 8px;
  font-size: 18px;
}
.next :deep(.title),
.big {
  font-size: 40px;
  font-weight: 700;
  line-height: 1.2;
  margin: 4px 0 12px;
}
.go {
  display: flex;
  gap: 12px 24px;
  align-items: center;
  flex-wrap: wrap;
}
.go :deep(.key-button) {
  min-width: 180px;
  min-height: 52px;
  font-size: 19px;
}
.marks {
  display: flex;
  gap: 6px 8px;
  align-items: center;
  flex-wrap: wrap;
}
@media (max-width: 900px) {
  .last {
    max-height: none;
  }
  .next :deep(.title),
  .big {
    font-size: 32px;
  }
}
</style>
