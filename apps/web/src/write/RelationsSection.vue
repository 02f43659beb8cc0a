<script setup lang="ts">
import { freeId, proposedRelations, type Relation } from '@sure-spool/core'
import { computed } from 'vue'
import NumberField from '../fields/NumberField.vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import TickList from '../fields/TickList.vue'
import KeyButton from '../keys/KeyButton.vue'
import { useEdit, useWriting } from './takeOff'
import {
  checksFor,
  oneCheckFields,
  relationOf,
  relationSaid,
  relationWords,
  threeWords,
  type RelationKind,
} from './relations'

/** What holds between readings: what follows from the windings is proposed, one press takes one; any other is made by hand. */
const { card, change } = useWriting()
const edit = useEdit('relations')
const proposed = computed(() => {
  const [source] = card().sources
  return source ? proposedRelations(card(), source.id) : []
})
const take = (relation: Relation) => change((one) => void one.relations.push(relation))
const made = (kind: RelationKind) => {
  const [source] = card().sources
  return source ? relationOf(card(), kind, { id: freeId('r', card().relations), source: source.id }) : undefined
}
const kinds = computed(() => [
  { value: '' as const, label: 'another relation …' },
  ...(Object.keys(relationWords) as RelationKind[])
    .filter((kind) => made(kind) !== undefined)
    .map((value) => ({ value, label: relationWords[value] })),
])
function add(kind: RelationKind | ''): void {
  const relation = kind === '' ? undefined : made(kind)
  if (relation) take(relation)
}

/** The figures of a relation: how far apart, which ratio, by how much. */
const numbers = { withinPct: 'within %', maxPct: 'apart by at most, %', ratio: 'ratio', by: 'by, in its unit' } as const
type NumberKey = keyof typeof numbers
const numberKeys = (relation: Relation) => (Object.keys(numbers) as NumberKey[]).filter((key) => key in relation)
const numberOf = (relation: Relation, key: NumberKey) => (relation as Partial<Record<NumberKey, number>>)[key]
const setField = (id: string, key: string, value: number | string | string[] | undefined, field?: string) =>
  value !== undefined && value !== '' && edit(id, (one) => void Object.assign(one, { [key]: value }), field)

/** Its list of checks, where it names several. */
const severalOf = (relation: Relation): { key: 'parts' | 'checks'; ids: string[]; least: number } | undefined =>
  'parts' in relation
    ? { key: 'parts', ids: relation.parts, least: 2 }
    : 'checks' in relation
      ? { key: 'checks', ids: relation.checks, least: 1 }
      : undefined
const oneOf = (relation: Relation, field: string) => (relation as unknown as Record<string, string>)[field] ?? ''
const sources = computed(() => card().sources.map(({ id, title }) => ({ value: id, label: title || 'no title' })))
const threes = Object.entries(threeWords).map(([value, label]) => ({ value, label }))
</script>

<template>
  <div class="rows">
    <article v-for="relation in card().relations" :key="relation.id" class="row relation" :aria-label="relation.label">
      <p class="said wide">{{ relationSaid(card(), relation) }}</p>
      <div class="fields">
        <TextField
          class="two"
          label="relation"
          :model-value="relation.label"
          @update:model-value="edit(relation.id, (one) => (one.label = $event), 'label')"
        />
        <PickField
          v-for="(words, field) in oneCheckFields[relation.kind]"
          :key="field"
          :label="words"
          :model-value="oneOf(relation, field)"
          :options="checksFor(card(), relation.kind, field)"
          @update:model-value="setField(relation.id, field, $event)"
        />
        <NumberField
          v-for="key in numberKeys(relation)"
          :key="key"
          :label="numbers[key]"
          :min="key === 'ratio' ? 1e-6 : 0"
          :max="key === 'ratio' ? 1e6 : 1000"
          :model-value="numberOf(relation, key)"
          @update:model-value="setField(relation.id, key, $event, key)"
        />
        <PickField
          v-if="relation.kind === 'kind-of-three'"
          class="two"
          label="must be"
          :model-value="relation.must"
          :options="threes"
          @update:model-value="setField(relation.id, 'must', $event)"
        />
        <TickList
          v-for="several in [severalOf(relation)].filter((one) => one !== undefined)"
          :key="several.key"
          class="wide"
          label="of"
          :model-value="several.ids"
          :options="checksFor(card(), relation.kind, several.key)"
          @update:model-value="$event.length >= several.least && setField(relation.id, several.key, $event)"
        />
        <PickField
          label="who says so"
          :model-value="relation.source"
          :options="sources"
          @update:model-value="setField(relation.id, 'source', $event)"
        />
      </div>
      <KeyButton
        quiet
        label="take off"
        @press="change((one) => (one.relations = one.relations.filter(({ id }) => id !== relation.id)))"
      />
    </article>
    <p v-for="relation in proposed" :key="relation.id" class="adds">
      <KeyButton :label="`take: ${relationSaid(card(), relation)}`" @press="take(relation)" />
    </p>
    <p v-if="kinds.length > 1" class="adds">
      <PickField label="add by hand" model-value="" :options="kinds" @update:model-value="add" />
    </p>
    <p v-else class="muted">Relations are between checks, and rest on a source: make those first.</p>
  </div>
</template>

<style scoped>
.relation {
  grid-template-columns: minmax(0, 1fr) auto;
}
.said {
  font-weight: 600;
}
</style>
