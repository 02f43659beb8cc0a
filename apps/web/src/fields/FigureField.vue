<script setup lang="ts">
import { parseReading, withUnit, type Quantity } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import { useShop } from '../store/shop'
import { useFigures } from '../words/figures'
import TextField from './TextField.vue'

/** A figure as people type it, with prefix and unit; empty is no figure. What cannot be read changes nothing and says so. */
const props = defineProps<{ label: string; modelValue: number | undefined; quantity: Quantity; hidden?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [value: number | undefined] }>()
const shop = useShop()
const figures = useFigures()
const written = (value: number | undefined) =>
  value === undefined ? '' : figures.bound(value, props.quantity).replace('\u2009', ' ')
const text = ref(written(props.modelValue))
let own: number | undefined = props.modelValue
watch(
  () => props.modelValue,
  (value) => {
    if (value !== own) text.value = written(value)
    own = value
  },
)
const read = computed(() => {
  const { decimalComma } = shop.settings
  const whole = withUnit(text.value, props.quantity, shop.units, decimalComma)
  return parseReading({ text: whole, quantity: props.quantity, decimalComma })
})
const problem = computed(() =>
  text.value.trim() === '' || (read.value.kind === 'value' && !read.value.problem) ? '' : 'not a figure',
)
function typed(next: string): void {
  text.value = next
  if (next.trim() === '') own = undefined
  else if (read.value.kind === 'value' && read.value.value !== undefined && !read.value.problem) own = read.value.value
  else return
  if (own !== props.modelValue) emit('update:modelValue', own)
}
</script>

<template>
  <TextField :label="label" :hidden="hidden" :model-value="text" :problem="problem" @update:model-value="typed" />
</template>
