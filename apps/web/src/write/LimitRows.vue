<script setup lang="ts">
import { freeId, limitText, type CardLimit, type Check, type Grade, type Quantity } from '@sure-spool/core'
import KeyButton from '../keys/KeyButton.vue'
import { gradeWords } from '../words/kinds'
import { placeQuantity } from '../words/points'
import LimitLine from './LimitLine.vue'
import { setOptional, useWriting } from './takeOff'
import PickField from '../fields/PickField.vue'
import FigureField from '../fields/FigureField.vue'
import TextField from '../fields/TextField.vue'

/** What a check should read, as many times as somebody says so: each with its source, for new, used or rewound parts. */
const props = defineProps<{ check: Check; quantity: Quantity }>()
const emit = defineEmits<{ edit: [make: (check: Check) => void, field?: string] }>()
const { card, change } = useWriting()
const fors = (['any', 'new', 'used', 'rewound'] as const).map((value) => ({
  value,
  label: value,
}))
const grades = (Object.keys(gradeWords) as Grade[]).map((value) => ({ value, label: gradeWords[value] }))
const edit = (id: string, make: (limit: CardLimit) => void, field?: string) =>
  emit(
    'edit',
    (check) => {
      const limit = check.limits.find((one) => one.id === id)
      if (limit) make(limit)
    },
    field === undefined ? undefined : `${id}.${field}`,
  )
const metal = () =>
  props.check.kind === 'resistance' || props.check.kind === 'bars' || props.check.kind === 'three-pins'
const isOpenTest = () => 'each' in props.check.at && props.check.at.to === 'frame'

function add(derived: boolean): void {
  change((one) => {
    const check = one.checks.find(({ id }) => id === props.check.id)
    if (!check) return
    if (one.sources.length === 0) one.sources.push({ id: 's1', grade: 'told', title: 'told at the bench' })
    const taken = new Set(check.limits.map((limit) => limit.source))
    const source = one.sources.find(({ id }) => !taken.has(id)) ?? one.sources[0]
    check.limits.push({
      id: freeId('l', check.limits),
      for: 'any',
      limit: derived ? 'derived' : isOpenTest() ? { kind: 'open', atLeast: 1e6 } : { kind: 'none' },
      source: source?.id ?? 's1',
    })
  })
}
const setReference = (id: string, celsius: number | undefined) => {
  if (celsius === undefined) edit(id, (limit) => delete limit.referenceC, 'c')
  else if (celsius > -90 && celsius < 400) edit(id, (limit) => (limit.referenceC = celsius), 'c')
}
const sources = () =>
  card().sources.map(({ id, title, grade }) => ({ value: id, label: `${title || 'no title'} (${gradeWords[grade]})` }))

/** A new source is made where it is needed, and named where the sources stand. */
function setSource(limit: string, value: string): void {
  if (value !== 'fresh') {
    if (value !== '') edit(limit, (one) => (one.source = value))
    return
  }
  change((one) => {
    const id = freeId('s', one.sources)
    one.sources.push({ id, grade: 'told', title: `source ${one.sources.length + 1}` })
    const found = one.checks.find((check) => check.id === props.check.id)?.limits.find((each) => each.id === limit)
    if (found) found.source = id
  })
}
const gradeOf = (source: string): Grade => card().sources.find(({ id }) => id === source)?.grade ?? 'guess'
const setGrade = (source: string, grade: Grade | '') =>
  grade !== '' &&
  change((one) => {
    const found = one.sources.find(({ id }) => id === source)
    if (found) found.grade = grade
  })
const isAssumed = (limit: CardLimit) => limit.assumed === true
</script>

<template>
  <div class="limits">
    <div v-for="limit in check.limits" :key="limit.id" class="limit">
      <p v-if="limit.limit === 'derived'" class="derived">
        <span class="label">limit</span> follows from the windings between its points
      </p>
      <LimitLine
        v-else
        v-bind="placeQuantity(check) === undefined ? {} : { x: placeQuantity(check) }"
        :kind="check.kind"
        :quantity="quantity"
        :text="limit.text ?? limitText(limit.limit)"
        :limit="limit.limit"
        @read="
          (made, text) =>
            edit(
              limit.id,
              (one) => {
                one.limit = made
                if (!isAssumed(one)) setOptional(one, 'text', text)
              },
              'limit',
            )
        "
      />
      <PickField
        label="for"
        :model-value="limit.for"
        :options="fors"
        @update:model-value="edit(limit.id, (one) => (one.for = $event || 'any'))"
      />
      <FigureField
        v-if="metal()"
        label="part at"
        quantity="temperature"
        :model-value="limit.referenceC"
        @update:model-value="setReference(limit.id, $event)"
      />
      <PickField
        label="who says so"
        :model-value="limit.source"
        :options="[...sources(), { value: 'fresh', label: 'another source …' }]"
        @update:model-value="setSource(limit.id, $event)"
      />
      <PickField
        label="grade"
        :model-value="gradeOf(limit.source)"
        :options="grades"
        @update:model-value="setGrade(limit.source, $event)"
      />
      <KeyButton
        quiet
        label="take off"
        @press="emit('edit', (one) => (one.limits = one.limits.filter(({ id }) => id !== limit.id)))"
      />
      <TextField
        v-if="isAssumed(limit)"
        class="words"
        label="chosen here for the words"
        :model-value="limit.text ?? ''"
        @update:model-value="edit(limit.id, (one) => (one.text = $event), 'words')"
      />
    </div>
    <p class="adds">
      <KeyButton label="add a limit" @press="add(false)" />
      <KeyButton
        v-if="check.kind === 'resistance' && card().windings.length > 0"
        quiet
        label="let it follow from the windings"
        @press="add(true)"
      />
    </p>
  </div>
</template>

<style scoped>
.limits {
  display: grid;
  gap: 6px;
  border-left: 4px solid var(--hairline);
  padding-left: 12px;
}
.limit {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 0.9fr) minmax(0, 0.65fr) minmax(0, 1.15fr) minmax(0, 1fr) auto;
  gap: 8px 10px;
  align-items: start;
}
.limit :deep(.key-button) {
  margin-top: 24px;
}
.derived {
  display: grid;
  gap: 2px;
}
.words {
  grid-column: 1 / 4;
}
@media (max-width: 1100px) {
  .limit {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
