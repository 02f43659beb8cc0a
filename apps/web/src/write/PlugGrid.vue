<script setup lang="ts">
import type { Card, Plug } from '@sure-spool/core'
import { computed, nextTick, ref } from 'vue'
import { wirePaint } from '../look/wires'
import TextField from '../fields/TextField.vue'
import { terminalLabel, terminalOf } from '../words/points'

type Place = [number, number]

/**
 * The places of a plug as a grid: arrows move, a terminal's digit puts it in, Space takes the next one, Delete empties. With a
 * pointer: choose a terminal, then touch its place.
 */
const props = defineProps<{ card: Card; plug: Plug }>()
const emit = defineEmits<{ put: [at: Place, terminal: string | null]; stamp: [at: Place, mark: string] }>()
const grid = ref<HTMLElement>()
const brush = ref<string | null>(null)
const at = ref('0,0')
const terminals = computed(() => props.card.terminals.filter(({ id, part }) => id !== 'frame' && part !== 'joint'))
const columns = computed(() => ('count' in props.plug.size ? props.plug.size.count : props.plug.size.columns))
const placed = computed(() => new Set(props.plug.cavities.flatMap(({ terminal }) => terminal ?? [])))
const stripe = (id: string | null) => {
  const wire = id === null ? undefined : terminalOf(props.card, id)?.wire
  return wire ? { background: wirePaint[wire.base] } : undefined
}
const tracer = (id: string | null) => {
  const wire = id === null ? undefined : terminalOf(props.card, id)?.wire
  return wire?.tracer ? { background: wirePaint[wire.tracer] } : undefined
}

const rows = computed(() => {
  const all = [...props.plug.cavities].sort((a, b) => a.at[1] - b.at[1] || a.at[0] - b.at[0])
  return [...new Set(all.map((one) => one.at[1]))].map((row) => all.filter((one) => one.at[1] === row))
})

/** Takes the focus to a place, where the plug has one there. */
function move([column, row]: Place): void {
  const there = props.plug.cavities.find((one) => one.at[0] === column && one.at[1] === row)
  if (!there) return
  at.value = there.at.join()
  void nextTick(() => grid.value?.querySelector<HTMLElement>(`[data-at="${at.value}"]`)?.focus())
}
const steps: Record<string, Place> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
function press(event: KeyboardEvent, cavity: Plug['cavities'][number]): void {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  const step = steps[event.key]
  const digit = /^[1-9]$/.test(event.key) ? terminals.value[Number(event.key) - 1] : undefined
  if (step) move([cavity.at[0] + step[0], cavity.at[1] + step[1]])
  else if (digit) emit('put', cavity.at, digit.id)
  else if (event.key === 'Delete' || event.key === 'Backspace' || event.key === '0') emit('put', cavity.at, null)
  else if (event.key === ' ') emit('put', cavity.at, following(cavity.terminal))
  else return
  event.preventDefault()
}
/** The next terminal that has no place yet, round to an empty place. */
function following(now: string | null): string | null {
  const ids = terminals.value.map(({ id }) => id)
  const from = now === null ? -1 : ids.indexOf(now)
  return ids.slice(from + 1).find((id) => !placed.value.has(id)) ?? null
}
const touch = (cavity: Plug['cavities'][number]) => {
  at.value = cavity.at.join()
  if (brush.value !== null) emit('put', cavity.at, brush.value === cavity.terminal ? null : brush.value)
}
/** one place is reached by Tab, the others by the arrows */
const here = computed(() => props.plug.cavities.find((one) => one.at.join() === at.value) ?? rows.value[0]?.[0])
const held = ({ terminal, mark }: Plug['cavities'][number]) =>
  [...(terminal === null ? [] : [terminalLabel(props.card, terminal)]), ...(mark ? [`mark ${mark}`] : [])].join(', ') ||
  'empty'
const placeName = ([column, row]: Place) => `column ${column + 1}, row ${row + 1}`
</script>

<template>
  <div class="drawing">
    <p class="brushes" role="group" aria-label="Terminals to place">
      <button
        v-for="(terminal, i) in terminals"
        :key="terminal.id"
        class="plain brush"
        :class="{ on: brush === terminal.id, placed: placed.has(terminal.id) }"
        :aria-pressed="brush === terminal.id"
        @click="brush = brush === terminal.id ? null : terminal.id"
      >
        <kbd v-if="i < 9">{{ i + 1 }}</kbd> {{ terminal.label || terminal.id }}
      </button>
    </p>
    <div
      ref="grid"
      class="places"
      role="grid"
      :aria-label="`Places of ${plug.label}: arrows move, a digit puts a terminal in, Delete empties`"
      :style="{ gridTemplateColumns: `repeat(${columns}, minmax(74px, 118px))` }"
    >
      <div v-for="(row, r) in rows" :key="r" role="row" class="line">
        <button
          v-for="cavity in row"
          :key="cavity.at.join()"
          class="plain place"
          role="gridcell"
          :data-at="cavity.at.join()"
          :style="{ gridColumn: cavity.at[0] + 1, gridRow: cavity.at[1] + 1 }"
          :tabindex="cavity === here ? 0 : -1"
          :aria-label="`${placeName(cavity.at)}: ${held(cavity)}`"
          @focus="at = cavity.at.join()"
          @click="touch(cavity)"
          @keydown="press($event, cavity)"
        >
          <span class="stripe" :style="stripe(cavity.terminal)"><i :style="tracer(cavity.terminal)" /></span>
          {{ held(cavity) }}
        </button>
      </div>
    </div>
    <TextField
      v-if="here"
      class="stamp"
      :label="`mark at ${placeName(here.at)}`"
      placeholder="3, where the part does not say which terminal it is"
      :model-value="here.mark ?? ''"
      @update:model-value="here && emit('stamp', here.at, $event)"
    />
  </div>
</template>

<style scoped>
.drawing {
  display: grid;
  gap: 10px;
}
.stamp {
  max-width: 560px;
}
.brushes {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.brush {
  min-height: 44px;
  padding: 0 12px;
  border: 1px dashed var(--muted);
}
.brush.placed {
  border-style: solid;
}
.brush.on {
  background: var(--tint);
  border: 2px solid var(--copper);
}
kbd {
  font: 500 15px var(--figures);
  border: 1px solid currentColor;
  padding: 1px 5px;
}
.places {
  display: grid;
  gap: 6px;
  padding: 12px;
  border: 2px solid var(--ink);
  justify-content: start;
  width: fit-content;
  max-width: 100%;
  overflow-x: auto;
}
.line {
  display: contents;
}
.place {
  display: grid;
  gap: 4px;
  min-height: 60px;
  padding: 6px;
  border: 1.5px solid var(--ink);
  background: var(--panel);
  text-align: center;
  align-content: start;
}
.stripe {
  display: block;
  height: 16px;
  position: relative;
  border: 0.75px solid var(--hairline);
}
.stripe i {
  position: absolute;
  inset: 5px 0;
}
</style>
