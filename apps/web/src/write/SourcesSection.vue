<script setup lang="ts">
import { freeId, type Grade } from '@sure-spool/core'
import KeyButton from '../keys/KeyButton.vue'
import { gradeWords } from '../words/kinds'
import { setOptional, useEdit, useWriting, withoutSource } from './takeOff'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'

/** Who says so, and how good their word is. */
const { card, change } = useWriting()
const grades = (Object.keys(gradeWords) as Grade[]).map((value) => ({ value, label: gradeWords[value] }))
const edit = useEdit('sources')
const add = () =>
  change(
    (one) =>
      void one.sources.push({ id: freeId('s', one.sources), grade: 'told', title: `source ${one.sources.length + 1}` }),
  )
const rests = (id: string) =>
  card().checks.reduce((count, check) => count + check.limits.filter((limit) => limit.source === id).length, 0) +
  card().relations.filter((one) => one.source === id).length
</script>

<template>
  <div class="rows">
    <div v-for="source in card().sources" :key="source.id" class="row source">
      <TextField
        label="source"
        :model-value="source.title"
        @update:model-value="edit(source.id, (one) => (one.title = $event), 'title')"
      />
      <PickField
        label="grade"
        :model-value="source.grade"
        :options="grades"
        @update:model-value="edit(source.id, (one) => (one.grade = $event || 'guess'))"
      />
      <TextField
        label="day, as 2026-03-02"
        :model-value="source.date ?? ''"
        @update:model-value="edit(source.id, (one) => setOptional(one, 'date', $event), 'date')"
      />
      <TextField
        label="note"
        :model-value="source.note ?? ''"
        @update:model-value="edit(source.id, (one) => setOptional(one, 'note', $event), 'note')"
      />
      <KeyButton
        quiet
        :label="rests(source.id) === 0 ? 'take off' : `take off with ${rests(source.id)} figures`"
        @press="change((one) => withoutSource(one, source.id))"
      />
    </div>
    <p class="adds"><KeyButton label="add a source" @press="add" /></p>
  </div>
</template>

<style scoped>
.source {
  grid-template-columns: minmax(0, 1.8fr) minmax(0, 0.9fr) minmax(0, 0.8fr) minmax(0, 1.4fr) auto;
}
</style>
