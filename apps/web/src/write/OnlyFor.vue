<script setup lang="ts">
import TickList from '../fields/TickList.vue'
import { useWriting } from './takeOff'

/** Which variants a plug or a check is for; all of them where none is named. */
defineProps<{ only: string[] | undefined }>()
defineEmits<{ set: [only: string[] | undefined] }>()
const { card } = useWriting()
</script>

<template>
  <TickList
    v-if="card().variants.length > 0"
    label="only for"
    :model-value="only ?? []"
    :options="card().variants.map(({ id, label }) => ({ value: id, label }))"
    @update:model-value="$emit('set', $event)"
  />
</template>
