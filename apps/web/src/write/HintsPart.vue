<script setup lang="ts">
import { complaintIds, type ComplaintId, type Hint } from '@sure-spool/core'
import { computed } from 'vue'
import KeyButton from '../parts/KeyButton.vue'
import { complaintWords } from '../words/kinds'
import { useWriting } from './parts'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'

/** What a complaint points at. */
const { card, change } = useWriting()
const complaints = complaintIds.filter((id) => id !== 'none').map((value) => ({ value, label: complaintWords[value] }))
const places = computed(() => [
  { value: '', label: 'nothing' },
  ...card().windings.map(({ id, label }) => ({ value: id, label })),
])
const edit = (at: number, make: (hint: Hint) => void, field?: string) =>
  change(
    (one) => {
      const hint = one.hints[at]
      if (hint) make(hint)
    },
    field === undefined ? undefined : `hint ${at}.${field}`,
  )
const said = computed(() =>
  card().hints.flatMap((hint, at) =>
    typeof hint.when === 'string' ? [{ hint, at, when: hint.when as ComplaintId }] : [],
  ),
)
const add = () =>
  change((one) => {
    const used = new Set(one.hints.map(({ when }) => when))
    const when = complaintIds.find((id) => id !== 'none' && !used.has(id)) ?? 'dead'
    one.hints.push({ when, suspects: one.windings.slice(0, 1).map(({ id }) => id), text: complaintWords[when] })
  })
const setClears = (at: number, id: string) =>
  edit(at, (hint) => {
    if (id === '') delete hint.clears
    else hint.clears = [id]
  })
</script>

<template>
  <div class="rows">
    <div v-for="{ hint, at, when } in said" :key="at" class="row hint">
      <PickField
        label="owner says"
        :model-value="when"
        :options="complaints"
        @update:model-value="edit(at, (one) => (one.when = $event || 'dead'))"
      />
      <PickField
        label="points at"
        :model-value="hint.suspects[0] ?? ''"
        :options="places"
        @update:model-value="edit(at, (one) => (one.suspects = $event === '' ? [] : [$event]))"
      />
      <PickField
        label="clears"
        :model-value="hint.clears?.[0] ?? ''"
        :options="places"
        @update:model-value="setClears(at, $event)"
      />
      <TextField
        label="in words"
        :model-value="hint.text"
        @update:model-value="edit(at, (one) => (one.text = $event), 'text')"
      />
      <KeyButton quiet label="take off" @press="change((one) => void one.hints.splice(at, 1))" />
    </div>
    <p class="adds"><KeyButton label="add a hint" @press="add" /></p>
  </div>
</template>

<style scoped>
.hint {
  grid-template-columns: 1fr 1fr 1fr 1.6fr auto;
}
</style>
