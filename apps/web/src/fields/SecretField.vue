<script setup lang="ts">
import Password from 'primevue/password'
import { onMounted, ref, useId } from 'vue'

/** A PIN or password under its label; nothing of it is shown, and the browser keeps nothing of a PIN. */
const props = defineProps<{
  label: string
  modelValue: string
  hint?: string
  /** digits alone: the keypad comes up */
  pin?: boolean
  /** the line is ready to be typed into */
  first?: boolean
}>()
defineEmits<{ 'update:modelValue': [text: string] }>()
const id = useId()
const field = ref<{ $el: HTMLElement }>()
onMounted(() => props.first && field.value?.$el.querySelector('input')?.focus())
</script>

<template>
  <span class="field-of">
    <label :for="id" class="field-label">{{ label }}</label>
    <Password
      ref="field"
      :input-id="id"
      :model-value="modelValue"
      :feedback="false"
      fluid
      :input-props="{
        autocomplete: pin ? 'off' : 'current-password',
        inputmode: pin ? 'numeric' : 'text',
        maxlength: pin ? 12 : 128,
        'aria-describedby': hint ? `${id}-said` : undefined,
      }"
      @update:model-value="$emit('update:modelValue', $event ?? '')"
    />
    <small v-if="hint" :id="`${id}-said`" class="field-hint">{{ hint }}</small>
  </span>
</template>
