<script setup lang="ts" generic="T extends string">
import RadioButton from 'primevue/radiobutton'
import { useId } from 'vue'
import { boxParts } from '../look/controls/boxes'

/** One of a few sentences, all in sight. */
defineProps<{ label: string; modelValue: T | undefined; options: { value: T; label: string }[] }>()
defineEmits<{ 'update:modelValue': [value: T] }>()
const id = useId()
</script>

<template>
  <div class="choice" role="radiogroup" :aria-label="label">
    <span v-for="one in options" :key="one.value" class="tick-field"
      ><RadioButton
        :model-value="modelValue"
        :value="one.value"
        :name="id"
        :input-id="`${id}-${one.value}`"
        :pt="boxParts"
        @update:model-value="$emit('update:modelValue', $event as T)"
      /><label :for="`${id}-${one.value}`">{{ one.label }}</label></span
    >
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  gap: 0 24px;
  flex-wrap: wrap;
}
</style>
