<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import { computed, useId } from 'vue'
import '../look/controls/boxes'

/** A whole number within bounds: how many. Empty is none where it may be; what is out of bounds changes nothing and says so. */
const props = defineProps<{
  label: string
  modelValue: number | undefined
  min: number
  max: number
  optional?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number | undefined] }>()
const id = useId()
const typed = defineModel<number | undefined>('typed')
const now = computed(() => typed.value ?? props.modelValue)
const problem = computed(() => {
  const value = now.value
  if (value === undefined) return props.optional ? '' : `${props.min} to ${props.max}`
  return value < props.min || value > props.max ? `${props.min} to ${props.max}` : ''
})
function put(value: unknown): void {
  const count = typeof value === 'number' ? value : undefined
  typed.value = count
  const fits = count === undefined ? props.optional === true : count >= props.min && count <= props.max
  if (fits && count !== props.modelValue) emit('update:modelValue', count)
}
</script>

<template>
  <span class="field-of">
    <label :for="id" class="field-label">{{ label }}</label>
    <InputNumber
      :input-id="id"
      :model-value="modelValue"
      :use-grouping="false"
      :max-fraction-digits="0"
      :invalid="problem !== ''"
      :pt="{ pcInputText: { root: { autocomplete: 'off' } } }"
      @input="put($event.value)"
    />
    <small v-if="problem" class="field-problem">{{ problem }}</small>
  </span>
</template>
