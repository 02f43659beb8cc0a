<script setup lang="ts">
import { computed } from 'vue'
import type { Mark } from '@sure-spool/contract'

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
      <path
        class="bracket"
        :stroke-dasharray="mark === 'none' ? '3 2.4' : undefined"
        d="M10 1.5H5.5v13H10M22 1.5h4.5v13H22"
      />
      <template v-if="mark === 'borderline'">
        <rect class="halo" :x="block.x - 1.5" y="2.5" :width="block.width + 3" height="11" />
        <rect class="block" :x="block.x" y="4" :width="block.width" height="8" />
        <path class="bracket over" :d="low ? 'M5.5 0v16' : 'M26.5 0v16'" />
      </template>
      <rect v-else-if="mark !== 'none'" class="block" :x="block.x" y="4" :width="block.width" height="8" />
    </template>
    <path v-else-if="mark === 'done'" class="tick" d="M7 8.5l5.5 5L25 2" />
    <path v-else-if="mark === 'flagged'" class="flag" d="M9 16V1h15l-4 4 4 4H9" />
    <path v-else class="tick skipped" d="M8 8h16" />
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
