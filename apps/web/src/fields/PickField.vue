<script setup lang="ts" generic="T extends string">
import { useId } from 'vue'

/** One of several words under its label. */
defineProps<{ label: string; modelValue: T | ''; options: { value: T | ''; label: string }[]; hidden?: boolean }>()
defineEmits<{ 'update:modelValue': [value: T | ''] }>()
const id = useId()
</script>

<template>
  <span class="pick-field">
    <label :for="id" :class="{ unseen: hidden }">{{ label }}</label>
    <select
      :id="id"
      class="field"
      :value="modelValue"
      @change="$emit('update:modelValue', ($event.target as HTMLSelectElement).value as T)"
    >
      <option v-for="one in options" :key="one.value" :value="one.value">{{ one.label }}</option>
    </select>
  </span>
</template>

<style scoped>
.pick-field {
  display: grid;
  gap: 2px;
  min-width: 0;
  align-content: start;
}
label {
  font-size: 15px;
  color: var(--muted);
}
</style>
