<script setup lang="ts">
import { computed } from 'vue'
import type { Mark } from '@sure-spool/contract'
import { bracket, outline, stroke } from './strokes'

/** The mark drawn from the ruler: a block inside brackets, across one, beyond them, or dashed brackets with none. */
const props = withDefaults(
  defineProps<{ mark: Mark; side?: 'high' | 'low' | 'other'; size?: number; label?: string }>(),
  {
    side: 'high',
    size: 16,
    label: '',
  },
)
const low = computed(() => props.side === 'low')
const block = computed(() => {
  if (props.mark === 'within') return { x: 12, width: 8 }
  if (props.mark === 'borderline') return { x: low.value ? 3.5 : 20.5, width: 8 }
  return { x: low.value ? -3 : 27, width: 8 }
})
const bracketed = computed(() => ['within', 'borderline', 'outside', 'none'].includes(props.mark))
const brackets = bracket(5.5, 8, 6.5, 4.5) + bracket(26.5, 8, 6.5, -4.5)
const crossed = computed(() => stroke([low.value ? 5.5 : 26.5, 0], [low.value ? 5.5 : 26.5, 16]))
const signs = {
  done: stroke([7, 8.5], [12.5, 13.5], [25, 2]),
  flagged: outline([9, 16], [9, 1], [24, 1], [20, 5], [24, 9], [9, 9]),
  skipped: stroke([8, 8], [24, 8]),
}
const words: Record<Mark, string> = {
  within: 'within',
  borderline: 'borderline',
  outside: 'outside',
  none: 'not judged',
  done: 'done',
  flagged: 'something seen',
  skipped: 'skipped',
}
</script>

<template>
  <svg
    class="mark"
    :class="`is-${mark}`"
    viewBox="-4 0 40 16"
    :height="size"
    :width="size * 2.5"
    role="img"
    :aria-label="label || words[mark]"
  >
    <template v-if="bracketed">
      <path class="bracket" :stroke-dasharray="mark === 'none' ? '3 2.4' : undefined" :d="brackets" />
      <template v-if="mark === 'borderline'">
        <rect class="halo" :x="block.x - 1.5" y="2.5" :width="block.width + 3" height="11" />
        <rect class="block" :x="block.x" y="4" :width="block.width" height="8" />
        <path class="bracket over" :d="crossed" />
      </template>
      <rect v-else-if="mark !== 'none'" class="block" :x="block.x" y="4" :width="block.width" height="8" />
    </template>
    <path v-else-if="mark === 'done'" class="tick" :d="signs.done" />
    <path v-else-if="mark === 'flagged'" class="flag" :d="signs.flagged" />
    <path v-else class="tick skipped" :d="signs.skipped" />
  </svg>
</template>

<style scoped>
.mark {
  flex: none;
  overflow: visible;
  color: var(--ink);
}
.is-within {
  color: var(--within);
}
.is-borderline {
  color: var(--borderline);
}
.is-outside {
  color: var(--outside);
}
.is-done {
  color: var(--within);
}
.is-flagged {
  color: var(--copper);
}
.is-skipped {
  color: var(--muted);
}
.bracket,
.tick {
  fill: none;
  stroke: currentColor;
  stroke-width: 2;
}
.bracket.over {
  stroke-width: 1.5;
  stroke: var(--paper);
}
.halo {
  fill: none;
}
.block,
.flag {
  fill: currentColor;
}
.flag {
  stroke: currentColor;
  stroke-width: 1.5;
}
</style>
