<script setup lang="ts">
import type { QueueUnit } from '@sure-spool/contract'
import { nextTick, ref } from 'vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { useShop } from '../store/shop'
import { ageSaid, complaintSaid } from './said'

/** What is on the bench besides the last one, and what waits; one of them is chosen. */
const props = defineProps<{ units: QueueUnit[]; chosen: number }>()
const emit = defineEmits<{ choose: [at: number]; open: [unit: QueueUnit] }>()
const shop = useShop()
const rows = ref<HTMLElement[]>([])
const short = (tag: string) => tag.replace(shop.settings.tagPrefix, '')

/** Chooses another row and takes the focus to it. */
function move(by: 1 | -1): void {
  const to = Math.min(props.units.length - 1, Math.max(0, props.chosen + by))
  emit('choose', to)
  void nextTick(() => rows.value[to]?.focus())
}
defineExpose({ move })
</script>

<template>
  <template v-for="(unit, i) in units" :key="unit.id">
    <h2 v-if="i === 0 || units[i - 1]?.place !== unit.place" class="label">
      {{ unit.place === 'bench' ? 'Also on the bench' : 'Waiting' }}
    </h2>
    <button
      ref="rows"
      class="plain row"
      :class="{ chosen: i === chosen }"
      @click="emit('open', unit)"
      @focus="emit('choose', i)"
    >
      <span class="n tag">{{ short(unit.tag) }}</span>
      <span class="what"
        ><span class="two-lines"
          ><strong>{{ unit.maker }}</strong> {{ unit.model }}</span
        ><small class="two-lines"
          >{{ unit.history }}, {{ ageSaid(unit) }}<template v-if="unit.from">, from {{ unit.from }}</template
          ><template v-if="unit.tray">, on a tray</template></small
        ></span
      >
      <span class="words two-lines">{{ complaintSaid(unit) }}</span>
      <span class="marks"
        ><VerdictMark
          v-for="mark in (unit.standing?.marks ?? []).slice(-4)"
          :key="mark.step"
          :mark="mark.mark"
          :size="15"
      /></span>
      <span class="tally"
        ><template v-if="unit.standing"
          ><strong class="n">{{ unit.standing.done }}</strong> of
          <span class="n">{{ unit.standing.steps }}</span></template
        ></span
      >
    </button>
  </template>
</template>

<style scoped>
h2 {
  padding: 12px 20px 4px;
}
.row {
  display: grid;
  grid-template-columns: 64px minmax(0, 1.2fr) minmax(0, 1.2fr) 172px 84px;
  gap: 14px;
  align-items: center;
  width: 100%;
  min-height: 56px;
  padding: 5px 20px;
  border-bottom: 1px solid var(--hairline);
}
.row > * {
  min-width: 0;
  overflow-wrap: anywhere;
}
.row.chosen {
  background: var(--panel);
  box-shadow: inset 5px 0 var(--copper);
}
.tag {
  font-size: 18px;
}
small {
  display: block;
  color: var(--muted);
  font-size: 15px;
}
.marks {
  display: flex;
  gap: 4px;
  align-items: center;
}
.tally {
  white-space: nowrap;
  text-align: right;
  color: var(--muted);
}
.tally strong {
  color: var(--ink);
}
@media (max-width: 1100px) {
  .row {
    grid-template-columns: 56px minmax(0, 1fr) minmax(0, 1fr) 64px;
  }
  .marks {
    display: none;
  }
}
</style>
