<script setup lang="ts">
import type { PlannedCoil } from '@sure-spool/core'
import { scaleLinear } from 'd3'
import { computed } from 'vue'
import { useFigures } from '../words/figures'

/** A coil cut across, drawn to scale: the core below, its layers over the traverse, as high as it builds. */
const props = defineProps<{ planned: PlannedCoil; traverseMm?: number; overallMm?: number; windowMm?: number }>()
const figures = useFigures()
const size = { width: 420, height: 150 }
const margin = 54
/** more of them would be a grey */
const mostDrawn = 14
const picture = computed(() => {
  const { buildMm } = props.planned
  const { traverseMm, windowMm = 0 } = props
  if (buildMm === undefined || traverseMm === undefined) return undefined
  const scale = Math.min((size.width - 2 * margin) / traverseMm, (size.height - 46) / Math.max(buildMm, windowMm))
  const across = scaleLinear(
    [0, traverseMm],
    [size.width / 2 - (traverseMm * scale) / 2, size.width / 2 + (traverseMm * scale) / 2],
  )
  const up = scaleLinear([0, buildMm], [size.height - 34, size.height - 34 - buildMm * scale])
  const layers = Math.max(1, Math.round(buildMm / Math.max(1e-6, props.overallMm ?? buildMm)))
  const drawn = Math.min(layers, mostDrawn)
  return {
    left: across(0),
    right: across(traverseMm),
    base: up(0),
    top: up(buildMm),
    lines: Array.from({ length: Math.max(0, drawn - 1) }, (_, i) => up((buildMm * (i + 1)) / drawn)),
    layers,
    ...(windowMm > 0 ? { window: up(windowMm), over: buildMm > windowMm } : {}),
  }
})
const words = computed(
  () =>
    `Cut across: ${props.planned.buildMm === undefined ? '' : `${figures.plain(props.planned.buildMm, 3)} mm high, `}mean turn ${figures.plain(props.planned.meanTurnMm, 4)} mm`,
)
</script>

<template>
  <svg v-if="picture" class="coil" :viewBox="`0 0 ${size.width} ${size.height}`" role="img" :aria-label="words">
    <rect
      class="wound"
      :x="picture.left"
      :y="picture.top"
      :width="picture.right - picture.left"
      :height="picture.base - picture.top"
    />
    <line v-for="y in picture.lines" :key="y" class="layer" :x1="picture.left" :x2="picture.right" :y1="y" :y2="y" />
    <path
      v-if="picture.window !== undefined"
      class="window"
      :class="{ over: picture.over }"
      :d="`M${picture.left} ${picture.base}V${picture.window}H${picture.right}V${picture.base}`"
    />
    <line class="core" :x1="picture.left - 16" :x2="picture.right + 16" :y1="picture.base" :y2="picture.base" />
    <text :x="(picture.left + picture.right) / 2" :y="size.height - 10" text-anchor="middle">
      {{ figures.plain(traverseMm ?? 0, 3) }} mm, about {{ picture.layers }} layers
    </text>
    <text :x="picture.right + 8" :y="(picture.top + picture.base) / 2 + 5">
      {{ figures.plain(planned.buildMm ?? 0, 3) }}
    </text>
  </svg>
</template>

<style scoped>
.coil {
  width: 100%;
  max-height: 170px;
}
.wound {
  fill: var(--tint);
  stroke: var(--copper);
  stroke-width: 1.5;
}
.layer {
  stroke: var(--copper);
  stroke-width: 0.75;
}
.window {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}
.window.over {
  stroke: var(--outside);
  stroke-width: 3;
}
.core {
  stroke: var(--ink);
  stroke-width: 4;
}
text {
  font: 400 15px var(--figures);
  fill: var(--ink);
}
</style>
