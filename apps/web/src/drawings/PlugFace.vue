<script setup lang="ts">
import type { Card, Plug } from '@sure-spool/core'
import { computed } from 'vue'
import { wirePaint } from '../look/wires'
import { cell, plugDrawing } from './plugDrawing'
import { heldWords } from './plugLayout'

/** A plug as it is held, the points to touch ringed and joined, the other windings faint. */
const props = withDefaults(
  defineProps<{
    card: Card
    plug: Plug
    ring?: string[]
    flipped?: boolean
    turns?: number
    print?: boolean
    touchable?: boolean
  }>(),
  {
    ring: () => [],
    turns: 0,
  },
)
const emit = defineEmits<{ touch: [terminal: string]; winding: [id: string] }>()
const windingName = (id: string) => props.card.windings.find((one) => one.id === id)?.label ?? ''
function touch(terminal: string | undefined): void {
  if (props.touchable && terminal !== undefined) emit('touch', terminal)
}
const drawing = computed(() => plugDrawing({ ...props, flipped: props.flipped === true }))
const bare = computed(() => drawing.value.shell === 'none')
const words = computed(() => {
  const { held, cells } = drawing.value
  return `${props.plug.label}: ${heldWords(held)}. ${cells.map(({ name }) => name).join(', ')}`
})
</script>

<template>
  <figure class="face" :class="{ print }">
    <svg
      :viewBox="`0 0 ${drawing.width} ${drawing.height}`"
      :style="{ maxWidth: `${drawing.width}px` }"
      role="img"
      :aria-label="words"
    >
      <rect v-if="drawing.shell === 'square'" class="shell" v-bind="drawing.box" rx="9" />
      <ellipse
        v-else-if="drawing.shell === 'round'"
        class="shell"
        :cx="drawing.box.x + drawing.box.width / 2"
        :cy="drawing.box.y + drawing.box.height / 2"
        :rx="drawing.box.width / 2"
        :ry="drawing.box.height / 2"
      />
      <template v-if="drawing.key">
        <path class="gap" :d="drawing.key.gap" />
        <path class="shell" :d="drawing.key.d" />
        <path v-if="drawing.key.kind === 'flat'" class="shell thick" :d="drawing.key.gap" />
      </template>
      <g v-for="one in drawing.faint" :key="one.id">
        <path class="faint" :d="one.d" />
        <!-- a line is thinner than a thumb -->
        <path v-if="touchable" class="reach touchable" :d="one.d" @click="emit('winding', one.id)">
          <title>{{ windingName(one.id) }}</title>
        </path>
      </g>
      <g
        v-for="one in drawing.cells"
        :key="one.id"
        class="cavity"
        :class="{ ringed: one.ringed, dim: ring.length > 0 && !one.ringed, touchable: touchable && one.terminal }"
        @click="touch(one.terminal?.id)"
      >
        <title>{{ one.name }}</title>
        <rect
          v-if="one.ringed"
          class="ring"
          :x="one.x - 7"
          :y="one.y - 7"
          :width="cell.width + 14"
          :height="cell.height + 14"
          rx="5"
        />
        <rect class="hole" :x="one.x" :y="one.y" :width="cell.width" :height="cell.height" :rx="bare ? 33 : 1" />
        <template v-if="one.terminal?.wire">
          <rect
            class="stripe"
            :x="one.x + 3"
            :y="one.y + 3"
            :width="cell.width - 6"
            height="20"
            :rx="bare ? 10 : 0"
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
        <template v-if="one.sign">
          <rect
            v-if="one.sign.kind === 'socket'"
            class="contact"
            :x="one.x + 33"
            :y="one.y + 33"
            width="20"
            height="20"
          />
          <circle v-if="one.sign.kind === 'plain'" class="contact" :cx="one.x + 43" :cy="one.y + 44" r="10" />
          <path v-else :class="one.sign.kind === 'pin' ? 'pin' : 'contact'" :d="one.sign.d" />
        </template>
        <text :x="one.x + cell.width / 2" :y="one.labelY" text-anchor="middle">{{ one.label }}</text>
      </g>
      <g v-if="drawing.frame" class="ground">
        <rect class="ring" :x="drawing.frame.x - 62" :y="drawing.frame.y - 4" width="124" height="40" rx="5" />
        <text :x="drawing.frame.x - 26" :y="drawing.frame.y + 22" text-anchor="middle">
          {{ drawing.frame.label }}
        </text>
        <path class="shell" :d="drawing.frame.d" />
      </g>
      <path v-if="drawing.join" class="join" :d="drawing.join" />
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
.touchable {
  cursor: pointer;
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
rect.shell,
ellipse.shell {
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
.contact {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.pin {
  fill: var(--ink);
}
.dim .contact {
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
.reach {
  fill: none;
  stroke: transparent;
  stroke-width: 16;
  pointer-events: stroke;
}
.print text {
  font-size: 17px;
}
</style>
