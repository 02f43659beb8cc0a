<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import ScreenKey from '../keys/ScreenKey.vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { afterPaint } from '../store/afterPaint'
import { useAfterPaint } from '../screen/useAfterPaint'
import { useBench } from '../store/bench'
import { slipOf, type Slip } from './tapeSlips'
import { useFigures } from '../words/figures'

/** The tape: everything in order, superseded readings struck with how. */
const bench = useBench()
useAfterPaint(() => bench.state)
const figures = useFigures()
const strip = ref<HTMLElement | null>(null)
const hidden = new Set(['take-back', 'caution'])

const slips = computed<Slip[]>(() => {
  const { state } = bench
  if (!state) return []
  return state.tape.entries.filter((entry) => !hidden.has(entry.kind)).map((entry) => slipOf(entry, bench, figures))
})

watch(
  () => slips.value.length,
  () => afterPaint(() => strip.value?.scrollTo({ left: strip.value.scrollWidth })),
  { immediate: true },
)
const counts = computed(() => {
  const all = slips.value.filter((one) => !one.struck)
  return (['within', 'borderline', 'outside', 'none'] as const).map((mark) => ({
    mark,
    count: all.filter((one) => one.mark === mark).length,
  }))
})
</script>

<template>
  <footer class="tape">
    <div class="head">
      <p class="strong">
        Tape
        <span class="counts"
          ><template v-for="one in counts" :key="one.mark"
            ><VerdictMark :mark="one.mark" :size="11" /><span class="n">{{ one.count }}</span></template
          ></span
        >
      </p>
      <ScreenKey quiet act="undo" />
    </div>
    <ol ref="strip" class="strip" tabindex="0" aria-label="Tape, oldest first">
      <li v-for="(slip, i) in slips" :key="slip.id" :class="{ last: i === slips.length - 1 }">
        <p class="what">{{ slip.head }}</p>
        <p class="fig">
          <VerdictMark v-if="slip.mark" :mark="slip.mark" :side="slip.side" :size="15" /><span
            class="n"
            :class="{ struck: slip.struck, long: slip.figure.length > 9 }"
            >{{ slip.figure }}<small v-if="slip.unit"> {{ slip.unit }}</small></span
          >
        </p>
        <p class="foot">{{ slip.foot }}</p>
      </li>
    </ol>
  </footer>
</template>

<style scoped>
.tape {
  contain: layout paint style;
  grid-area: tape;
  display: flex;
  border-top: 1px solid var(--ink);
  background: var(--panel);
  min-width: 0;
  height: 104px;
}
.head {
  flex: none;
  width: 236px;
  padding: 8px 12px 0 20px;
  border-right: 1px solid var(--hairline);
  display: grid;
  align-content: start;
}
.counts {
  display: inline-flex;
  gap: 3px;
  align-items: center;
  font-weight: 400;
  margin-left: 6px;
  font-size: 15px;
}
.strip {
  display: flex;
  overflow-x: auto;
  flex: 1;
  min-width: 0;
}
.strip li {
  flex: 0 0 auto;
  width: 180px;
  padding: 9px 14px;
  border-right: 1px dashed var(--hairline);
  min-width: 0;
}
.strip li.last {
  background: var(--tint);
}
.strip p {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.fig {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 31px;
}
.fig .n {
  font-size: 22px;
  font-weight: 600;
}
.fig .n {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}
.fig .long {
  font-size: 15px;
}
small {
  margin-left: 4px;
  font-size: 16px;
  font-weight: 400;
}
.foot {
  color: var(--muted);
  font-size: 15px;
}
</style>
