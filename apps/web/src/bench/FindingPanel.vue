<script setup lang="ts">
import type { Seal } from '@sure-spool/contract'
import { entriesThatStand, type Entry } from '@sure-spool/core'
import { computed, ref } from 'vue'
import ScreenKey from '../keys/ScreenKey.vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { useBench } from '../store/bench'
import { useShop } from '../store/shop'
import { useFigures } from '../words/figures'
import { decisionWords } from '../words/kinds'
import { findingTitle, wouldSettle } from '../words/finding'
import { foundLines } from '../words/lines'
import AskLine from './AskLine.vue'
import { choicesFor, type Choice } from './decisions'
import FindingLines from './FindingLines.vue'
import FindingMeaning from './FindingMeaning.vue'
import SecondWord from './SecondWord.vue'

/** The finding: every judged line with its ruler, what was not tested, what a pass does not prove, and the decision. */
defineProps<{ onward: string }>()
const emit = defineEmits<{ asking: [open: boolean] }>()
/** a closed run is decided once more */
const again = defineModel<boolean>('again', { default: false })
const bench = useBench()
const shop = useShop()
const figures = useFigures()
const state = computed(() => bench.state!)
const title = computed(() => findingTitle(state.value, figures))
const lines = computed(() =>
  foundLines(state.value, true, figures).filter(
    (line) => line.gone !== 'taken-back' && line.gone !== 'mistyped' && !line.earlierStage,
  ),
)
const choices = computed(() => choicesFor(state.value, shop.settings.rewindHabit))
const settling = computed(() => wouldSettle(state.value, figures))
const chosen = ref<Choice | null>(null)
const reason = ref('')
const count = (verdict: string) =>
  lines.value.filter((line) => line.gone === undefined && line.evaluation.verdict === verdict).length
const decision = computed(() =>
  state.value.tape.entries.findLast((entry) => entry.kind === 'decision' && !state.value.tape.takenBack.has(entry.id)),
)

const nameOf = (id: string) => shop.people.find((one) => one.id === id)?.name ?? 'A second person'
/** Decisions that a later one took the place of: struck, not gone. */
const earlier = computed(() => entriesThatStand(state.value.tape, 'decision').slice(0, -1))

function choose(at: number): boolean {
  const choice = choices.value[at]
  if (!choice || (state.value.closed && !again.value)) return false
  chosen.value = choice
  emit('asking', true)
  return true
}

function decide(why: string): void {
  if (shop.person?.access === 'learner') reason.value = why
  else keep(why)
}

function keep(why: string, second?: string, word?: (entry: Entry) => Seal): void {
  const choice = chosen.value
  if (!choice) return
  leave()
  again.value = false
  const about = choice.about.length > 0 ? { about: choice.about } : {}
  bench.add({ kind: 'decision', what: choice.what, why, ...about, ...(second === undefined ? {} : { second }) }, word)
  if (choice.what === 'more-tests')
    bench.goTo(state.value.steps.find((one) => one.status === 'to-do' || one.status === 'skipped')?.step.id ?? null)
  else bench.goTo('finding')
}

/** Goes to the step that would settle it: the finding waits. */
function settle(at: number): boolean {
  const { step, tester } = (state.value.closed ? undefined : settling.value[at]) ?? {}
  if (step === undefined) return false
  if (tester) bench.bestMeter('insulation')
  bench.goTo(step)
  return true
}

function leave(): void {
  chosen.value = null
  reason.value = ''
  emit('asking', false)
}
defineExpose({ choose, settle })
</script>

<template>
  <div class="finding">
    <header class="head">
      <div>
        <h1 :class="{ long: title.title.length > 90 }">{{ title.title }}</h1>
        <p class="line">{{ title.line }}</p>
      </div>
      <div class="side">
        <p class="tallies">
          <span><VerdictMark mark="within" /> {{ count('within') }} within</span
          ><span v-if="count('outside')"><VerdictMark mark="outside" /> {{ count('outside') }} outside</span
          ><span v-if="count('borderline')"
            ><VerdictMark mark="borderline" /> {{ count('borderline') }} borderline</span
          >
        </p>
        <p class="tallies">
          <ScreenKey v-if="state.run.card.state === 'sketch'" act="card" />
          <ScreenKey act="sheet" />
        </p>
      </div>
    </header>
    <div class="body">
      <FindingLines :state="state" :lines="lines" />
      <FindingMeaning :state="state" :settling="settling" />
    </div>
    <footer class="decide">
      <p v-if="state.closed && !again && decision?.kind === 'decision'" class="closed">
        <s v-for="one in earlier" :key="one.id" class="muted">{{ decisionWords[one.what] }}: {{ one.why }}</s>
        <strong>Decided: {{ decisionWords[decision.what] }}.</strong> {{ decision.why }}
        <span v-if="decision.second" class="muted">{{ nameOf(decision.second) }} stands for it.</span>
        <span class="muted">The run is closed; a note or an outcome can still be added.</span>
        <span class="after">
          <RouterLink class="runs" :to="{ name: 'unit', params: { id: state.run.unit.id } }"
            >its runs, and what became of it</RouterLink
          >
          <ScreenKey quiet act="decideAgain" />
          <ScreenKey v-if="onward" main act="onward" :label="onward" />
        </span>
      </p>
      <div v-else class="choices">
        <ScreenKey
          v-for="(choice, i) in choices"
          :key="i"
          act="choose"
          :at="i"
          :main="chosen ? chosen === choice : i === 0"
          :label="choice.label"
          :hint="choice.hint"
        />
      </div>
      <p v-if="chosen" class="follows" role="status">{{ chosen.follows }}</p>
      <SecondWord
        v-if="chosen && reason"
        :what="chosen.label"
        @given="(second, word) => keep(reason, second, word)"
        @leave="leave"
      />
      <AskLine v-else-if="chosen" :question="`${chosen.label}: why?`" @keep="decide" @leave="leave" />
    </footer>
  </div>
</template>

<style scoped>
.finding {
  display: flex;
  flex-direction: column;
  min-height: 0;
  flex: 1;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 24px;
  padding: 12px 20px 14px;
  border-bottom: 1px solid var(--ink);
  align-items: flex-start;
  max-height: 45%;
  overflow: auto;
}
.head > :first-child {
  min-width: 0;
}
s {
  margin-right: 12px;
}
.follows {
  font-weight: 600;
  padding: 8px 28px 0;
}
h1 {
  font-size: 40px;
}
h1.long {
  font-size: 26px;
}
.line {
  font-size: 18px;
  margin-top: 4px;
}
.side {
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  gap: 8px;
}
.tallies {
  display: flex;
  gap: 18px;
  white-space: nowrap;
}
.tallies span {
  display: flex;
  gap: 8px;
  align-items: center;
}
.body {
  flex: 1;
  display: grid;
  grid-template: minmax(0, 1fr) / minmax(0, 1fr) 450px;
  min-height: 0;
}
.decide {
  background: var(--tint);
  border-top: 3px solid var(--copper);
}
.choices {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 10px;
  padding: 12px 20px;
}
.choices :deep(.key-button) {
  min-height: 62px;
}
.after {
  display: flex;
  gap: 20px;
  align-items: center;
  margin-top: 8px;
}
.runs {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
.closed {
  padding: 16px 20px;
  font-size: 18px;
}
.decide :deep(.ask) {
  border-top: 0;
  padding-top: 0;
}
@media (max-width: 1100px) {
  .body {
    grid-template: minmax(0, 1fr) / minmax(0, 1fr) 330px;
  }
  h1:not(.long) {
    font-size: 32px;
  }
}
@media (max-width: 900px) {
  .body {
    grid-template: auto auto / minmax(0, 1fr);
  }
  .choices {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
