<script setup lang="ts">
import { cardTemplate, constructionsOf, families, type Card, type Family } from '@sure-spool/core'
import { computed } from 'vue'
import { familyWords } from '../words/kinds'
import { useWriting } from './takeOff'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'

/** What the part is called, and what it is. */
const { card, change } = useWriting()
const name = computed(() => card().name)
const constructions = computed(() => constructionsOf[card().family] ?? [])

/** The family brings its cautions and its highest test volts, as long as nobody has written others. */
function setFamily(family: Family | ''): void {
  if (family === '') return
  change((one) => {
    const [was, is] = [cardTemplate(one.id, one.family), cardTemplate(one.id, family)]
    if (one.care.cautions.join() === was.care.cautions.join()) one.care.cautions = is.care.cautions
    if (one.care.maxTestVolts === was.care.maxTestVolts) one.care.maxTestVolts = is.care.maxTestVolts
    one.family = family
    if (!constructionsOf[family]?.includes(one.construction ?? '')) delete one.construction
  })
}
const setConstruction = (kind: string) =>
  change((one) => {
    if (kind === '') delete one.construction
    else one.construction = kind
  })
const set = (key: 'maker' | 'model', text: string) => change((one: Card) => (one.name[key] = text), `name.${key}`)
const listed = (text: string) =>
  text
    .split(';')
    .map((part) => part.trim())
    .filter((part) => part !== '')
const setList = (key: 'partNumbers' | 'fits', text: string) =>
  change((one) => (one.name[key] = listed(text)), `name.${key}`)
const setNote = (text: string) =>
  change((one) => {
    if (text === '') delete one.name.note
    else one.name.note = text
  }, 'name.note')
</script>

<template>
  <div class="fields">
    <PickField
      label="family"
      :model-value="card().family"
      :options="families.map((value) => ({ value, label: familyWords[value] }))"
      @update:model-value="setFamily"
    />
    <PickField
      v-if="constructions.length > 0"
      label="construction"
      :model-value="card().construction ?? ''"
      :options="[{ value: '', label: 'not chosen' }, ...constructions.map((value) => ({ value, label: value }))]"
      @update:model-value="setConstruction"
    />
    <TextField label="maker" :model-value="name.maker" @update:model-value="set('maker', $event)" />
    <TextField label="model" :model-value="name.model" @update:model-value="set('model', $event)" />
    <TextField
      label="part numbers (a; b)"
      :model-value="name.partNumbers.join('; ')"
      @update:model-value="setList('partNumbers', $event)"
    />
    <TextField
      class="two"
      label="fits (a; b)"
      :model-value="name.fits.join('; ')"
      @update:model-value="setList('fits', $event)"
    />
    <TextField class="wide" label="note" :model-value="name.note ?? ''" @update:model-value="setNote" />
  </div>
</template>
