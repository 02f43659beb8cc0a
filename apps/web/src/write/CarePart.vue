<script setup lang="ts">
import { cautionIds, type CautionId } from '@sure-spool/core'
import { computed } from 'vue'
import { cautionFoot, cautionWords } from '../words/kinds'
import FigureField from '../fields/FigureField.vue'
import { useWriting } from './parts'
import TextField from '../fields/TextField.vue'

/** How it is made safe, what it bears, and the cautions that guard it. */
const { card, change } = useWriting()
const care = computed(() => card().care)
const toggle = (caution: CautionId) =>
  change((one) => {
    const has = one.care.cautions.includes(caution)
    one.care.cautions = cautionIds.filter((id) => (id === caution ? !has : one.care.cautions.includes(id)))
  })
const setIsolate = (text: string) =>
  change(
    (one) =>
      (one.care.isolate = text
        .split('\n')
        .map((line) => line.trimStart())
        .filter((line, i, all) => line !== '' || i === all.length - 1)
        .filter((line) => line !== '')),
    'isolate',
  )
const setRated = (value: number | undefined) =>
  change((one) => {
    if (value === undefined || value <= 0) delete one.care.ratedVolts
    else one.care.ratedVolts = value
  }, 'rated')
const setMost = (value: number | undefined) =>
  change((one) => (one.care.maxTestVolts = Math.max(0, value ?? 0)), 'most')
</script>

<template>
  <div class="fields">
    <TextField
      class="wide"
      label="how it is made safe and alone"
      :model-value="care.isolate.join(' ')"
      @update:model-value="setIsolate"
    />
    <FigureField label="rated volts" quantity="voltage" :model-value="care.ratedVolts" @update:model-value="setRated" />
    <FigureField
      label="test volts at most"
      quantity="voltage"
      :model-value="care.maxTestVolts"
      @update:model-value="setMost"
    />
    <fieldset class="wide cautions">
      <legend class="label">Cautions</legend>
      <label v-for="caution in cautionIds" :key="caution" class="tick"
        ><input type="checkbox" :checked="care.cautions.includes(caution)" @change="toggle(caution)" />
        {{ cautionWords[caution] }}</label
      >
      <p class="muted">{{ cautionFoot }}</p>
    </fieldset>
  </div>
</template>

<style scoped>
.cautions {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 2px;
}
</style>
