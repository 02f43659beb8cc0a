<script setup lang="ts">
import { freeId, quantityOf, type Check, type CheckKind, type Conditions } from '@sure-spool/core'
import { computed, nextTick, ref } from 'vue'
import KeyButton from '../parts/KeyButton.vue'
import { kindWords } from '../words/kinds'
import FigureField from '../fields/FigureField.vue'
import LimitRows from './LimitRows.vue'
import OnlyFor from './OnlyFor.vue'
import { useWriting, setOnly, withoutCheck } from './parts'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import WherePart from './WherePart.vue'
import { placeOf, wheresOf } from './wheres'

/** What is measured, where, under which conditions, and what it should read. */
const { card, change } = useWriting()
const kinds = (Object.keys(kindWords) as CheckKind[]).map((value) => ({ value, label: kindWords[value] }))
const edit = (id: string, make: (check: Check) => void, field?: string) =>
  change(
    (one) => {
      const check = one.checks.find((each) => each.id === id)
      if (check) make(check)
    },
    field === undefined ? undefined : `${id}.${field}`,
  )

function setKind(id: string, kind: CheckKind | ''): void {
  if (kind === '') return
  change((one) => {
    const check = one.checks.find((each) => each.id === id)
    if (!check) return
    const [usual = 'place', ...others] = wheresOf[kind]
    const same = [usual, ...others].find((where) => placeOf(where, one.terminals, check.at) === check.at)
    check.kind = kind
    check.at = placeOf(same ?? usual, one.terminals, check.at)
    check.limits = []
    delete check.quantity
    if (kind === 'per-length') check.items ??= 4
    else delete check.items
  })
}

/** Conditions that a kind of check can have. */
const asks = (kind: CheckKind): ('volts' | 'rpm' | 'hertz' | 'testVolts')[] => {
  if (kind === 'insulation') return ['testVolts']
  if (kind === 'ac-output' || kind === 'dc-output') return ['rpm']
  if (kind === 'current' || kind === 'lamp') return ['volts']
  return kind === 'inductance' || kind === 'response' ? ['hertz'] : []
}
const conditionLabels = { volts: 'at volts', rpm: 'at rpm', hertz: 'at hertz', testVolts: 'test volts' }
const quantities = { volts: 'voltage', rpm: 'speed', hertz: 'frequency', testVolts: 'voltage' } as const
const setCondition = (id: string, key: 'volts' | 'rpm' | 'hertz' | 'testVolts', value: number | undefined) =>
  edit(
    id,
    (check) => {
      const conditions: Conditions = { ...check.conditions }
      if (value === undefined) delete conditions[key]
      else conditions[key] = value
      if (Object.keys(conditions).length > 0) check.conditions = conditions
      else delete check.conditions
    },
    key,
  )
const setState = (id: string, text: string) =>
  edit(
    id,
    (check) => {
      const state = text
        .split(';')
        .map((one) => one.trim())
        .filter((one) => one !== '')
      const { state: _before, ...rest } = check.conditions ?? {}
      if (state.length > 0) check.conditions = { ...rest, state }
      else if (Object.keys(rest).length > 0) check.conditions = rest
      else delete check.conditions
    },
    'state',
  )
const setItems = (id: string, text: string) => {
  const value = Number(text)
  if (Number.isInteger(value) && value >= 1 && value <= 1000) edit(id, (check) => (check.items = value), 'items')
}
const setNote = (id: string, note: string) =>
  edit(
    id,
    (check) => {
      const { note: _before, ...rest } = check.how ?? {}
      if (note !== '') check.how = { ...rest, note }
      else if (Object.keys(rest).length > 0) check.how = rest
      else delete check.how
    },
    'note',
  )

/** The next thing that nobody checks yet: a winding without a check, then all terminals to the frame. */
const wanting = computed(() => {
  const read = new Set(card().checks.flatMap(({ at }) => ('pair' in at ? [[...at.pair].sort().join(' ')] : [])))
  const winding = card().windings.find(({ from, to }) => !read.has([from, to].sort().join(' ')))
  const framed = card().terminals.some(({ id }) => id === 'frame')
  const tested = card().checks.some(({ at }) => 'each' in at && at.to === 'frame')
  return winding ? 'winding' : framed && !tested && card().terminals.length > 1 ? 'frame' : 'plain'
})
async function add(): Promise<void> {
  change((one) => {
    const id = freeId('k', one.checks)
    const read = new Set(one.checks.flatMap(({ at }) => ('pair' in at ? [[...at.pair].sort().join(' ')] : [])))
    const winding = one.windings.find(({ from, to }) => !read.has([from, to].sort().join(' ')))
    if (winding)
      one.checks.push({
        id,
        label: winding.label,
        kind: 'resistance',
        at: { pair: [winding.from, winding.to] },
        required: true,
        limits: [],
      })
    else if (wanting.value === 'frame')
      one.checks.push({
        id,
        label: 'open to frame',
        kind: 'resistance',
        at: placeOf('each', one.terminals),
        required: true,
        limits: [],
      })
    else
      one.checks.push({
        id,
        label: `check ${one.checks.length + 1}`,
        kind: 'resistance',
        at: placeOf('pair', one.terminals),
        required: true,
        limits: [],
      })
  })
  await nextTick()
  const articles = rows.value?.querySelectorAll<HTMLElement>('article')
  articles?.[articles.length - 1]?.querySelector('input')?.focus()
}
const rows = ref<HTMLElement>()
const addWords = { winding: 'add the check of the next winding', frame: 'add the test to frame', plain: 'add a check' }
const move = (id: string, by: 1 | -1) =>
  change((one) => {
    const from = one.checks.findIndex((check) => check.id === id)
    const [check] = one.checks.splice(from, 1)
    if (check) one.checks.splice(Math.max(0, from + by), 0, check)
  })
</script>

<template>
  <div ref="rows" class="rows">
    <article v-for="(check, i) in card().checks" :key="check.id" class="row check" :aria-label="check.label">
      <div class="fields">
        <TextField
          label="check"
          :model-value="check.label"
          @update:model-value="edit(check.id, (one) => (one.label = $event), 'label')"
        />
        <PickField
          label="kind"
          :model-value="check.kind"
          :options="kinds"
          @update:model-value="setKind(check.id, $event)"
        />
        <WherePart :card="card()" :check="check" @put="(at) => edit(check.id, (one) => (one.at = at))" />
        <FigureField
          v-for="key in asks(check.kind)"
          :key="key"
          :label="conditionLabels[key]"
          :quantity="quantities[key]"
          :model-value="check.conditions?.[key]"
          @update:model-value="setCondition(check.id, key, $event)"
        />
        <TextField
          v-if="check.kind === 'per-length'"
          label="how many"
          :model-value="String(check.items ?? '')"
          @update:model-value="setItems(check.id, $event)"
        />
        <TextField
          v-if="check.kind !== 'look'"
          label="in what state"
          placeholder="flexed"
          :model-value="check.conditions?.state?.join('; ') ?? ''"
          @update:model-value="setState(check.id, $event)"
        />
        <TextField
          v-if="check.kind !== 'look'"
          label="how, in a line"
          :model-value="check.how?.note ?? ''"
          @update:model-value="setNote(check.id, $event)"
        />
      </div>
      <LimitRows
        v-if="check.kind !== 'look'"
        :check="check"
        :quantity="quantityOf(check) ?? 'resistance'"
        @edit="(make, field) => edit(check.id, make, field)"
      />
      <p class="adds">
        <label class="tick"
          ><input
            type="checkbox"
            :checked="check.required"
            @change="edit(check.id, (one) => (one.required = ($event.target as HTMLInputElement).checked))"
          />
          a part is not done without it</label
        >
        <OnlyFor :only="check.only" @set="(only) => edit(check.id, (one) => setOnly(one, only))" />
        <KeyButton quiet label="up" :disabled="i === 0" @press="move(check.id, -1)" />
        <KeyButton quiet label="down" :disabled="i === card().checks.length - 1" @press="move(check.id, 1)" />
        <KeyButton quiet label="take off" @press="change((one) => withoutCheck(one, check.id))" />
      </p>
    </article>
    <p class="adds"><KeyButton :label="addWords[wanting]" @press="add" /></p>
  </div>
</template>

<style scoped>
.check {
  grid-template-columns: 1fr;
}
</style>
