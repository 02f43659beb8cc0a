<script setup lang="ts">
import { complaintIds, type ComplaintId, type Hint } from '@sure-spool/core'
import { computed } from 'vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import TickList from '../fields/TickList.vue'
import KeyButton from '../keys/KeyButton.vue'
import { complaintWords } from '../words/kinds'
import { setOptional, useWriting } from './takeOff'

/** What a complaint, or a verdict, points at: windings, or a place in words. */
const { card, change } = useWriting()
const edit = (at: number, make: (hint: Hint) => void, field?: string) =>
  change(
    (one) => {
      const hint = one.hints[at]
      if (hint) make(hint)
    },
    field === undefined ? undefined : `hint ${at}.${field}`,
  )

/** Complaints and verdicts as one list of words: `dead`, `check:outside`. */
const whens = computed(() => [
  ...complaintIds
    .filter((id) => id !== 'none')
    .map((value) => ({ value: value as string, label: `owner says: ${complaintWords[value]}` })),
  ...card().checks.flatMap(({ id, label }) =>
    (['outside', 'within'] as const).map((verdict) => ({
      value: `${id} ${verdict}`,
      label: `${label} is ${verdict}`,
    })),
  ),
])
const spoken = ({ when }: Hint) => (typeof when === 'string' ? when : `${when.check} ${when.verdict}`)
const setWhen = (at: number, text: string) =>
  edit(at, (hint) => {
    const [check = '', verdict] = text.split(' ')
    hint.when =
      verdict === 'within' || verdict === 'outside'
        ? { check, verdict }
        : (complaintIds.find((id) => id === text) ?? 'dead')
  })

const places = computed(() => card().windings.map(({ id, label }) => ({ value: id, label })))
const isWinding = (id: string) => places.value.some(({ value }) => value === id)
/** A suspect that is no winding is a place: a switch, a wire, a neighbour. */
const placeOf = (hint: Hint) => hint.suspects.find((one) => !isWinding(one)) ?? ''
const setSuspects = (at: number, windings: string[]) =>
  edit(at, (hint) => (hint.suspects = [...windings, ...hint.suspects.filter((one) => !isWinding(one))]))
const setPlace = (at: number, place: string) =>
  edit(at, (hint) => (hint.suspects = [...hint.suspects.filter(isWinding), ...(place === '' ? [] : [place])]), 'place')

const add = () =>
  change((one) => {
    const used = new Set(one.hints.map(({ when }) => when))
    const when: ComplaintId = complaintIds.find((id) => id !== 'none' && !used.has(id)) ?? 'dead'
    one.hints.push({ when, suspects: one.windings.slice(0, 1).map(({ id }) => id), text: complaintWords[when] })
  })
</script>

<template>
  <div class="rows">
    <article v-for="(hint, at) in card().hints" :key="at" class="row hint" :aria-label="hint.text">
      <div class="fields">
        <PickField
          class="two"
          label="when"
          :model-value="spoken(hint)"
          :options="whens"
          @update:model-value="setWhen(at, $event)"
        />
        <TextField
          class="two"
          label="in words"
          :model-value="hint.text"
          @update:model-value="edit(at, (one) => (one.text = $event), 'text')"
        />
        <TickList
          class="two"
          label="points at"
          :model-value="hint.suspects"
          :options="places"
          @update:model-value="setSuspects(at, $event)"
        >
          <TextField label="or a place" :model-value="placeOf(hint)" @update:model-value="setPlace(at, $event)" />
        </TickList>
        <TickList
          class="two"
          label="clears"
          :model-value="hint.clears ?? []"
          :options="places"
          @update:model-value="edit(at, (one) => setOptional(one, 'clears', $event))"
        />
      </div>
      <KeyButton quiet label="take off" @press="change((one) => void one.hints.splice(at, 1))" />
    </article>
    <p class="adds"><KeyButton label="add a hint" @press="add" /></p>
  </div>
</template>

<style scoped>
.hint {
  grid-template-columns: minmax(0, 1fr) auto;
}
</style>
