<script setup lang="ts">
import { isolations, lookIds, type Isolation, type LookId } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import KeyButton from '../parts/KeyButton.vue'
import { useBench } from '../store/bench'
import { useShop } from '../store/shop'
import { isolationWords, lookWords } from '../words/kinds'
import { keptText, type Line } from './line'

/** The steps that are not a reading: looks, isolation, temperature, leads, the frame contact, what was seen. */
defineProps<{ line: Line | null; problem: string; asleep: boolean }>()
const emit = defineEmits<{ type: [text: string] }>()
const bench = useBench()
const shop = useShop()
const step = computed(() => bench.current?.step)
const seen = ref<LookId[]>([])
const words = ref('')
const offered = lookIds.filter((one) => one !== 'sound').slice(0, 10)
watch(
  () => bench.stepId,
  () => {
    seen.value = []
    words.value = ''
  },
)
const answers = computed(() => {
  const limit = bench.check?.stated[0]?.limit
  return limit && limit !== 'derived' && limit.kind === 'answer' ? limit.of : []
})

function keepLook(): void {
  if (step.value?.kind !== 'look') return
  const { check, place } = step.value
  bench.add({
    kind: 'look',
    place,
    what: seen.value.length > 0 ? [...seen.value] : ['sound'],
    ...(check === undefined ? {} : { check }),
    ...(words.value.trim() === '' ? {} : { words: words.value.trim() }),
  })
}

function isolate(state: Isolation): void {
  for (const caution of step.value?.cautions ?? []) bench.add({ kind: 'caution', caution })
  bench.add({ kind: 'isolation', state })
}

function answer(text: string): void {
  if (step.value?.kind !== 'answer') return
  bench.add({
    kind: 'reading',
    check: step.value.check,
    reading: { taken: 'typed', text, decimalComma: shop.settings.decimalComma, kind: 'answer', answer: text },
  })
}

function toggle(what: LookId): void {
  seen.value = seen.value.includes(what) ? seen.value.filter((one) => one !== what) : [...seen.value, what]
}

/** A key for this step; says whether it was used. */
function press(key: string): boolean {
  const kind = step.value?.kind
  const letter = 'abcd'.indexOf(key)
  if (kind === 'look') {
    const what = /^\d$/.test(key) ? offered[(Number(key) + 9) % 10] : undefined
    if (what) toggle(what)
    else if (key === 'Enter') keepLook()
    else return false
    return true
  }
  if (letter < 0) return false
  const isolation = isolations[letter]
  const said = answers.value[letter]
  if (kind === 'isolate' && isolation) isolate(isolation)
  else if (kind === 'temperature' && letter < 2) bench.temperatureFrom = letter === 0 ? 'room' : 'measured'
  else if (kind === 'leads' && letter < 2) bench.zeroHow = letter === 0 ? 'hardware' : 'subtract'
  else if (kind === 'supply' && letter < 2) bench.supplyWhile = letter === 0 ? 'on' : 'off'
  else if (kind === 'answer' && said !== undefined) answer(said)
  else return false
  return true
}
defineExpose({ press })
const unit = computed(() =>
  step.value?.kind === 'temperature' ? shop.units.temperature : step.value?.kind === 'supply' ? 'V' : 'Ω',
)
const isTyped = computed(() => ['temperature', 'leads', 'frame-proof', 'supply'].includes(step.value?.kind ?? ''))
const instruction = computed(() => {
  switch (step.value?.kind) {
    case 'look':
      return `Burnt, cracked or chafed: ${step.value.place}.`
    case 'isolate':
      return bench.run?.card.care.isolate.join(' ') ?? ''
    case 'temperature':
      return 'Type what the thermometer shows. The part has the room’s temperature only if it has lain here for hours.'
    case 'leads':
      return `Type what ${bench.meter?.name ?? 'the meter'} shows with the tips together${bench.zeroHow === 'hardware' ? ', then zero it' : ''}.`
    case 'supply':
      return `Current limited, and never on pins that are not known by ohms. Type the volts at the part ${bench.supplyWhile === 'on' ? 'while it draws' : 'before it draws'}.`
    case 'frame-proof':
      return 'Two places on the same bare metal. Type what it shows: paint and oxide read open too.'
    default:
      return bench.check?.how?.note ?? ''
  }
})
</script>

<template>
  <div class="plain-work">
    <p class="instruction">{{ instruction }}</p>
    <slot name="cautions" :cautions="step?.cautions ?? []" />
    <template v-if="step?.kind === 'look'">
      <div class="choices">
        <KeyButton
          v-for="(what, i) in offered"
          :key="what"
          :cap="String((i + 1) % 10)"
          :label="lookWords[what]"
          :main="seen.includes(what)"
          :aria-pressed="seen.includes(what)"
          @press="toggle(what)"
        />
      </div>
      <p class="words">
        <label for="look-words">where and what, if anything</label
        ><input id="look-words" v-model="words" class="field" maxlength="2000" @keydown.enter.prevent="keepLook" />
      </p>
      <KeyButton
        main
        cap="Enter"
        :label="seen.length === 0 ? 'nothing to be seen' : `keep: ${seen.map((one) => lookWords[one]).join(', ')}`"
        :asleep="asleep"
        @press="keepLook"
      />
    </template>
    <div v-else-if="step?.kind === 'isolate'" class="choices two">
      <KeyButton
        v-for="(state, i) in isolations"
        :key="state"
        :main="i === 0"
        :cap="'abcd'[i]"
        :label="isolationWords[state]"
        :hint="i < 2 ? 'cautions read' : 'ohms will be held until it is said why'"
        @press="isolate(state)"
      />
    </div>
    <div v-else-if="step?.kind === 'answer'" class="choices two">
      <KeyButton v-for="(said, i) in answers" :key="said" :cap="'abcdefgh'[i]" :label="said" @press="answer(said)" />
    </div>
    <template v-if="isTyped">
      <div v-if="step?.kind === 'temperature'" class="choices two">
        <KeyButton
          cap="a"
          label="the room’s"
          :hint="`good to ±${shop.units.temperature === '°C' ? '5' : '9'} ${shop.units.temperature} for the part`"
          :main="bench.temperatureFrom === 'room'"
          @press="bench.temperatureFrom = 'room'"
        />
        <KeyButton
          cap="b"
          label="measured on the part"
          :hint="`good to ±${shop.units.temperature === '°C' ? '2' : '3.6'} ${shop.units.temperature}`"
          :main="bench.temperatureFrom === 'measured'"
          @press="bench.temperatureFrom = 'measured'"
        />
      </div>
      <div v-if="step?.kind === 'leads'" class="choices two">
        <KeyButton
          cap="a"
          label="zeroed in the meter"
          hint="the meter shows 0 now"
          :main="bench.zeroHow === 'hardware'"
          @press="bench.zeroHow = 'hardware'"
        />
        <KeyButton
          cap="b"
          label="take it off by arithmetic"
          hint="counts for earlier readings too"
          :main="bench.zeroHow === 'subtract'"
          @press="bench.zeroHow = 'subtract'"
        />
      </div>
      <div v-if="step?.kind === 'supply'" class="choices two">
        <KeyButton
          cap="a"
          label="while it draws"
          hint="what counts"
          :main="bench.supplyWhile === 'on'"
          @press="bench.supplyWhile = 'on'"
        />
        <KeyButton
          cap="b"
          label="with nothing on it"
          hint="a supply sags when it works"
          :main="bench.supplyWhile === 'off'"
          @press="bench.supplyWhile = 'off'"
        />
      </div>
      <label class="figure-box">
        <span class="unseen">Type the figure</span>
        <input
          class="tap"
          data-line
          inputmode="decimal"
          autocomplete="off"
          tabindex="-1"
          :value="line?.text ?? ''"
          @input="emit('type', ($event.target as HTMLInputElement).value)"
        />
        <span class="big n" :class="{ open: line !== null }" data-testid="figure">{{
          line ? keptText(line) || ' ' : '–'
        }}</span><span class="unit n">{{ unit }}</span>
      </label>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p v-else class="muted">Type the figure, Enter keeps it. <kbd>s</kbd> skips with a reason.</p>
    </template>
  </div>
</template>

<style scoped>
.plain-work {
  display: grid;
  gap: 14px;
  align-content: start;
}
.instruction {
  font-size: 18px;
  max-width: 60ch;
}
.choices {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 10px;
}
.choices.two {
  grid-template-columns: 1fr 1fr;
}
.choices :deep(.key-button) {
  width: 100%;
}
.words label {
  display: block;
  color: var(--muted);
}
.figure-box {
  display: flex;
  align-items: baseline;
  gap: 12px;
  border-bottom: 2px solid var(--ink);
  min-height: 100px;
  position: relative;
  max-width: 420px;
  cursor: text;
}
.tap {
  position: absolute;
  inset: 0;
  opacity: 0;
  width: 100%;
}
.figure-box:focus-within {
  border-color: var(--copper);
}
.big {
  font-size: 84px;
  font-weight: 700;
  line-height: 1.1;
}
.big.open {
  border-right: 4px solid var(--copper);
}
.unit {
  font-size: 36px;
}
.problem {
  color: var(--outside);
  font-weight: 650;
  font-size: 18px;
}
@media (max-width: 1100px) {
  .choices {
    grid-template-columns: repeat(3, 1fr);
  }
}
</style>
