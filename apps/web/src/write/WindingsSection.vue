<script setup lang="ts">
import { freeId } from '@sure-spool/core'
import { computed } from 'vue'
import KeyButton from '../keys/KeyButton.vue'
import FigureField from '../fields/FigureField.vue'
import { setOptional, useEdit, useWriting, withoutWinding } from './takeOff'
import NumberField from '../fields/NumberField.vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'

/** What is wound between the terminals, and how many ohms it has. */
const { card, change } = useWriting()
const ends = computed(() => card().terminals.map(({ id, label }) => ({ value: id, label: label || id })))
const materials = (['copper', 'aluminium', 'resistive'] as const).map((value) => ({ value, label: value }))
const cores = computed(() => {
  const used = [...new Set(card().windings.flatMap(({ core }) => core ?? []))]
  const next = `c${used.length + 1}`
  return [
    { value: '', label: 'a core of its own' },
    ...[...new Set([...used, next])].map((value) => ({ value, label: `core ${value.replace(/^c/, '')}` })),
  ]
})
const edit = useEdit('windings')
const setOhms = (id: string, ohms: number | undefined) =>
  edit(id, (winding) => setOptional(winding, 'ohms', ohms !== undefined && ohms > 0 ? ohms : undefined), 'ohms')
function add(): void {
  change((one) => {
    const terminals = one.terminals.filter(({ id }) => id !== 'frame')
    const used = new Set(one.windings.flatMap(({ from, to }) => [from, to]))
    const [from, to] = [...terminals.filter(({ id }) => !used.has(id)), ...terminals].map(({ id }) => id)
    one.windings.push({
      id: freeId('w', one.windings),
      label: `winding ${one.windings.length + 1}`,
      from: from ?? 'frame',
      to: to ?? 'frame',
      material: 'copper',
    })
  })
}
</script>

<template>
  <div class="rows">
    <div v-for="winding in card().windings" :key="winding.id" class="row winding">
      <TextField
        label="winding"
        :model-value="winding.label"
        @update:model-value="edit(winding.id, (one) => (one.label = $event), 'label')"
      />
      <PickField
        label="from"
        :model-value="winding.from"
        :options="ends"
        @update:model-value="edit(winding.id, (one) => (one.from = $event))"
      />
      <PickField
        label="to"
        :model-value="winding.to"
        :options="ends"
        @update:model-value="edit(winding.id, (one) => (one.to = $event))"
      />
      <FigureField
        label="ohms"
        quantity="resistance"
        :model-value="winding.ohms"
        @update:model-value="setOhms(winding.id, $event)"
      />
      <NumberField
        label="± %"
        optional
        :min="0"
        :max="1000"
        :model-value="winding.tolerancePct"
        @update:model-value="edit(winding.id, (one) => setOptional(one, 'tolerancePct', $event), 'pct')"
      />
      <PickField
        label="of"
        :model-value="winding.material"
        :options="materials"
        @update:model-value="edit(winding.id, (one) => (one.material = $event || 'copper'))"
      />
      <PickField
        label="on"
        :model-value="winding.core ?? ''"
        :options="cores"
        @update:model-value="edit(winding.id, (one) => setOptional(one, 'core', $event))"
      />
      <KeyButton quiet label="take off" @press="change((one) => withoutWinding(one, winding.id))" />
    </div>
    <p class="adds"><KeyButton label="add a winding" :disabled="card().terminals.length === 0" @press="add" /></p>
  </div>
</template>

<style scoped>
.winding {
  grid-template-columns:
    minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1fr) minmax(0, 0.75fr) minmax(0, 0.45fr) minmax(0, 1fr)
    minmax(0, 0.95fr) auto;
}
</style>
