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
}>()
defineEmits<{ 'update:modelValue': [text: string] }>()
const id = useId()
</script>

<template>
  <span class="text-field">
    <label :for="id" :class="{ unseen: hidden }">{{ label }}</label>
    <InputText
      :id="id"
      :model-value="modelValue"
      autocomplete="off"
      :placeholder="placeholder"
      :invalid="problem !== undefined && problem !== ''"
      :aria-describedby="problem || hint ? `${id}-said` : undefined"
      @update:model-value="$emit('update:modelValue', $event ?? '')"
    />
    <small v-if="problem || hint" :id="`${id}-said`" :class="{ problem }">{{ problem || hint }}</small>
  </span>
</template>

<style scoped>
.text-field {
  display: grid;
  gap: 2px;
  min-width: 0;
  align-content: start;
}
label {
  font-size: 15px;
  color: var(--muted);
}
.text-field :deep(input) {
  width: 100%;
  min-height: 44px;
}
small {
  font-size: 15px;
  color: var(--muted);
}
.problem {
  color: var(--outside);
  font-weight: 600;
}
</style>
