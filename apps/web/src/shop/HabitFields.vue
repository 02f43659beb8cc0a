<script setup lang="ts">
import type { ShopView } from '@sure-spool/contract'
import FigureField from '../fields/FigureField.vue'
import NumberField from '../fields/NumberField.vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import { useHabits } from './useHabits'

/** What the shop does by habit, and what a new card begins with. What is changed here is in force at once. */
const props = defineProps<{ kept: (answer: Promise<ShopView>) => Promise<void> }>()
const emit = defineEmits<{ refused: [sentence: string] }>()
const { habits, choose, type, defaults, units, setDefault } = useHabits(props.kept, (sentence) =>
  emit('refused', sentence),
)
const rules = [
  { value: 'guarded' as const, label: 'guarded: the whole span ±2u inside' },
  { value: 'simple' as const, label: 'simple: the figure inside' },
]
const habitsOfRewind = [
  { value: 'failed-coil' as const, label: 'the failed coil' },
  { value: 'whole-core' as const, label: 'the whole core' },
]
const marks = [
  { value: 'point' as const, label: 'point: 36.5' },
  { value: 'comma' as const, label: 'comma: 36,5' },
]
const degrees = [
  { value: '°C' as const, label: '°C' },
  { value: '°F' as const, label: '°F' },
]
const lengths = [
  { value: 'm' as const, label: 'metres' },
  { value: 'in' as const, label: 'inches' },
]
const papers = [
  { value: 'A4' as const, label: 'A4' },
  { value: 'Letter' as const, label: 'Letter' },
]
</script>

<template>
  <div class="habits">
    <section aria-labelledby="habits">
      <h2 id="habits">Habits</h2>
      <div class="fields">
        <TextField label="name of the shop" :model-value="habits.name" @update:model-value="type('name', $event)" />
        <TextField
          label="tags begin with"
          :model-value="habits.tagPrefix"
          @update:model-value="type('tagPrefix', $event.slice(0, 10))"
        />
        <PickField
          label="decimal mark"
          :model-value="habits.decimalComma ? 'comma' : 'point'"
          :options="marks"
          @update:model-value="choose('decimalComma', $event === 'comma')"
        />
        <PickField
          label="temperatures in"
          :model-value="units.temperature"
          :options="degrees"
          @update:model-value="choose('units', { ...units, temperature: $event || '°C' })"
        />
        <PickField
          label="lengths in"
          :model-value="units.length"
          :options="lengths"
          @update:model-value="choose('units', { ...units, length: $event || 'm' })"
        />
        <PickField
          label="paper"
          :model-value="habits.paper"
          :options="papers"
          @update:model-value="choose('paper', $event || 'A4')"
        />
        <PickField
          class="two"
          label="a reading is within, by the rule"
          :model-value="habits.rule"
          :options="rules"
          @update:model-value="choose('rule', $event || 'guarded')"
        />
        <PickField
          class="two"
          label="a rewind takes"
          :model-value="habits.rewindHabit"
          :options="habitsOfRewind"
          @update:model-value="choose('rewindHabit', $event || 'failed-coil')"
        />
      </div>
      <p class="muted">A run keeps the rule it was begun with.</p>
    </section>
    <section aria-labelledby="defaults">
      <h2 id="defaults">Where a new card says nothing else</h2>
      <div class="fields">
        <NumberField
          label="tolerance, ± %"
          :min="0.1"
          :max="100"
          :model-value="defaults.tolerancePct"
          @update:model-value="setDefault('tolerancePct', $event)"
        />
        <FigureField
          label="open is at least"
          quantity="resistance"
          :model-value="defaults.openOhms"
          @update:model-value="setDefault('openOhms', $event)"
        />
        <FigureField
          label="insulation at least"
          quantity="insulation"
          :model-value="defaults.insulationOhms"
          @update:model-value="setDefault('insulationOhms', $event)"
        />
        <FigureField
          label="test volts at most"
          quantity="voltage"
          :model-value="defaults.testVolts"
          @update:model-value="setDefault('testVolts', $event)"
        />
      </div>
    </section>
  </div>
</template>

<style scoped>
.habits {
  display: grid;
  gap: 18px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 12px;
}
.two {
  grid-column: span 2;
}
@media (max-width: 900px) {
  .fields {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
