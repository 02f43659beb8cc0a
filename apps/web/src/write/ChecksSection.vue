<script setup lang="ts">
import { freeId, quantityOf, type Check, type CheckKind, type Place, type Quantity } from '@sure-spool/core'
import { computed, nextTick, ref } from 'vue'
import KeyButton from '../keys/KeyButton.vue'
import { kindWords, placeWords, quantityWords } from '../words/kinds'
import { placeQuantity } from '../words/points'
import CountField from '../fields/CountField.vue'
import TickField from '../fields/TickField.vue'
import ConditionFields from './ConditionFields.vue'
import LimitRows from './LimitRows.vue'
import OnlyFor from './OnlyFor.vue'
import { setOptional, useEdit, useWriting, withoutCheck } from './takeOff'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import WhereFields from './WhereFields.vue'
import { placeOf, wheresOf } from './wheres'

/** What is measured, where, under which conditions, and what it should read. */
const { card, change } = useWriting()
const kinds = (Object.keys(kindWords) as CheckKind[]).map((value) => ({ value, label: kindWords[value] }))
/** A check that is read at one of them waits while the part is at the other. */
const places: { value: Place | ''; label: string }[] = [
  { value: '', label: 'wherever it is' },
  ...(Object.keys(placeWords) as Place[]).map((value) => ({ value, label: placeWords[value] })),
]
const edit = useEdit('checks')

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
    delete check.x
    if (kind === 'per-length') check.items ??= 4
    else delete check.items
  })
}

/** How it is done: the range to set, whether the leads may change places, a line of words. */
const setHow = <K extends keyof NonNullable<Check['how']>>(id: string, key: K, value: NonNullable<Check['how']>[K]) =>
  edit(
    id,
    (check) => {
      const how = { ...check.how }
      setOptional(how, key, value === false ? undefined : value)
      if (Object.keys(how).length > 0) check.how = how
      else delete check.how
    },
    key,
  )
const asOptions = (of: Quantity[]) => of.map((value) => ({ value, label: quantityWords[value] ?? value }))
/** What a kind may be read in, and what its second place may be, where the kind leaves it open. */
const readIn: Partial<Record<CheckKind, Quantity[]>> = {
  bars: ['resistance', 'current', 'voltage'],
  curve: ['resistance', 'voltage'],
  response: ['gain', 'voltage'],
}
const over: Partial<Record<CheckKind, Quantity[]>> = {
  curve: ['position', 'temperature', 'length'],
  response: ['frequency'],
}

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
        <WhereFields :card="card()" :check="check" @put="(at) => edit(check.id, (one) => (one.at = at))" />
        <PickField
          label="read"
          :model-value="check.where ?? ''"
          :options="places"
          @update:model-value="edit(check.id, (one) => setOptional(one, 'where', $event || undefined))"
        />
        <PickField
          v-if="readIn[check.kind]"
          label="read in"
          :model-value="quantityOf(check) ?? ''"
          :options="asOptions(readIn[check.kind] ?? [])"
          @update:model-value="edit(check.id, (one) => setOptional(one, 'quantity', $event || undefined))"
        />
        <PickField
          v-if="over[check.kind]"
          label="over"
          :model-value="placeQuantity(check) ?? ''"
          :options="asOptions(over[check.kind] ?? [])"
          @update:model-value="edit(check.id, (one) => setOptional(one, 'x', $event || undefined))"
        />
        <CountField
          v-if="check.kind === 'per-length'"
          label="how many"
          :min="1"
          :max="1000"
          :model-value="check.items"
          @update:model-value="edit(check.id, (one) => setOptional(one, 'items', $event), 'items')"
        />
        <ConditionFields
          v-if="check.kind !== 'look'"
          :card="card()"
          :check="check"
          @edit="(make, field) => edit(check.id, make, field)"
        />
        <template v-if="check.kind !== 'look'">
          <TextField
            label="on range"
            placeholder="200 Ω"
            :model-value="check.how?.range ?? ''"
            @update:model-value="setHow(check.id, 'range', $event)"
          />
          <TextField
            class="two"
            label="how, in a line"
            :model-value="check.how?.note ?? ''"
            @update:model-value="setHow(check.id, 'note', $event)"
          />
          <TickField
            label="leads may be swapped"
            :model-value="check.how?.either === true"
            @update:model-value="setHow(check.id, 'either', $event)"
          />
        </template>
      </div>
      <LimitRows
        v-if="check.kind !== 'look'"
        :check="check"
        :quantity="quantityOf(check) ?? 'resistance'"
        @edit="(make, field) => edit(check.id, make, field)"
      />
      <p class="adds">
        <TickField
          label="a part is not done without it"
          :model-value="check.required"
          @update:model-value="edit(check.id, (one) => (one.required = $event))"
        />
        <OnlyFor :only="check.only" @set="(only) => edit(check.id, (one) => setOptional(one, 'only', only))" />
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
  grid-template-columns: minmax(0, 1fr);
}
</style>
