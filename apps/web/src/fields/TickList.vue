<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { useId } from 'vue'
import { boxParts } from '../look/controls/boxes'

/** Several of a list, ticked; they come in the list's own order. */
const props = defineProps<{ label: string; modelValue: string[]; options: { value: string; label: string }[] }>()
const emit = defineEmits<{ 'update:modelValue': [values: string[]] }>()
const id = useId()
const put = (values: string[]) =>
  emit(
    'update:modelValue',
    props.options.map(({ value }) => value).filter((value) => values.includes(value)),
  )
</script>

<template>
  <fieldset class="tick-list">
    <legend class="field-label">{{ label }}</legend>
    <span v-for="one in options" :key="one.value" class="tick-field"
      ><Checkbox
        :model-value="modelValue"
        :value="one.value"
        :input-id="`${id}-${one.value}`"
        :pt="boxParts"
        @update:model-value="put($event as string[])"
      /><label :for="`${id}-${one.value}`">{{ one.label }}</label></span
    >
    <slot />
  </fieldset>
</template>

<style scoped>
.tick-list {
  display: flex;
  gap: 0 16px;
  flex-wrap: wrap;
  align-items: end;
  border: 1px solid var(--hairline);
  padding: 0 12px 4px;
  margin: 0;
  min-width: 0;
}
</style>
