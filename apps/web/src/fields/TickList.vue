<script setup lang="ts">
/** Several of a list, ticked; they come in the list's own order. */
const props = defineProps<{ label: string; modelValue: string[]; options: { value: string; label: string }[] }>()
const emit = defineEmits<{ 'update:modelValue': [values: string[]] }>()
function toggle(value: string): void {
  const has = props.modelValue.includes(value)
  emit(
    'update:modelValue',
    props.options.map((one) => one.value).filter((one) => (one === value ? !has : props.modelValue.includes(one))),
  )
}
</script>

<template>
  <fieldset class="tick-list">
    <legend>{{ label }}</legend>
    <label v-for="one in options" :key="one.value" class="tick"
      ><input type="checkbox" :checked="modelValue.includes(one.value)" @change="toggle(one.value)" />
      {{ one.label }}</label
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
legend {
  font-size: 15px;
  color: var(--muted);
}
</style>
