<script setup lang="ts">
import type { Card, Plug } from '@sure-spool/core'
import { computed, nextTick, ref } from 'vue'
import { wirePaint } from '../look/wires'
import { terminalLabel, terminalOf } from '../words/points'

/**
 * The places of a plug as a grid: arrows move, a terminal's digit puts it in, Space takes the next one, Delete empties. With a
 * pointer: choose a terminal, then touch its place.
 */
const props = defineProps<{ card: Card; plug: Plug }>()
const emit = defineEmits<{ put: [at: [number, number], terminal: string | null] }>()
const grid = ref<HTMLElement>()
const brush = ref<string | null>(null)
const at = ref(0)
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

function move(to: number): void {
  if (to < 0 || to >= props.plug.cavities.length) return
  at.value = to
  void nextTick(() => grid.value?.querySelectorAll<HTMLElement>('button')[to]?.focus())
}
function press(event: KeyboardEvent, i: number): void {
  const cavity = props.plug.cavities[i]
  if (!cavity || event.ctrlKey || event.metaKey || event.altKey) return
  const steps: Record<string, number> = {
    ArrowLeft: -1,
    ArrowRight: 1,
    ArrowUp: -columns.value,
    ArrowDown: columns.value,
  }
  const step = steps[event.key]
  const digit = /^[1-9]$/.test(event.key) ? terminals.value[Number(event.key) - 1] : undefined
  if (step !== undefined) move(i + step)
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
const touch = (i: number) => {
  const cavity = props.plug.cavities[i]
  at.value = i
  if (cavity && brush.value !== null) emit('put', cavity.at, brush.value === cavity.terminal ? null : brush.value)
}
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
      <button
        v-for="(cavity, i) in plug.cavities"
        :key="cavity.at.join()"
        class="plain place"
        role="gridcell"
        :tabindex="i === at ? 0 : -1"
        :aria-label="`column ${cavity.at[0] + 1}, row ${cavity.at[1] + 1}: ${cavity.terminal === null ? 'empty' : terminalLabel(card, cavity.terminal)}`"
        @focus="at = i"
        @click="touch(i)"
        @keydown="press($event, i)"
      >
        <span class="stripe" :style="stripe(cavity.terminal)"><i :style="tracer(cavity.terminal)" /></span>
        {{ cavity.terminal === null ? 'empty' : terminalLabel(card, cavity.terminal) }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.drawing {
  display: grid;
  gap: 10px;
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
