<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { useId } from 'vue'
import { boxParts } from '../look/controls/boxes'

/** A box that is ticked or not, with its words behind it. */
defineProps<{ label: string; modelValue: boolean }>()
defineEmits<{ 'update:modelValue': [ticked: boolean] }>()
const id = useId()
</script>

<template>
  <span class="tick-field"
    ><Checkbox
      :model-value="modelValue"
      binary
      :input-id="id"
      :pt="boxParts"
      @update:model-value="$emit('update:modelValue', $event === true)"
    /><label :for="id">{{ label }}</label></span
  >
</template>
