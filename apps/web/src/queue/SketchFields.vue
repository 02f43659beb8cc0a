<script setup lang="ts">
import { families } from '@sure-spool/core'
import { computed } from 'vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import TickField from '../fields/TickField.vue'
import { familyWords } from '../words/kinds'
import { terminalsOf, type Sketch } from './sketch'

/** A part nobody has figures for: what it is, what it is called, and the points one can touch. */
const sketch = defineModel<Sketch>({ required: true })
const set = (changes: Partial<Sketch>) => (sketch.value = { ...sketch.value, ...changes })
const options = families.map((value) => ({ value, label: familyWords[value] }))
const count = computed(() => terminalsOf(sketch.value.points).length)
</script>

<template>
  <div class="sketch">
    <TextField
      data-sketch
      label="what is it called"
      :model-value="sketch.model"
      @update:model-value="set({ model: $event })"
    />
    <PickField
      label="what is it"
      :model-value="sketch.family"
      :options="options"
      @update:model-value="set({ family: $event || 'other' })"
    />
    <TextField
      label="what can be touched: red, black, or how many"
      :model-value="sketch.points"
      :hint="count > 1 ? `${count} points, each pair is asked for` : 'two points at least'"
      @update:model-value="set({ points: $event })"
    />
    <TickField
      label="it has a frame or case"
      :model-value="sketch.framed"
      @update:model-value="set({ framed: $event })"
    />
  </div>
</template>

<style scoped>
.sketch {
  display: grid;
  gap: 6px;
}
</style>
