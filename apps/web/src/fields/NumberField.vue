<script setup lang="ts">
import { ref, watch } from 'vue'
import TextField from './TextField.vue'

/** A bare number within bounds; empty is none where it may be. What is out of bounds changes nothing and says so. */
const props = defineProps<{
  label: string
  modelValue: number | undefined
  min: number
  max: number
  /** whether it may be left empty */
  optional?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number | undefined] }>()
const written = (value: number | undefined) => (value === undefined ? '' : String(value))
const text = ref(written(props.modelValue))
let own = props.modelValue
watch(
  () => props.modelValue,
  (value) => {
    if (value !== own) text.value = written(value)
    own = value
  },
)
const problem = ref('')
function typed(next: string): void {
  text.value = next
  const bare = next.trim().replace(',', '.').replace(/\s*%$/, '')
  const value = bare === '' ? undefined : Number(bare)
  const bad = value === undefined ? props.optional !== true : !(value >= props.min && value <= props.max)
  problem.value = bad ? `${props.min} to ${props.max}` : ''
  if (bad || value === own) return
  own = value
  emit('update:modelValue', value)
}
</script>

<template>
  <TextField :label="label" :model-value="text" :problem="problem" @update:model-value="typed" />
</template>
