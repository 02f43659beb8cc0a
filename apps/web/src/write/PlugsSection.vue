<script setup lang="ts">
import { freeId, type Plug, type PlugShape, type Side } from '@sure-spool/core'
import { ref } from 'vue'
import KeyButton from '../keys/KeyButton.vue'
import { putInto, setContacts, stamp } from './cavities'
import { setOptional, useEdit, useWriting } from './takeOff'
import PickField from '../fields/PickField.vue'
import OnlyFor from './OnlyFor.vue'
import PlugAsk from './PlugAsk.vue'
import PlugGrid from './PlugGrid.vue'
import CountField from '../fields/CountField.vue'
import TextField from '../fields/TextField.vue'

/** The plugs, drawn as one goes: shape, key, and which terminal sits where. */
const { card, change } = useWriting()
const asked = ref('')
const options = <T extends string>(...values: T[]) => values.map((value) => ({ value, label: value.replace('-', ' ') }))
const shapes = options<PlugShape>(
  'grid',
  'row',
  'triangle',
  'circle',
  'posts',
  'blades',
  'lugs',
  'sockets',
  'loose-wires',
  'bars',
)
const keys = options<Plug['key']['kind']>('latch', 'tab', 'notch', 'flat', 'none')
const sides = options<Side>('top', 'right', 'bottom', 'left')
const seen = options<Plug['drawnFrom']>('wire side', 'mating side', 'outside')
const contacts = [
  { value: '' as const, label: 'not said' },
  { value: 'female' as const, label: 'sockets' },
  { value: 'male' as const, label: 'pins' },
]
const edit = useEdit('plugs')

const sizeOf = ({ size }: Plug) =>
  'count' in size ? { columns: size.count, rows: 1 } : { columns: size.columns, rows: size.rows }

/** Cavities in every place of the size; what stood in a place that stays, stays. */
function resize(plug: Plug, columns: number, rows: number): void {
  const before = new Map(plug.cavities.map((cavity) => [cavity.at.join(), cavity]))
  plug.size = rows === 1 && plug.shape !== 'grid' ? { count: columns } : { columns, rows }
  plug.cavities = Array.from({ length: columns * rows }, (_, i) => {
    const at: [number, number] = [i % columns, Math.floor(i / columns)]
    return before.get(at.join()) ?? { at, terminal: null }
  })
}
const setSize = (id: string, which: 'columns' | 'rows', value: number) =>
  edit(id, (plug) => {
    const size = { ...sizeOf(plug), [which]: value }
    resize(plug, size.columns, size.rows)
  })
const setShape = (id: string, shape: PlugShape | '') =>
  shape !== '' &&
  edit(id, (plug) => {
    plug.shape = shape
    const { columns, rows } = sizeOf(plug)
    resize(plug, columns, rows)
  })

/** A new plug has as many places as there are terminals, and holds them in order: most often that is nearly right. */
function add(): void {
  change((one) => {
    const terminals = one.terminals.filter(({ id, part }) => id !== 'frame' && part !== 'joint')
    const columns = Math.max(1, terminals.length)
    one.plugs.push({
      id: freeId('p', one.plugs),
      label: one.plugs.length === 0 ? 'the plug' : `plug ${one.plugs.length + 1}`,
      shape: 'row',
      size: { count: columns },
      key: { kind: 'none', side: 'top' },
      drawnFrom: 'wire side',
      cavities: Array.from({ length: columns }, (_, i) => ({ at: [i, 0], terminal: terminals[i]?.id ?? null })),
    })
  })
}
</script>

<template>
  <div class="rows">
    <article v-for="plug in card().plugs" :key="plug.id" class="row plug">
      <div class="fields">
        <TextField
          label="plug"
          :model-value="plug.label"
          @update:model-value="edit(plug.id, (one) => (one.label = $event), 'label')"
        />
        <PickField
          label="shape"
          :model-value="plug.shape"
          :options="shapes"
          @update:model-value="setShape(plug.id, $event)"
        />
        <CountField
          v-for="which in ['columns', 'rows'] as const"
          :key="which"
          :label="which"
          :min="1"
          :max="40"
          :model-value="sizeOf(plug)[which]"
          @update:model-value="setSize(plug.id, which, $event ?? 1)"
        />
        <PickField
          label="key"
          :model-value="plug.key.kind"
          :options="keys"
          @update:model-value="edit(plug.id, (one) => (one.key.kind = ($event || 'none') as Plug['key']['kind']))"
        />
        <PickField
          label="key at"
          :model-value="plug.key.side"
          :options="sides"
          @update:model-value="edit(plug.id, (one) => (one.key.side = ($event || 'top') as Side))"
        />
        <PickField
          label="seen from"
          :model-value="plug.drawnFrom"
          :options="seen"
          @update:model-value="edit(plug.id, (one) => (one.drawnFrom = ($event || 'wire side') as Plug['drawnFrom']))"
        />
        <PickField
          label="contacts"
          :model-value="plug.cavities.find((one) => one.gender)?.gender ?? ''"
          :options="contacts"
          @update:model-value="edit(plug.id, (one) => setContacts(one, $event || undefined))"
        />
        <TextField
          class="wide"
          label="what one needs to reach it, if anything"
          placeholder="2 mm plug pin: the sockets are shrouded"
          :model-value="plug.adaptor ?? ''"
          @update:model-value="edit(plug.id, (one) => setOptional(one, 'adaptor', $event), 'adaptor')"
        />
      </div>
      <PlugGrid
        :card="card()"
        :plug="plug"
        @put="(at, terminal) => edit(plug.id, (one) => putInto(one, at, terminal))"
        @stamp="(at, mark) => edit(plug.id, (one) => stamp(one, at, mark), `mark ${at.join()}`)"
      />
      <p class="adds">
        <OnlyFor :only="plug.only" @set="(only) => edit(plug.id, (one) => setOptional(one, 'only', only))" />
        <KeyButton label="check it against the plug in hand" @press="asked = asked === plug.id ? '' : plug.id" />
        <KeyButton
          quiet
          label="take off"
          @press="change((one) => (one.plugs = one.plugs.filter(({ id }) => id !== plug.id)))"
        />
      </p>
      <PlugAsk v-if="asked === plug.id" :card="card()" :plug="plug" @done="asked = ''" />
    </article>
    <p class="adds"><KeyButton label="add a plug" @press="add" /></p>
  </div>
</template>

<style scoped>
.plug {
  grid-template-columns: minmax(0, 1fr);
}
.plug .fields {
  grid-template-columns: repeat(4, minmax(0, 1fr));
}
</style>
