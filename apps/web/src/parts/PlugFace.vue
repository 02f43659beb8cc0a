<script setup lang="ts">
import type { Card, Plug } from '@sure-spool/core'
import { computed } from 'vue'
import { wirePaint } from '../look/wires'
import { terminalLabel, terminalOf } from '../words/points'
import { holdPlug, heldWords } from './plugLayout'

/** A plug as it is held, the points to touch ringed and joined, the other windings faint. */
const props = withDefaults(
  defineProps<{ card: Card; plug: Plug; ring?: string[]; flipped?: boolean; turns?: number; print?: boolean }>(),
  {
    ring: () => [],
    turns: 0,
  },
)
const held = computed(() => holdPlug(props.plug, props.flipped === true, props.turns))
const loose = computed(() => ['lugs', 'posts', 'loose-wires', 'blades'].includes(props.plug.shape))
const cell = { width: 86, height: 66, gap: 16 }
const labelRoom = computed(() => (keyOut('top') ? 40 : 28))
const keyOut = (side: string) =>
  held.value.key.side === side && ['latch', 'tab'].includes(held.value.key.kind) && !loose.value ? 11 : 0
const edge = 16
const framed = computed(() => props.ring.includes('frame'))
const inner = computed(() => ({
  width: held.value.columns * (cell.width + cell.gap) - cell.gap,
  height: held.value.rows * (cell.height + cell.gap) - cell.gap,
}))
const box = computed(() => ({
  x: edge,
  y: labelRoom.value,
  width: inner.value.width + 2 * edge,
  height: inner.value.height + 2 * edge,
}))
const middleRows = computed(() => held.value.rows > 2)
const cells = computed(() =>
  held.value.cells.map((one) => {
    const x = box.value.x + edge + one.column * (cell.width + cell.gap)
    const y = box.value.y + edge + one.row * (cell.height + cell.gap)
    const terminal = one.terminal === null ? undefined : terminalOf(props.card, one.terminal)
    const label = one.terminal === null ? 'empty' : terminalLabel(props.card, one.terminal)
    const below = held.value.rows === 1 ? one.column % 2 === 1 && label.length > 9 : one.row > 0
    return {
      id: one.terminal ?? `${one.column}-${one.row}`,
      terminal,
      x,
      y,
      label,
      gender: one.gender,
      empty: one.terminal === null,
      ringed: one.terminal !== null && props.ring.includes(one.terminal),
      labelY: middleRows.value
        ? y + (terminal?.wire ? cell.height - 6 : cell.height / 2 + 6)
        : below
          ? box.value.y + box.value.height + 20 + keyOut('bottom')
          : box.value.y - 9 - keyOut('top'),
    }
  }),
)
const centre = (id: string) => {
  const found = cells.value.find((one) => one.terminal?.id === id)
  return found ? { x: found.x + cell.width / 2, y: found.y + cell.height } : undefined
}
const frameAt = computed(() => ({
  x: box.value.x + box.value.width / 2,
  y: box.value.y + box.value.height + (held.value.rows > 1 ? 40 : 30),
}))
const height = computed(
  () =>
    box.value.y +
    box.value.height +
    (framed.value
      ? 92
      : held.value.rows > 1 || cells.value.some((one) => one.labelY > box.value.y + box.value.height)
        ? 28
        : 14),
)
const width = computed(() => box.value.width + 2 * edge)
const join = computed(() => {
  const [a, b] = props.ring.map(centre)
  if (a && b) return `M${a.x} ${a.y + 6}v9H${b.x}V${b.y + 6}`
  const one = a ?? b
  return one && framed.value ? `M${one.x} ${one.y + 6}V${frameAt.value.y - 2}H${frameAt.value.x}` : undefined
})
const faint = computed(() =>
  props.card.windings.flatMap(({ id, from, to }) => {
    if (props.ring.includes(from) && props.ring.includes(to)) return []
    const [a, b] = [centre(from), centre(to)]
    return a && b
      ? [{ id, path: `M${a.x} ${a.y}V${Math.max(a.y, b.y) === a.y ? a.y + 7 : a.y + 7}H${b.x}V${b.y}` }]
      : []
  }),
)
const keyPath = computed(() => {
  const { x, y, width: w, height: h } = box.value
  const { kind, side } = held.value.key
  if (kind === 'none' || loose.value) return undefined
  const size =
    kind === 'flat' ? (side === 'top' || side === 'bottom' ? w * 0.72 : h * 0.72) : kind === 'latch' ? 44 : 30
  const depth = kind === 'notch' ? -11 : kind === 'flat' ? 0 : 10
  const across = side === 'top' || side === 'bottom'
  const start = across ? x + w / 2 - size / 2 : y + h / 2 - size / 2
  const base = { top: y, bottom: y + h, left: x, right: x + w }[side]
  const out = side === 'top' || side === 'left' ? -depth : depth
  return {
    path: across ? `M${start} ${base}v${out}h${size}v${-out}` : `M${base} ${start}h${out}v${size}h${-out}`,
    gap: across ? `M${start} ${base}h${size}` : `M${base} ${start}v${size}`,
    kind,
  }
})
const words = computed(
  () => `${props.plug.label}: ${heldWords(held.value)}. ${cells.value.map((one) => one.label).join(', ')}`,
)
</script>

<template>
  <figure class="face" :class="{ print }">
    <svg :viewBox="`0 0 ${width} ${height}`" :style="{ maxWidth: `${width}px` }" role="img" :aria-label="words">
      <rect v-if="!loose" class="shell" :x="box.x" :y="box.y" :width="box.width" :height="box.height" rx="9" />
      <template v-if="keyPath">
        <path class="gap" :d="keyPath.gap" />
        <path class="shell" :d="keyPath.path" />
        <path v-if="keyPath.kind === 'flat'" class="shell thick" :d="keyPath.gap" />
      </template>
      <path v-for="one in faint" :key="one.id" class="faint" :d="one.path" />
      <g
        v-for="one in cells"
        :key="one.id"
        class="cavity"
        :class="{ ringed: one.ringed, dim: ring.length > 0 && !one.ringed }"
      >
        <rect
          v-if="one.ringed"
          class="ring"
          :x="one.x - 7"
          :y="one.y - 7"
          :width="cell.width + 14"
          :height="cell.height + 14"
          rx="5"
        />
        <rect class="hole" :x="one.x" :y="one.y" :width="cell.width" :height="cell.height" :rx="loose ? 33 : 1" />
        <template v-if="one.terminal?.wire">
          <rect
            class="stripe"
            :x="one.x + 3"
            :y="one.y + 3"
            :width="cell.width - 6"
            height="20"
            :rx="loose ? 10 : 0"
            :fill="print ? 'none' : wirePaint[one.terminal.wire.base]"
          />
          <rect
            v-if="one.terminal.wire.tracer"
            class="tracer"
            :x="one.x + 3"
            :y="one.y + 10"
            :width="cell.width - 6"
            height="6"
            :fill="print ? '#fff' : wirePaint[one.terminal.wire.tracer]"
          />
        </template>
        <template v-if="one.empty">
          <path class="cross" :d="`M${one.x + 33} ${one.y + 23}l20 20m0 -20l-20 20`" />
        </template>
        <template v-else-if="one.gender === 'female'">
          <rect class="contact" :x="one.x + 33" :y="one.y + 33" width="20" height="20" />
          <path class="contact" :d="`M${one.x + 38} ${one.y + 43}h10`" />
        </template>
        <template v-else-if="one.gender === 'male'">
          <path class="pin" :d="`M${one.x + 36} ${one.y + 53}v-14l7 -6l7 6v14z`" />
        </template>
        <circle v-else-if="!middleRows" class="contact" :cx="one.x + 43" :cy="one.y + 44" r="10" />
        <text :x="one.x + cell.width / 2" :y="one.labelY" text-anchor="middle">{{ one.label }}</text>
      </g>
      <g v-if="framed" class="ground">
        <rect class="ring" :x="frameAt.x - 62" :y="frameAt.y - 4" width="124" height="40" rx="5" />
        <text :x="frameAt.x - 26" :y="frameAt.y + 22" text-anchor="middle">{{ terminalLabel(card, 'frame') }}</text>
        <path
          class="shell"
          :d="`M${frameAt.x + 12} ${frameAt.y + 12}h40m-34 0l-8 10m18 -10l-8 10m18 -10l-8 10m18 -10l-8 10`"
        />
      </g>
      <path v-if="join" class="join" :d="join" />
    </svg>
  </figure>
</template>

<style scoped>
.face {
  min-width: 0;
}
svg {
  width: 100%;
  height: auto;
  display: block;
}
text {
  font: 400 18px var(--text);
  fill: var(--ink);
}
.ringed text {
  font-weight: 700;
}
.dim text {
  fill: var(--muted);
}
.shell {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
rect.shell {
  fill: var(--panel);
}
.thick {
  stroke-width: 5;
}
.gap {
  stroke: var(--paper);
  stroke-width: 4;
}
.hole {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.ringed .hole {
  stroke-width: 2.5;
}
.dim .hole {
  stroke: var(--muted);
}
.stripe,
.tracer {
  stroke: var(--wire-edge);
  stroke-width: 0.75;
}
.contact,
.cross {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.pin {
  fill: var(--ink);
}
.dim .contact,
.dim .cross {
  stroke: var(--muted);
  stroke-width: 1.5;
}
.dim .pin {
  fill: var(--muted);
}
.ring,
.join {
  fill: none;
  stroke: var(--copper);
  stroke-width: 5;
}
.faint {
  fill: none;
  stroke: var(--muted);
  stroke-width: 1;
  stroke-dasharray: 3 3;
}
.print text {
  font-size: 17px;
}
</style>
