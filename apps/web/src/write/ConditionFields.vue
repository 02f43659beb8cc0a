<script setup lang="ts">
import type { Card, Check, CheckKind, Conditions } from '@sure-spool/core'
import { computed } from 'vue'
import FigureField from '../fields/FigureField.vue'
import NumberField from '../fields/NumberField.vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import TickField from '../fields/TickField.vue'
import KeyButton from '../keys/KeyButton.vue'
import { terminalLabel } from '../words/points'
import { setOptional } from './takeOff'

/** What must be so while it is read. A kind's usual conditions stand there; any other is one press away. */
const props = defineProps<{ card: Card; check: Check }>()
const emit = defineEmits<{ edit: [make: (check: Check) => void, field?: string] }>()
type Key = Exclude<keyof Conditions, 'state'>
const now = computed<Conditions>(() => props.check.conditions ?? {})
const usual: Partial<Record<CheckKind, Key[]>> = {
  insulation: ['testVolts'],
  'ac-output': ['rpm'],
  'dc-output': ['rpm', 'load'],
  current: ['volts'],
  lamp: ['volts', 'lamp'],
  inductance: ['hertz'],
  capacitance: ['hertz'],
  response: ['hertz', 'load'],
}
const labels: Record<Key, string> = {
  volts: 'at volts',
  rpm: 'at rpm',
  hertz: 'at hertz',
  testVolts: 'test volts',
  peak: 'peak, with an adaptor',
  seriesOhms: 'ohms in series',
  lamp: 'a lamp in series',
  load: 'loaded with',
  joined: 'two terminals joined',
  drive: 'a coil driven, or none',
}
const amounts = {
  volts: 'voltage',
  rpm: 'speed',
  hertz: 'frequency',
  testVolts: 'voltage',
  seriesOhms: 'resistance',
} as const
type Amount = keyof typeof amounts
const isAmount = (key: Key): key is Amount => key in amounts
const all = Object.keys(labels) as Key[]
const shown = computed(() => all.filter((key) => key in now.value || usual[props.check.kind]?.includes(key)))
const others = computed(() => [
  { value: '' as const, label: 'another condition …' },
  ...all.filter((key) => !shown.value.includes(key)).map((value) => ({ value, label: labels[value] })),
])
const ends = computed(() => props.card.terminals.map(({ id }) => ({ value: id, label: terminalLabel(props.card, id) })))

const edit = (make: (conditions: Conditions) => void, field?: string) =>
  emit(
    'edit',
    (check) => {
      const conditions: Conditions = { ...check.conditions }
      make(conditions)
      if (Object.keys(conditions).length > 0) check.conditions = conditions
      else delete check.conditions
    },
    field,
  )
const set = <K extends keyof Conditions>(key: K, value: Conditions[K] | undefined, field?: string) =>
  edit((one) => setOptional(one, key, value), field)

const firstTwo = (): [string, string] => {
  const [a = 'frame', b = 'frame'] = ends.value.map(({ value }) => value)
  return [a, b]
}
const joinMore = () => edit((one) => (one.joined = [...(one.joined ?? []), firstTwo()]))
/** What a condition begins with when it is asked for. */
function begin(key: Key): void {
  const firsts: Required<Omit<Conditions, 'state'>> = {
    volts: 12,
    rpm: 1000,
    hertz: 1000,
    testVolts: 500,
    peak: true,
    seriesOhms: 10,
    lamp: { volts: 12, watts: 5 },
    load: 'its battery',
    joined: [firstTwo()],
    drive: null,
  }
  edit((one) => Object.assign(one, { [key]: firsts[key] }))
}
const setState = (text: string) =>
  set(
    'state',
    text
      .split(';')
      .map((one) => one.trim())
      .filter((one) => one !== ''),
    'state',
  )
const setLamp = (key: 'volts' | 'watts', value: number | undefined) =>
  edit((one) => {
    const lamp = { ...one.lamp }
    setOptional(lamp, key, value)
    one.lamp = lamp
  }, `lamp ${key}`)
const setJoined = (at: number, end: 0 | 1, id: string) =>
  edit((one) => {
    const pair = one.joined?.[at]
    if (pair && id !== '') pair[end] = id
  })
function setDrive(end: 'plus' | 'minus', id: string): void {
  edit((one) => {
    if (id === '') one.drive = null
    else one.drive = { plus: one.drive?.plus ?? id, minus: one.drive?.minus ?? id, [end]: id }
  })
}
const driven = computed(() => [{ value: '', label: 'nothing driven' }, ...ends.value])
</script>

<template>
  <template v-for="key in shown" :key="key">
    <FigureField
      v-if="isAmount(key)"
      :label="labels[key]"
      :quantity="amounts[key]"
      :model-value="now[key]"
      @update:model-value="set(key, $event, key)"
    />
    <TickField
      v-else-if="key === 'peak'"
      :label="labels.peak"
      :model-value="now.peak === true"
      @update:model-value="set('peak', $event || undefined)"
    />
    <TextField
      v-else-if="key === 'load'"
      :label="labels.load"
      :model-value="now.load ?? ''"
      @update:model-value="set('load', $event, 'load')"
    />
    <template v-else-if="key === 'lamp'">
      <FigureField
        label="lamp in series, volts"
        quantity="voltage"
        :model-value="now.lamp?.volts"
        @update:model-value="setLamp('volts', $event)"
      />
      <NumberField
        label="its watts"
        optional
        :min="0"
        :max="2000"
        :model-value="now.lamp?.watts"
        @update:model-value="setLamp('watts', $event)"
      />
    </template>
    <template v-else-if="key === 'drive'">
      <PickField
        label="driven, plus at"
        :model-value="now.drive?.plus ?? ''"
        :options="driven"
        @update:model-value="setDrive('plus', $event)"
      />
      <PickField
        v-if="now.drive"
        label="minus at"
        :model-value="now.drive.minus"
        :options="ends"
        @update:model-value="$event && setDrive('minus', $event)"
      />
    </template>
    <div v-else class="joined wide">
      <template v-for="(pair, i) in now.joined ?? []" :key="i">
        <PickField
          label="joined"
          :model-value="pair[0]"
          :options="ends"
          @update:model-value="setJoined(i, 0, $event)"
        />
        <PickField label="to" :model-value="pair[1]" :options="ends" @update:model-value="setJoined(i, 1, $event)" />
        <KeyButton
          quiet
          label="part them"
          @press="
            set(
              'joined',
              now.joined?.filter((_, at) => at !== i),
            )
          "
        />
      </template>
      <KeyButton quiet label="join two more" @press="joinMore" />
    </div>
    <KeyButton
      v-if="(key === 'drive' && now.drive !== undefined) || (key === 'lamp' && now.lamp)"
      quiet
      class="off"
      :label="key === 'drive' ? 'take the driving off' : 'take the lamp off'"
      @press="set(key, undefined)"
    />
  </template>
  <TextField
    label="in what state"
    placeholder="flexed"
    :model-value="now.state?.join('; ') ?? ''"
    @update:model-value="setState"
  />
  <PickField
    label="under"
    model-value=""
    :options="others"
    @update:model-value="$event !== '' && begin($event as Key)"
  />
</template>

<style scoped>
.joined {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 8px 12px;
  align-items: end;
}
.off {
  align-self: end;
}
</style>
