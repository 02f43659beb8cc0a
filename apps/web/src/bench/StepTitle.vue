<script setup lang="ts">
import type { Card, Step } from '@sure-spool/core'
import { computed } from 'vue'
import { wirePaint } from '../look/wires'
import { capital } from '../words/capital'
import { useFigures } from '../words/figures'
import { plusOn } from '../words/plusOn'
import { placeLabel, terminalOf } from '../words/points'
import { titleLead, type Again } from '../words/title'

/** What to do now, biggest on the screen: the quantity, the points; heard with it, what reads it. The wires named are underlined in their
 *  colours. */
const props = defineProps<{
  step: Step
  card: Card
  again: Again
  meter?: string
  level?: 1 | 2
  /** its length is asked, not its ohms */
  byLength?: boolean
}>()
const figures = useFigures()
const pair = computed(() =>
  props.step.kind === 'reading'
    ? (props.step.point.pair ?? []).map((id) => ({ id, terminal: terminalOf(props.card, id) }))
    : [],
)
const check = computed(() =>
  'check' in props.step
    ? props.card.checks.find((one) => one.id === (props.step as { check?: string }).check)
    : undefined,
)
const lead = computed(() =>
  props.step.kind === 'reading' && props.byLength
    ? 'Length:'
    : props.step.kind === 'reading' && check.value
      ? `${titleLead(check.value, props.step.point, props.again, figures, plusOn(props.card, props.step.point))}:`
      : '',
)
/** a step without a pair, or with more to it, is named by its check */
const place = computed(() => {
  if (props.step.kind !== 'reading') return ''
  const { pair: own, index, x } = props.step.point
  return own && index === undefined && x === undefined
    ? ''
    : placeLabel(props.card, props.step.check, props.step.point, figures)
})
/** the signs in the title: two long wire names stay on one line, and very long ones are read whole all the same */
const length = computed(
  () =>
    lead.value.length +
    (place.value === ''
      ? pair.value.reduce((sum, one) => sum + (one.terminal?.label ?? one.id).length, 0)
      : place.value.length),
)
const plain = computed<Partial<Record<Step['kind'], string>>>(() => ({
  look: 'Look at the part',
  isolate: 'Make it safe',
  temperature: 'How warm is it?',
  leads: 'Touch the tips together',
  'frame-proof': `Touch both tips to bare ${terminalOf(props.card, 'frame')?.label ?? 'frame'}`,
  supply: 'Switch it on',
  finding: 'What was found',
}))
</script>

<template>
  <component
    :is="`h${level ?? 1}`"
    class="title"
    :class="{ long: length > 26, longest: length > 60 }"
    aria-live="polite"
  >
    <template v-if="place !== ''">{{ lead }} {{ place }}</template>
    <template v-else-if="step.kind === 'reading'">
      {{ lead }}
      <template v-for="({ id, terminal }, i) in pair" :key="id">
        <template v-if="i === 1"> and </template>
        <span
          class="wire"
          :class="{ bare: !terminal?.wire }"
          :style="
            terminal?.wire
              ? {
                  '--wire': wirePaint[terminal.wire.base],
                  '--tracer': wirePaint[terminal.wire.tracer ?? terminal.wire.base],
                }
              : {}
          "
          >{{ terminal?.label ?? id }}</span
        >
      </template>
    </template>
    <template v-else>{{ step.kind === 'answer' ? capital(check?.label ?? '') : plain[step.kind] }}</template><span
      v-if="meter"
      class="unseen"
      >, {{ meter }}</span
    >
  </component>
</template>

<style scoped>
.title {
  font-size: 42px;
}
.wire {
  position: relative;
  display: inline-block;
  white-space: nowrap;
  padding-bottom: 13px;
}
.wire::after {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  bottom: 1px;
  height: 9px;
  border: 1px solid var(--wire-edge);
  background: var(--tracer);
  box-shadow: inset 0 0 0 2.5px var(--wire);
}
.wire.bare::after {
  background: none;
  border-width: 0 0 2px;
}
.title.long {
  font-size: 34px;
}
.title.longest {
  font-size: 28px;
}
.longest .wire {
  display: inline;
  white-space: normal;
  text-decoration: underline;
  text-decoration-color: var(--wire);
  text-decoration-thickness: 4px;
}
.longest .wire::after {
  display: none;
}
@media (max-width: 1100px) {
  .title:not(.longest) {
    font-size: 34px;
  }
  .title.long:not(.longest) {
    font-size: 28px;
  }
}
@media (max-width: 900px) {
  .title:not(.long, .longest) {
    font-size: 40px;
  }
}
</style>
