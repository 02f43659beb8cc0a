<script setup lang="ts">
import Textarea from 'primevue/textarea'
import { useId } from 'vue'
import '../look/controls/boxes'

/** Some lines of words under their label. */
defineProps<{ label: string; modelValue: string; rows?: number; longest?: number }>()
defineEmits<{ 'update:modelValue': [text: string] }>()
const id = useId()
</script>

<template>
  <span class="field-of">
    <label :for="id" class="field-label">{{ label }}</label>
    <Textarea
      :id="id"
      :model-value="modelValue"
      auto-resize
      :rows="rows ?? 2"
      :maxlength="longest ?? 2000"
      @update:model-value="$emit('update:modelValue', $event ?? '')"
    />
  </span>
</template>
