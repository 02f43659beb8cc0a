<script setup lang="ts" generic="T extends string">
import Select from 'primevue/select'
import { computed, useId } from 'vue'
import { selectParts } from '../look/controls/lists'

/** One of several words under its label. */
const props = defineProps<{
  label: string
  modelValue: T | ''
  options: { value: T | ''; label: string }[]
  hidden?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: T | ''] }>()
const id = useId()
/** what stands there while nothing is chosen: the words of the empty choice */
const unsaid = computed(() => props.options.find(({ value }) => value === '')?.label)
</script>

<template>
  <span class="field-of">
    <span :id="id" class="field-label" :class="{ unseen: hidden }">{{ label }}</span>
    <Select
      :model-value="modelValue"
      :options="options"
      option-label="label"
      option-value="value"
      :placeholder="unsaid"
      :aria-labelledby="id"
      :pt="selectParts"
      @update:model-value="emit('update:modelValue', $event as T | '')"
    />
  </span>
</template>
