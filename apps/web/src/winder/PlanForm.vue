<script setup lang="ts">
import { metricSizes, planCoil, type CoilPlan, type CoilShape, type CoilState, type KnownOhms } from '@sure-spool/core'
import { computed, reactive, watch } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FigureField from '../fields/FigureField.vue'
import NumberField from '../fields/NumberField.vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import KeyButton from '../keys/KeyButton.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { useFigures } from '../words/figures'
import { wireWords } from '../words/rewind'
import CoilPicture from './CoilPicture.vue'
import { firstOf, kinds, knownWords, secondOf, sources } from './planWords'
import { nextWires, overallOf } from './wires'

/** What a coil is to be: turns or ohms, its room, its wire; what that comes to stands beside it while it is typed. */
const props = defineProps<{ coil: CoilState; known: KnownOhms[]; sisters: number }>()
const emit = defineEmits<{ keep: [plan: CoilPlan] }>()
const figures = useFigures()

interface Form {
  aim: 'turns' | 'ohms'
  turns?: number
  ohms20?: number
  kind: 'mean' | 'rule' | CoilShape['kind']
  a?: number
  b?: number
  traverseMm?: number
  packing?: number
  awg?: number
  bareMm?: number
  build?: 'single' | 'heavy'
  from: CoilPlan['from']
  why: string
}
const form = reactive<Form>(formOf(props.coil))
watch(
  () => props.coil.coil.id,
  () => Object.assign(form, formOf(props.coil)),
)

function formOf({ original, plan }: CoilState): Form {
  const known = plan ?? original
  const { wire = {} } = known
  const shape = plan?.shape
  return {
    aim: plan && plan.turns === undefined ? 'ohms' : 'turns',
    turns: known.turns,
    ohms20: known.ohms20,
    kind: shape?.kind ?? (plan?.ohmsPerTurn === undefined ? 'mean' : 'rule'),
    a: shape ? firstOf(shape) : plan?.ohmsPerTurn === undefined ? plan?.meanTurnMm : 1000 * plan.ohmsPerTurn,
    b: shape && secondOf(shape),
    traverseMm: plan?.traverseMm,
    packing: plan?.packing,
    awg: wire.awg,
    bareMm: wire.bareMm,
    build: wire.build,
    from: plan?.from ?? 'original',
    why: plan?.why ?? '',
  }
}
const shape = computed<CoilShape | undefined>(() => {
  const { kind, a, b } = form
  if (a === undefined || kind === 'mean' || kind === 'rule') return undefined
  if (kind === 'round') return { kind, coreMm: a }
  if (b === undefined) return undefined
  return kind === 'racetrack' ? { kind, coreLengthMm: a, coreWidthMm: b } : { kind, a, b }
})
const wire = computed(() => {
  const size = form.awg === undefined ? (form.bareMm === undefined ? {} : { bareMm: form.bareMm }) : { awg: form.awg }
  const { build } = form
  const overallMm = build && overallOf({ ...size, build })
  return { ...size, ...(build ? { build } : {}), ...(overallMm === undefined ? {} : { overallMm }) }
})
const hasCore = computed(() => form.kind !== 'mean' && form.kind !== 'rule')
const room = computed(() => {
  if (form.kind === 'mean') return form.a === undefined ? {} : { meanTurnMm: form.a }
  if (form.kind === 'rule') return form.a === undefined ? {} : { ohmsPerTurn: form.a / 1000 }
  return {
    ...(shape.value ? { shape: shape.value } : {}),
    ...(form.traverseMm === undefined ? {} : { traverseMm: form.traverseMm }),
    ...(form.packing === undefined ? {} : { packing: form.packing }),
  }
})
const aim = computed(() => (form.aim === 'turns' ? { turns: form.turns } : { ohms20: form.ohms20 }))
/** how high it builds is told by what the film adds */
const planned = computed(() =>
  hasCore.value && !form.build ? null : planCoil({ ...room.value, ...aim.value, wire: wire.value }),
)
/** the same aim in the next wires */
const beside = computed(() =>
  nextWires(wire.value, metricSizes).flatMap((size) => {
    const other = { ...size, ...(form.build ? { build: form.build } : {}) }
    const one = planCoil({ ...room.value, ...aim.value, wire: other })
    return one
      ? [
          {
            key: wireWords({ ...size }, figures),
            chosen: size.awg === wire.value.awg && size.bareMm === wire.value.bareMm,
            ...one,
          },
        ]
      : []
  }),
)
const dims = computed(
  () =>
    ({
      mean: ['mean turn, mm'],
      rule: ['ohms of a thousand'],
      round: ['core across, mm'],
      racetrack: ['core length, mm', 'core width, mm'],
      rectangle: ['one side, mm', 'other side, mm'],
    })[form.kind],
)
/** One coil of a winding that is one coil; of several each has its share. */
function aimAt({ ohms20, from, of }: KnownOhms): void {
  Object.assign(form, { aim: 'ohms', ohms20: ohms20 / props.sisters, turns: undefined, from, why: of.join(', ') })
}

/** @returns what keeps it from being a plan; empty where it was kept */
function keep(): string {
  const made = planned.value
  if (!made) return 'Too little to compute from: turns or ohms, the wire with its film, and the room or the mean turn.'
  const { original } = props.coil
  const { lay, seenFrom, start, finish } = original
  const facts = Object.fromEntries(
    Object.entries({ lay, seenFrom, start, finish }).filter(([, value]) => value !== undefined),
  )
  emit('keep', {
    ...facts,
    ...room.value,
    wire: wire.value,
    turns: form.aim === 'turns' ? made.turns : Math.round(made.turns),
    ...(form.aim === 'ohms' && form.ohms20 !== undefined ? { ohms20: form.ohms20 } : {}),
    from: form.from,
    why: form.why,
  })
  return ''
}
defineExpose({ keep })
</script>

<template>
  <div class="plan">
    <form class="fields" @submit.prevent>
      <ChoiceField
        v-model="form.aim"
        label="what is aimed at"
        :options="[
          { value: 'turns', label: 'turns' },
          { value: 'ohms', label: 'ohms' },
        ]"
      />
      <NumberField v-if="form.aim === 'turns'" v-model="form.turns" label="turns" :min="1" :max="1000000" optional />
      <FigureField v-else v-model="form.ohms20" label="ohms at 20 °C" quantity="resistance" />
      <p v-if="known.length > 0" class="known">
        <KeyButton
          v-for="one in known"
          :key="`${one.from}${one.of.join()}`"
          :label="figures.bound(Number(one.ohms20.toPrecision(4)))"
          :hint="knownWords(one)"
          @press="aimAt(one)"
        />
      </p>
      <PickField v-model="form.kind" label="the room it has" :options="[...kinds]" />
      <NumberField v-model="form.a" :label="dims[0] ?? ''" :min="0.1" :max="10000" optional />
      <NumberField v-if="dims[1]" v-model="form.b" :label="dims[1]" :min="0.1" :max="10000" optional />
      <template v-if="hasCore">
        <NumberField v-model="form.traverseMm" label="traverse, mm" :min="0.1" :max="10000" optional />
        <NumberField v-model="form.packing" label="packing" :min="0.05" :max="1.2" optional />
      </template>
      <NumberField v-model="form.awg" label="gauge" :min="0" :max="56" optional />
      <NumberField
        v-if="form.awg === undefined"
        v-model="form.bareMm"
        label="or bare, mm"
        :min="0.01"
        :max="10"
        optional
      />
      <ChoiceField
        v-model="form.build"
        label="film"
        :options="[
          { value: 'single', label: 'single film' },
          { value: 'heavy', label: 'heavy film' },
        ]"
      />
      <PickField v-model="form.from" label="where that comes from" :options="[...sources]" />
      <TextField v-model="form.why" label="why" />
    </form>
    <div class="comes">
      <CoilPicture v-if="planned" :planned="planned" :traverse-mm="form.traverseMm" :overall-mm="wire.overallMm" />
      <table v-if="beside.length > 0">
        <caption class="unseen">
          The same aim in the next wires
        </caption>
        <thead>
          <tr>
            <th>wire</th>
            <th>turns</th>
            <th>ohms</th>
            <th>metres</th>
            <th>grams</th>
            <th>builds</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in beside" :key="one.key" :class="{ chosen: one.chosen }">
            <td>{{ one.key }}</td>
            <td class="n">{{ Math.round(one.turns) }}</td>
            <td class="n">{{ figures.bound(Number(one.ohms20.toPrecision(4))) }}</td>
            <td class="n">{{ figures.plain(one.metres, 3) }}</td>
            <td class="n">{{ figures.plain(one.grams, 3) }}</td>
            <td class="n">{{ one.buildMm === undefined ? '' : `${figures.plain(one.buildMm, 3)} mm` }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="planned" class="band">
        {{ figures.bound(Number(planned.low.toPrecision(3))) }} to
        {{ figures.bound(Number(planned.high.toPrecision(3))) }}: what packing and tension leave open.
      </p>
      <p v-else class="muted">Turns or ohms, the wire, and the room: then it is computed here.</p>
      <p><ScreenKey main act="keepPlan" /></p>
    </div>
  </div>
</template>

<style scoped src="./planForm.css"></style>
