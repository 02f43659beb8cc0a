<script setup lang="ts">
import type { At, Card, Check } from '@sure-spool/core'
import { computed } from 'vue'
import { terminalLabel } from '../words/points'
import CountField from '../fields/CountField.vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import TickList from '../fields/TickList.vue'
import { placeOf, whereOf, wheresOf, type Where } from './wheres'

/** Where a check is taken: a pair, each of several to one, between several, bar to bar, or a place. */
const props = defineProps<{ card: Card; check: Check }>()
const emit = defineEmits<{ put: [at: At] }>()
const words: Record<Where, string> = {
  pair: 'between two',
  each: 'each of several to one',
  among: 'between several',
  ring: 'bar to the next bar',
  place: 'at a place',
}
const at = computed(() => props.check.at)
const where = computed(() => whereOf(at.value))
const ends = computed(() => props.card.terminals.map(({ id }) => ({ value: id, label: terminalLabel(props.card, id) })))
const wheres = computed(() => wheresOf[props.check.kind].map((value) => ({ value, label: words[value] })))
const several = computed(() => ('each' in at.value ? at.value.each : 'among' in at.value ? at.value.among : []))

function setEnd(which: 0 | 1, id: string): void {
  if (!('pair' in at.value) || id === '') return
  const pair: [string, string] = [...at.value.pair]
  pair[which] = id
  emit('put', { pair })
}
function setSeveral(next: string[]): void {
  if ('each' in at.value && next.length > 0) emit('put', { each: next, to: at.value.to })
  if ('among' in at.value && next.length > 1) emit('put', { among: next })
}
</script>

<template>
  <PickField
    v-if="wheres.length > 1"
    label="where"
    :model-value="where"
    :options="wheres"
    @update:model-value="$event && emit('put', placeOf($event, card.terminals, at))"
  />
  <template v-if="'pair' in at">
    <PickField label="from" :model-value="at.pair[0]" :options="ends" @update:model-value="setEnd(0, $event)" />
    <PickField label="to" :model-value="at.pair[1]" :options="ends" @update:model-value="setEnd(1, $event)" />
  </template>
  <TickList
    v-else-if="'each' in at || 'among' in at"
    class="wide"
    :label="'each' in at ? 'each of' : 'between'"
    :model-value="several"
    :options="ends.filter(({ value }) => value !== 'frame' || 'among' in at)"
    @update:model-value="setSeveral"
  >
    <PickField
      v-if="'each' in at"
      label="to"
      :model-value="at.to"
      :options="ends"
      @update:model-value="$event && 'each' in at && emit('put', { each: at.each, to: $event })"
    />
  </TickList>
  <CountField
    v-else-if="'ring' in at"
    label="how many bars"
    :min="2"
    :max="1000"
    :model-value="at.ring"
    @update:model-value="$event !== undefined && emit('put', { ring: $event })"
  />
  <TextField v-else label="at" :model-value="at.place" @update:model-value="emit('put', { place: $event })" />
</template>
