<script setup lang="ts">
import { freeId, colours, type Colour, type Terminal } from '@sure-spool/core'
import { computed, nextTick, ref } from 'vue'
import KeyButton from '../keys/KeyButton.vue'
import { setOptional, useEdit, useWriting, withoutTerminal } from './takeOff'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import TickField from '../fields/TickField.vue'

/** The electrical points: what a person calls them, and the colours of their wires. Enter in a name begins the next one. */
const { card, change } = useWriting()
const list = ref<HTMLElement>()
const shown = computed(() => card().terminals.filter(({ id }) => id !== 'frame'))
const framed = computed(() => card().terminals.some(({ id }) => id === 'frame'))
const wires = [{ value: '' as const, label: 'no wire' }, ...colours.map((value) => ({ value, label: value }))]
const tracers = [{ value: '' as const, label: 'no tracer' }, ...colours.map((value) => ({ value, label: value }))]
const kinds = [
  { value: '' as const, label: 'a terminal' },
  { value: 'shield' as const, label: 'a shield' },
  { value: 'ground-lead' as const, label: 'a lead to frame' },
  { value: 'joint' as const, label: 'a joint without a pin' },
]

async function add(): Promise<void> {
  change((one) => {
    const frame = one.terminals.findIndex(({ id }) => id === 'frame')
    const fresh: Terminal = { id: freeId('t', one.terminals), label: '', aliases: [] }
    one.terminals.splice(frame < 0 ? one.terminals.length : frame, 0, fresh)
  })
  await nextTick()
  const fields = list.value?.querySelectorAll<HTMLInputElement>('[data-name] input')
  fields?.[fields.length - 1]?.focus()
}
const edit = useEdit('terminals')

/** A colour typed as the name is the wire's colour too: `violet/white`. */
function setLabel(id: string, text: string): void {
  edit(
    id,
    (terminal) => {
      const [base, tracer] = text
        .toLowerCase()
        .split('/')
        .map((part) => part.trim())
      const known = (word: string | undefined): word is Colour => colours.includes(word as Colour)
      const followed = terminal.wire === undefined || spoken(terminal.wire) === terminal.label.toLowerCase()
      terminal.label = text
      if (!followed) return
      if (known(base) && (tracer === undefined || known(tracer)))
        terminal.wire = { base, ...(tracer ? { tracer } : {}) }
      else delete terminal.wire
    },
    'label',
  )
}
const spoken = ({ base, tracer }: NonNullable<Terminal['wire']>) => (tracer ? `${base}/${tracer}` : base)
const setWire = (id: string, base: Colour | '', tracer: Colour | '') =>
  edit(id, (terminal) => {
    if (base === '') delete terminal.wire
    else terminal.wire = { base, ...(tracer === '' ? {} : { tracer }) }
  })
const setAliases = (id: string, text: string) =>
  edit(
    id,
    (terminal) =>
      (terminal.aliases = text
        .split(';')
        .map((one) => one.trim())
        .filter((one) => one !== '')),
    'aliases',
  )
const setFrame = (has: boolean) =>
  change((one) => {
    if (has) one.terminals.push({ id: 'frame', label: 'frame', aliases: [] })
    else withoutTerminal(one, 'frame')
  })
</script>

<template>
  <div ref="list" class="rows">
    <div v-for="(terminal, i) in shown" :key="terminal.id" class="row terminal">
      <TextField
        data-name
        :label="`terminal ${i + 1}`"
        :model-value="terminal.label"
        placeholder="orange, 30, C …"
        @update:model-value="setLabel(terminal.id, $event)"
        @keydown.enter.prevent="add"
      />
      <PickField
        label="wire"
        :model-value="terminal.wire?.base ?? ''"
        :options="wires"
        @update:model-value="setWire(terminal.id, $event, terminal.wire?.tracer ?? '')"
      />
      <PickField
        label="tracer"
        :model-value="terminal.wire?.tracer ?? ''"
        :options="tracers"
        @update:model-value="setWire(terminal.id, terminal.wire?.base ?? 'white', $event)"
      />
      <TextField
        label="also called (a; b)"
        :model-value="terminal.aliases.join('; ')"
        @update:model-value="setAliases(terminal.id, $event)"
      />
      <PickField
        label="it is"
        :model-value="terminal.part ?? ''"
        :options="kinds"
        @update:model-value="edit(terminal.id, (one) => setOptional(one, 'part', $event || undefined))"
      />
      <KeyButton quiet label="take off" @press="change((one) => withoutTerminal(one, terminal.id))" />
    </div>
    <p class="adds">
      <KeyButton label="add a terminal" @press="add" />
      <TickField label="it has a frame, case or shell" :model-value="framed" @update:model-value="setFrame" />
    </p>
  </div>
</template>

<style scoped>
.terminal {
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 0.9fr) minmax(0, 0.9fr) minmax(0, 1.2fr) minmax(0, 1fr) auto;
}
</style>
