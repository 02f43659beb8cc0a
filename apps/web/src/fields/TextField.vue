<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { useId } from 'vue'

/** A line of text under its label. */
defineProps<{
  label: string
  modelValue: string
  hidden?: boolean
  problem?: string
  hint?: string
  placeholder?: string
  /** in signs */
  longest?: number
}>()
defineEmits<{ 'update:modelValue': [text: string] }>()
const id = useId()
</script>

<template>
  <span class="field-of">
    <label :for="id" class="field-label" :class="{ unseen: hidden }">{{ label }}</label>
    <InputText
      :id="id"
      :model-value="modelValue"
      autocomplete="off"
      :maxlength="longest"
      :placeholder="placeholder"
      :invalid="problem !== undefined && problem !== ''"
      :aria-describedby="problem || hint ? `${id}-said` : undefined"
      @update:model-value="$emit('update:modelValue', $event ?? '')"
    />
    <small v-if="problem || hint" :id="`${id}-said`" :class="problem ? 'field-problem' : 'field-hint'">{{
      problem || hint
    }}</small>
  </span>
</template>
