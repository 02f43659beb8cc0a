<script setup lang="ts">
import type { CoilPlan, CoilState, KnownOhms } from '@sure-spool/core'
import { computed } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FigureField from '../fields/FigureField.vue'
import NumberField from '../fields/NumberField.vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import KeyButton from '../keys/KeyButton.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { useFigures } from '../words/figures'
import CoilPicture from './CoilPicture.vue'
import NextWires from './NextWires.vue'
import { aims, dimsOf, kinds, knownWords, sources, woundWords } from './planWords'
import { usePlanForm } from './usePlanForm'
import type { WoundAlike } from './useWoundAlike'

/** What a coil is to be: turns, ohms, henries or output, its room, its wire; what that comes to stands beside it while it is typed. */
const props = defineProps<{ coil: CoilState; known: KnownOhms[]; wound: WoundAlike[]; sisters: number }>()
const emit = defineEmits<{ keep: [plan: CoilPlan] }>()
const figures = useFigures()
const { form, wire, hasCore, planned, beside, byWire, aimAt, asWound, asCameOff, made } = usePlanForm(
  () => props.coil,
  () => props.sisters,
)
const dims = computed(() => dimsOf(form.kind))
const percent = (share: number) => `${Math.round(100 * share)}\u2009%`

/** @returns what keeps it from being a plan; empty where it was kept */
function keep(): string {
  const plan = made()
  if (!plan) return 'Too little to compute from: turns or ohms, the wire with its film, and the room or the mean turn.'
  emit('keep', plan)
  return ''
}
defineExpose({ keep })
</script>

<template>
  <div class="plan">
    <form class="fields" @submit.prevent>
      <PickField v-model="form.aim" label="what is aimed at" :options="[...aims]" />
      <NumberField v-if="form.aim === 'turns'" v-model="form.turns" label="turns" :min="1" :max="1000000" optional />
      <FigureField v-else-if="form.aim === 'ohms'" v-model="form.ohms20" label="ohms at 20 °C" quantity="resistance" />
      <template v-else>
        <template v-if="form.aim === 'henries'">
          <FigureField v-model="form.henries" label="henries wanted" quantity="inductance" />
          <FigureField v-model="form.hadHenries" label="henries it had" quantity="inductance" />
        </template>
        <NumberField v-else v-model="form.outputPct" label="output wanted, % of before" :min="1" :max="1000" optional />
        <NumberField v-model="form.hadTurns" label="with so many turns" :min="1" :max="1000000" optional />
      </template>
      <p v-if="known.length > 0 || wound.length > 0 || byWire !== undefined" class="known">
        <KeyButton
          v-for="one in wound"
          :key="one.id"
          :label="woundWords(one, figures)"
          :hint="`as ${one.tag} was wound`"
          @press="asWound(one)"
        />
        <KeyButton
          v-for="one in known"
          :key="`${one.from}${one.of.join()}`"
          :label="figures.bound(Number(one.ohms20.toPrecision(4)))"
          :hint="knownWords(one)"
          @press="aimAt(one)"
        />
        <KeyButton
          v-if="byWire !== undefined"
          :label="`${byWire} turns`"
          hint="by the wire that came off"
          @press="asCameOff"
        />
      </p>
      <PickField v-model="form.kind" label="the room it has" :options="[...kinds]" />
      <NumberField v-model="form.a" class="half" :label="dims[0] ?? ''" :min="0.1" :max="10000" optional />
      <NumberField v-if="dims[1]" v-model="form.b" class="half" :label="dims[1]" :min="0.1" :max="10000" optional />
      <template v-if="hasCore">
        <NumberField v-model="form.traverseMm" class="half" label="traverse, mm" :min="0.1" :max="10000" optional />
        <NumberField v-model="form.windowMm" class="half" label="window height, mm" :min="0.1" :max="10000" optional />
        <NumberField v-model="form.packing" class="half" label="packing" :min="0.05" :max="1.2" optional />
      </template>
      <NumberField v-model="form.awg" class="half" label="gauge" :min="0" :max="56" optional />
      <NumberField
        v-if="form.awg === undefined"
        v-model="form.bareMm"
        class="half"
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
      <CoilPicture
        v-if="planned"
        :planned="planned"
        :traverse-mm="form.traverseMm"
        :overall-mm="wire.overallMm"
        :window-mm="form.windowMm"
      />
      <NextWires :wires="beside" />
      <template v-if="planned">
        <p class="band">
          {{ figures.bound(Number(planned.low.toPrecision(3))) }} to
          {{ figures.bound(Number(planned.high.toPrecision(3))) }}: what packing and tension leave open.
        </p>
        <p v-if="planned.fill !== undefined" class="band" :class="{ over: planned.fill > 1 }">
          It fills <strong>{{ percent(planned.fill) }}</strong> of the window, packed loosely
          {{ percent(planned.fillLoose ?? 0) }}; {{ planned.turnsInWindow }} turns fill it.
        </p>
      </template>
      <p v-else class="muted">Turns or ohms, the wire, and the room: then it is computed here.</p>
      <p><ScreenKey main act="keepPlan" /></p>
    </div>
  </div>
</template>

<style scoped src="./planForm.css"></style>
