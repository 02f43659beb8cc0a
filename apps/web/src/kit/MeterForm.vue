<script setup lang="ts">
import { quantities, type Instrument, type Quantity } from '@sure-spool/core'
import { computed, nextTick, onMounted, ref } from 'vue'
import CountField from '../fields/CountField.vue'
import FigureField from '../fields/FigureField.vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import TickField from '../fields/TickField.vue'
import KeyButton from '../keys/KeyButton.vue'
import { plain } from '../store/plain'

/** One meter: name, over-range sign, zero, due date, and its ranges with percent and counts. */
const props = defineProps<{ meter: Instrument }>()
const emit = defineEmits<{ keep: [meter: Instrument]; leave: [] }>()
const meter = ref<Instrument>(plain(props.meter))
const form = ref<HTMLElement>()
const problem = ref('')
const measured = quantities.filter((one) => !['length', 'temperature', 'speed', 'position', 'gain'].includes(one))
const signs = (['OL', '1', '>'] as const).map((value) => ({ value, label: value }))
const zeros = [
  { value: 'hardware' as const, label: 'by its own key' },
  { value: 'subtract' as const, label: 'taken off by the bench' },
]
const rangings = [
  { value: 'auto' as const, label: 'by itself' },
  { value: 'hand' as const, label: 'by hand' },
]
const open = computed(() => measured.filter((one) => !meter.value.functions.some(({ quantity }) => quantity === one)))

function addRange(at: number): void {
  const one = meter.value.functions[at]
  const last = one?.ranges.at(-1)
  one?.ranges.push(
    last
      ? {
          ...last,
          fullScale: Number((last.fullScale * 10).toPrecision(12)),
          resolution: Number((last.resolution * 10).toPrecision(12)),
        }
      : { fullScale: 600, resolution: 0.1, percentOfReading: 1, counts: 3 },
  )
}
const addFunction = (quantity: Quantity | '') =>
  quantity !== '' &&
  meter.value.functions.push({
    quantity,
    ranges: [{ fullScale: 600, resolution: 0.1, percentOfReading: 1, counts: 3 }],
  })
type Range = Instrument['functions'][number]['ranges'][number]
function setPercent(range: Range, text: string): void {
  const value = Number(text.replace(',', '.'))
  if (text.trim() === '' || !(value >= 0)) delete range.percentOfReading
  else range.percentOfReading = value
}
function setCounts(range: Range, count: number | undefined): void {
  if (count === undefined) delete range.counts
  else range.counts = count
}
function setDue(text: string): void {
  if (text === '') delete meter.value.dueOn
  else meter.value.dueOn = text
}
function setBeeper(ohms: number | undefined): void {
  if (ohms === undefined) delete meter.value.beepsBelow
  else meter.value.beepsBelow = ohms
}
function setFour(four: boolean): void {
  if (four) meter.value.fourWire = true
  else delete meter.value.fourWire
}

function keep(): void {
  problem.value = ''
  if (meter.value.name.trim() === '') problem.value = 'A meter needs a name.'
  if (meter.value.dueOn !== undefined && !/^\d{4}-\d\d-\d\d$/.test(meter.value.dueOn))
    problem.value = 'Write the day as 2027-03-02.'
  for (const one of meter.value.functions) one.ranges.sort((a, b) => a.fullScale - b.fullScale)
  if (meter.value.functions.some(({ ranges }) => ranges.some(({ resolution, fullScale }) => resolution >= fullScale)))
    problem.value = 'A range’s step is finer than its full scale.'
  if (problem.value === '')
    emit('keep', { ...plain(meter.value), functions: meter.value.functions.filter(({ ranges }) => ranges.length > 0) })
}
function keys(event: KeyboardEvent): void {
  if (event.key === 'Escape') emit('leave')
  else if (event.key === 'Enter' && event.target instanceof HTMLInputElement) keep()
  else return
  event.preventDefault()
}
onMounted(() => nextTick(() => form.value?.querySelector('input')?.focus()))
</script>

<template>
  <section ref="form" class="form" aria-label="A meter" @keydown="keys">
    <div class="fields">
      <TextField v-model="meter.name" class="two" label="name" />
      <PickField
        label="over range shows"
        :model-value="meter.overSign"
        :options="signs"
        @update:model-value="meter.overSign = $event || 'OL'"
      />
      <PickField
        label="ranges"
        :model-value="meter.ranging"
        :options="rangings"
        @update:model-value="meter.ranging = $event || 'auto'"
      />
      <PickField
        label="leads are zeroed"
        :model-value="meter.zero ?? 'hardware'"
        :options="zeros"
        @update:model-value="meter.zero = $event || 'hardware'"
      />
      <TextField label="calibration due, as 2027-03-02" :model-value="meter.dueOn ?? ''" @update:model-value="setDue" />
      <FigureField
        label="beeps under"
        quantity="resistance"
        :model-value="meter.beepsBelow"
        @update:model-value="setBeeper"
      />
      <TickField label="four wires" :model-value="meter.fourWire === true" @update:model-value="setFour" />
    </div>
    <section v-for="(one, at) in meter.functions" :key="one.quantity" :aria-label="one.quantity">
      <h2>{{ one.quantity }}</h2>
      <div v-for="(range, i) in one.ranges" :key="i" class="range">
        <FigureField
          label="up to"
          :quantity="one.quantity"
          :model-value="range.fullScale"
          @update:model-value="range.fullScale = $event ?? range.fullScale"
        />
        <FigureField
          label="step"
          :quantity="one.quantity"
          :model-value="range.resolution"
          @update:model-value="range.resolution = $event ?? range.resolution"
        />
        <TextField
          label="± % of reading"
          :model-value="range.percentOfReading === undefined ? '' : String(range.percentOfReading)"
          @update:model-value="setPercent(range, $event)"
        />
        <CountField
          label="+ counts"
          optional
          :min="0"
          :max="9999"
          :model-value="range.counts"
          @update:model-value="setCounts(range, $event)"
        />
        <KeyButton quiet label="take off" @press="one.ranges.splice(i, 1)" />
      </div>
      <KeyButton quiet :label="`another range of ${one.quantity}`" @press="addRange(at)" />
    </section>
    <PickField
      class="another"
      label="it measures also"
      model-value=""
      :options="[{ value: '' as const, label: 'nothing more' }, ...open.map((value) => ({ value, label: value }))]"
      @update:model-value="addFunction"
    />
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p class="acts">
      <KeyButton main cap="Enter" label="keep the meter" @press="keep" />
      <KeyButton cap="Esc" label="leave it as it was" @press="emit('leave')" />
    </p>
  </section>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
  max-width: 1000px;
  border-top: 3px solid var(--copper);
  padding-top: 12px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 12px;
}
.two {
  grid-column: span 2;
}
.range {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 8px 12px;
  align-items: end;
}
.fields :deep(.tick-field) {
  align-self: end;
}
.another {
  max-width: 300px;
}
.problem {
  color: var(--outside);
  font-weight: 600;
}
.acts {
  display: flex;
  gap: 8px;
}
@media (max-width: 900px) {
  .fields,
  .range {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
