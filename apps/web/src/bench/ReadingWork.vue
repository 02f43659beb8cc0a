<script setup lang="ts">
import { sideOf } from '@sure-spool/core'
import { computed, ref } from 'vue'
import ReadingRuler from '../drawings/ReadingRuler.vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import type { Line } from '../reading/line'
import { useBench } from '../store/bench'
import { takenParts, useFigures } from '../words/figures'
import { besideWords, perLengthWords } from '../words/beside'
import { forecastWords } from '../words/forecast'
import { readingInstruction } from '../words/instruction'
import { movedIn } from '../words/lines'
import { takenAt } from '../words/points'
import { remarkWords } from '../words/remarks'
import CautionList from './CautionList.vue'
import FigureBox from './FigureBox.vue'
import { sumAim, ticksBeside } from './rulerTicks'
import StepCaps from './StepCaps.vue'
import TouchedPart from './TouchedPart.vue'
import { useShownReading } from './useShownReading'

/** A pair to touch: the part as it is held, the figure, its ruler and its reason; live while a number is typed. */
const props = defineProps<{ line: Line | null; problem: string; meter: string }>()
defineEmits<{ type: [text: string] }>()
const bench = useBench()
const figures = useFigures()
const part = ref<InstanceType<typeof TouchedPart>>()
defineExpose({ flip: () => part.value?.flip(), turn: () => part.value?.turn() })

const { shown, isOther, held, digits, unit, prefixName, verdictLine, doubtLine } = useShownReading(() => props.line)
const place = computed(() => (bench.run && shown.value ? takenAt(bench.run.card, shown.value, figures) : ''))
const caption = computed(() => {
  if (isOther.value) return `${place.value}, just read`
  if (props.line) return 'typing, Enter keeps'
  if (!bench.doing) return ''
  return bench.doing.mistyped ? 'what does the meter show?' : 'lift the probes, then touch again'
})
const instruction = computed(() =>
  bench.isLength
    ? 'Type how long it is, as 0.38 or 20.5 in: it is judged by its length.'
    : bench.run && bench.check
      ? readingInstruction(bench.run.card, bench.check, bench.meter, figures, bench.saidRpm)
      : '',
)
/** what the display should show, before the step is read */
const forecast = computed(() => {
  const told = bench.forecast
  const isRead = bench.current?.status === 'done' && told?.from !== 'own'
  return told && !isRead ? forecastWords(told, figures, told.resolution) : ''
})
/** what is worth a word before it is touched, and holds nothing */
const ahead = computed(() => {
  const card = bench.run?.card
  if (!card || props.line) return []
  return bench.setUp.filter((one) => one.severity !== 'stop').map((one) => remarkWords(one, card, figures))
})
const band = computed(() => (shown.value ?? bench).limit?.band ?? {})
const ticks = computed(() =>
  shown.value && bench.run && bench.state ? ticksBeside(shown.value, bench.run, bench.state) : [],
)
const besides = computed(() =>
  shown.value && bench.run && !isOther.value
    ? [...besideWords(bench.run, shown.value, figures), ...perLengthWords(shown.value, figures)]
    : [],
)
const aim = computed(() => shown.value && bench.state && sumAim(shown.value, bench.state, figures))
const spoken = computed(() => {
  if (props.line || !shown.value) return ''
  const taken = takenParts(shown.value, figures)
  return [`${place.value} ${taken.digits} ${taken.unit}`, taken.moves, verdictLine.value].filter(Boolean).join(', ')
})
</script>

<template>
  <div class="reading-work">
    <div class="how">
      <p class="instruction">
        <strong v-if="meter" aria-hidden="true">{{ meter }}.</strong> {{ instruction }}
      </p>
      <StepCaps points :beside="bench.limit === undefined || bench.limit.grade === 'guess'" />
    </div>
    <p v-if="forecast" class="forecast">{{ forecast }}</p>
    <p v-for="{ what, todo } in ahead" :key="what" class="ahead" role="note">{{ what }} {{ todo }}</p>
    <CautionList :cautions="bench.current?.step.cautions ?? []" />
    <div class="middle">
      <TouchedPart ref="part" />
      <div class="figure-side">
        <p v-if="caption" class="caption">{{ caption }}</p>
        <FigureBox
          label="Type the reading"
          :digits="digits"
          :unit="unit"
          :typed="line?.text ?? null"
          :prefix="prefixName"
          :other="isOther"
          @type="$emit('type', $event)"
        />
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <template v-else-if="shown">
          <p class="verdict">
            <VerdictMark :mark="held ? 'none' : shown.verdict" :side="sideOf(shown)" :size="19" /><span
              data-testid="verdict"
              >{{ verdictLine }}</span
            >
          </p>
          <p class="muted">{{ doubtLine }}</p>
          <p v-for="one in besides" :key="one" class="muted">{{ one }}</p>
        </template>
      </div>
    </div>
    <ReadingRuler
      v-if="band.min !== undefined || band.max !== undefined || (shown && movedIn(shown.entry.reading))"
      :value="shown?.judged ?? shown?.net"
      :u="shown?.u ?? shown?.netU"
      :bound="shown?.bound"
      :min="band.min"
      :max="band.max"
      :quantity="shown?.quantity ?? bench.quantity"
      :verdict="shown?.verdict"
      :held="held || line !== null"
      :ticks="ticks"
      :aim="aim"
      :moved="shown && movedIn(shown.entry.reading)"
    />
    <p class="unseen" aria-live="polite">{{ spoken }}</p>
  </div>
</template>

<style scoped>
.reading-work {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
  flex: 1;
}
.how {
  display: flex;
  justify-content: space-between;
  align-items: center;
  flex-wrap: wrap;
  gap: 0 16px;
}
/* beside the keys where there is room for words, above them where there is none */
.how .instruction {
  flex: 1 1 17ch;
}
.instruction {
  font-size: 18px;
  line-height: 1.25;
}
.forecast {
  font-size: 18px;
}
.ahead {
  color: var(--borderline);
  font-weight: 600;
}
.middle {
  flex: 0 1 auto;
  min-height: 190px;
  display: grid;
  grid-template-columns: minmax(240px, 44%) minmax(0, 1fr);
  gap: 24px;
  grid-template-rows: minmax(0, 1fr);
  align-items: start;
}
.figure-side {
  min-width: 0;
  display: grid;
  gap: 6px;
  align-content: start;
}
.figure-side:first-child {
  grid-column: 1 / -1;
}
.caption {
  color: var(--muted);
  min-height: 22px;
}
.verdict {
  display: flex;
  gap: 12px;
  align-items: center;
  font-size: 18px;
  font-weight: 600;
  line-height: 1.25;
}
.problem {
  color: var(--outside);
  font-weight: 650;
  font-size: 18px;
}
@media (max-width: 900px) {
  .middle {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
