<script setup lang="ts">
import { bandOf, parseKindLimit, type CheckKind, type Limit, type LimitProblem, type Quantity } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import { useShop } from '../store/shop'
import { useFigures } from '../words/figures'
import TextField from '../fields/TextField.vue'

/** A limit as people write it, with what it was read as below; what cannot be read is kept as words, judges nothing and says why. */
const props = defineProps<{ kind: CheckKind; quantity: Quantity; x?: Quantity; text: string; limit: Limit }>()
const emit = defineEmits<{ read: [limit: Limit, text: string] }>()
const shop = useShop()
const figures = useFigures()
const typed = ref(props.text)
let own = props.text
watch(
  () => props.text,
  (text) => {
    if (text !== own) typed.value = text
    own = text
  },
)
const parsed = computed(() =>
  parseKindLimit(props.kind, {
    text: typed.value,
    quantity: props.quantity,
    ...(props.x === undefined ? {} : { x: props.x }),
    decimalComma: shop.settings.decimalComma,
  }),
)
const problems: Partial<Record<LimitProblem, string>> = {
  'tolerance-missing': 'a lone figure says no limit: give ±, a range, or > <',
  percent: 'this percentage cannot be',
  'milli-or-mega': 'm: milli or mega? write it in full',
  'too-long': 'too long',
}
const examples: Partial<Record<CheckKind, string>> = {
  bars: 'alike 8%',
  curve: '20: 1050; 40: 512; 60: 271 ±8%',
  'per-length': '5.6k ±20% for a metre, or a foot',
  lamp: 'dark; dim*; full, the right one starred',
  act: 'clicks*; nothing, the right one starred',
  insulation: '> 20M @ 500V',
  contacts: 'closed < 0.2',
}
const example = computed(() => examples[props.kind] ?? '318 ±10%, 0.66–0.90, open')
const problem = computed(() =>
  'problem' in parsed.value && typed.value.trim() !== ''
    ? (problems[parsed.value.problem] ?? `write ${example.value}`)
    : '',
)
const said = computed(() => {
  if (typed.value.trim() === '') return `as ${example.value}`
  const { min, max } = bandOf(props.limit)
  if (min === undefined && max === undefined) return ''
  if (min === undefined) return `at most ${figures.bound(max ?? 0, props.quantity)}`
  if (max === undefined)
    return `${props.limit.kind === 'open' ? 'open, ' : ''}at least ${figures.bound(min, props.quantity)}`
  return `${figures.bound(min, props.quantity)} – ${figures.bound(max, props.quantity)}`
})
function take(text: string): void {
  typed.value = text
  own = text
  emit('read', 'problem' in parsed.value ? { kind: 'none' } : parsed.value, text)
}
</script>

<template>
  <TextField label="limit" :model-value="typed" :problem="problem" :hint="said" @update:model-value="take" />
</template>
