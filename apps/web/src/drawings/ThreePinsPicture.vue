<script setup lang="ts">
import type { RunState } from '@sure-spool/core'
import { curveCatmullRom, line } from 'd3'
import { computed } from 'vue'
import { useFigures } from '../words/figures'
import { pinTriangle, type PinSide } from '../words/threePins'

/** Three pins as a triangle that fills up: a winding on its side, two in a row dashed, no path broken off; each pin by what it is. */
const props = defineProps<{ state: RunState; here?: [string, string] | undefined }>()
const figures = useFigures()
const triangle = computed(() => pinTriangle(props.state, props.here, figures))
const size = { width: 280, height: 190 }
const corners = [
  { x: 140, y: 34 },
  { x: 236, y: 150 },
  { x: 44, y: 150 },
] as const
const turns = 4
/** what tells a pin from the others has room in its circle: `pin C` is C */
const short = (label: string) => (label.length > 3 ? (label.split(' ').at(-1) ?? label) : label).slice(0, 3)
const places = computed(() => {
  const { pins, sides } = triangle.value ?? {}
  if (!pins || !sides) return undefined
  const at = (id: string) => corners[pins.findIndex((one) => one.id === id)] ?? corners[0]
  return {
    pins: pins.map((one) => ({ ...one, ...at(one.id) })),
    sides: sides.map((one) => {
      const [from, to] = [at(one.a), at(one.b)]
      const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }
      const out = { x: (middle.x - 140) * 0.8, y: (middle.y - 111) * 0.6 }
      return {
        ...one,
        d: drawn(one, from, to),
        text: { x: middle.x + out.x, y: middle.y + out.y + 6, words: one.text },
      }
    }),
  }
})

interface Place {
  x: number
  y: number
}
/** A wave between two pins where a winding lies, a straight line where not. */
function drawn({ kind }: PinSide, from: Place, to: Place): string {
  const along = (share: number, aside = 0): [number, number] => {
    const [dx, dy] = [to.x - from.x, to.y - from.y]
    const long = Math.hypot(dx, dy)
    return [from.x + dx * share - (dy / long) * aside, from.y + dy * share + (dx / long) * aside]
  }
  if (kind !== 'winding') return line()([along(0.16), along(0.84)]) ?? ''
  const wave = Array.from({ length: 4 * turns + 1 }, (_, i) =>
    along(0.25 + (0.5 * i) / (4 * turns), 7 * Math.sin((i * Math.PI) / 2)),
  )
  return line().curve(curveCatmullRom)([along(0.14), ...wave, along(0.86)]) ?? ''
}
</script>

<template>
  <svg
    v-if="triangle && places"
    class="three"
    :viewBox="`0 0 ${size.width} ${size.height}`"
    role="img"
    :aria-label="`Three pins: ${triangle.said}`"
  >
    <g v-for="one in places.sides" :key="`${one.a} ${one.b}`" :class="[one.kind, { here: one.here }]">
      <path :d="one.d" />
      <text :x="one.text.x" :y="one.text.y" text-anchor="middle">{{ one.text.words }}</text>
    </g>
    <g v-for="one in places.pins" :key="one.id" class="pin">
      <circle :cx="one.x" :cy="one.y" r="13" />
      <text :x="one.x" :y="one.y + 5" text-anchor="middle">{{ short(one.label) }}</text>
      <text class="role" :x="one.x" :y="one.y < 90 ? one.y - 18 : one.y + 30" text-anchor="middle">{{ one.role }}</text>
    </g>
  </svg>
</template>

<style scoped>
.three {
  width: 100%;
  max-width: 320px;
  height: 200px;
  min-height: 200px;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}
.winding path {
  stroke: var(--copper);
}
.sum path {
  stroke-dasharray: 7 5;
}
.open path {
  stroke-dasharray: 1 9;
  stroke-width: 4;
}
.unread path {
  stroke: var(--hairline);
}
.here path {
  stroke-width: 5;
}
circle {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 2;
}
text {
  font: 600 15px var(--figures);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--panel);
  stroke-width: 4px;
}
.unread text {
  fill: var(--muted);
  font-weight: 400;
}
.role {
  font: 600 14px var(--text);
}
</style>
