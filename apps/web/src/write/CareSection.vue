<script setup lang="ts">
import { cautionIds, type CautionId } from '@sure-spool/core'
import { computed } from 'vue'
import { cautionFoot, cautionWords } from '../words/kinds'
import FigureField from '../fields/FigureField.vue'
import KeyButton from '../keys/KeyButton.vue'
import { terminalLabel } from '../words/points'
import PickField from '../fields/PickField.vue'
import { setOptional, useWriting } from './takeOff'
import TextField from '../fields/TextField.vue'
import TickField from '../fields/TickField.vue'

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
const ends = computed(() => card().terminals.map(({ id }) => ({ value: id, label: terminalLabel(card(), id) })))
type Pairs = [string, string][]
/** A diode, a suppressor or a box between two terminals: no insulation test goes across it. */
const setBetween = (make: (pairs: Pairs) => Pairs) =>
  change((one) => setOptional(one.care, 'electronicsBetween', make(one.care.electronicsBetween ?? [])))
const setEnd = (at: number, end: 0 | 1, id: string) =>
  setBetween((pairs) =>
    pairs.map((pair, i) => (i !== at || id === '' ? pair : end === 0 ? [id, pair[1]] : [pair[0], id])),
  )
const addBetween = () =>
  setBetween((pairs) => [...pairs, [ends.value[0]?.value ?? 'frame', ends.value[1]?.value ?? 'frame']])
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
    <div class="wide between">
      <template v-for="(pair, i) in care.electronicsBetween ?? []" :key="i">
        <PickField
          label="electronics between"
          :model-value="pair[0]"
          :options="ends"
          @update:model-value="setEnd(i, 0, $event)"
        />
        <PickField label="and" :model-value="pair[1]" :options="ends" @update:model-value="setEnd(i, 1, $event)" />
        <KeyButton quiet label="take off" @press="setBetween((pairs) => pairs.filter((_, at) => at !== i))" />
      </template>
      <KeyButton
        quiet
        class="add"
        label="electronics between two terminals"
        :disabled="ends.length < 2"
        @press="addBetween"
      />
    </div>
    <fieldset class="wide cautions">
      <legend class="label">Cautions</legend>
      <TickField
        v-for="caution in cautionIds"
        :key="caution"
        :label="cautionWords[caution]"
        :model-value="care.cautions.includes(caution)"
        @update:model-value="toggle(caution)"
      />
      <p class="muted">{{ cautionFoot }}</p>
    </fieldset>
  </div>
</template>

<style scoped>
.between {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 8px 12px;
  align-items: end;
}
.between .add {
  justify-self: start;
  grid-column: 1 / -1;
}
.cautions {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 2px;
}
</style>
