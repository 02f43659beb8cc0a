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
import { learned } from '../words/learned'
import { remarkWords } from '../words/remarks'
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
    (line) =>
      line.gone !== 'taken-back' && line.gone !== 'mistyped' && line.aside !== 'earlier' && line.aside !== 'again',
  ),
)
const choices = computed(() => choicesFor(state.value, shop.settings.rewindHabit))
const settling = computed(() => wouldSettle(state.value, figures))
const lesson = computed(() => bench.writtenCard && learned(bench.writtenCard, state.value))
const chosen = ref<Choice | null>(null)
const reason = ref('')
/** What fails as a whole counts once, however many readings carry it; what stands beside a surer one does not count. */
const count = (verdict: string) =>
  new Set(
    lines.value
      .filter((line) => line.gone === undefined && line.aside === undefined && line.evaluation.verdict === verdict)
      .map(({ key, evaluation: { whole, check } }) =>
        whole && whole.verdict === undefined && verdict === 'outside' ? check.id : key,
      ),
  ).size
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

// the choices are made anew with whatever the run hears of
const isChosen = ({ label, hint }: Choice) => chosen.value?.label === label && chosen.value.hint === hint

/** what more tests are most often for */
const moreFor = ['not all is read yet', 'to be read warm', 'on another meter']

/** what a colleague says to the words that are about to be kept, once */
const doubted = ref('')
const doubt = ref('')
function decide(why: string): void {
  const said = chosen.value && why !== doubted.value ? bench.wouldSay(bodyOf(chosen.value, why)) : []
  const high = said.find(({ id }) => id === 'high-is-not-shorted')
  doubted.value = why
  if (high) {
    const { what, todo } = remarkWords(high, state.value.run.card, figures)
    doubt.value = `${what} ${todo}`
  } else goOn(why)
}

function goOn(why: string): void {
  if (shop.person?.access === 'learner') reason.value = why
  else keep(why)
}

const bodyOf = ({ what, about }: Choice, why: string) => ({
  kind: 'decision' as const,
  what,
  why,
  ...(about.length > 0 ? { about } : {}),
})

function keep(why: string, second?: string, word?: (entry: Entry) => Seal): void {
  const choice = chosen.value
  if (!choice) return
  leave()
  again.value = false
  bench.add({ ...bodyOf(choice, why), ...(second === undefined ? {} : { second }) }, word)
  if (choice.what === 'more-tests')
    bench.goTo(state.value.steps.find((one) => one.status === 'to-do' || one.status === 'skipped')?.step.id ?? null)
  else bench.goTo('finding')
}

/** Goes to the step that would settle it: the finding waits. */
function settle(at: number): boolean {
  const { step, tester, warmed, again } = (state.value.closed ? undefined : settling.value[at]) ?? {}
  if (step === undefined) return false
  if (tester) bench.bestMeter('insulation')
  if (warmed) bench.temperatureFrom = 'hot'
  if (again === undefined) bench.goTo(step)
  else bench.takeAgain(again, false, 'read hot')
  return true
}

function leave(): void {
  chosen.value = null
  reason.value = ''
  doubted.value = ''
  doubt.value = ''
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
          <ScreenKey v-else-if="lesson" act="card" :label="lesson" />
          <ScreenKey v-if="onward && !state.closed" quiet act="later" :label="`${onward}, decide later`" />
          <template v-if="!state.closed"><ScreenKey quiet act="look" /><ScreenKey quiet act="work" /></template>
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
        <span v-if="decision.second" class="muted">{{ `${nameOf(decision.second)} stands for it. ` }}</span>
        <span class="muted">The run is closed; a note or an outcome can still be added.</span>
        <span class="after">
          <RouterLink class="runs" :to="{ name: 'unit', params: { id: state.run.unit.id } }"
            >its runs, and what became of it</RouterLink
          >
          <ScreenKey v-if="decision.what === 'rewind'" main act="winder" />
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
          :main="chosen ? isChosen(choice) : i === 0"
          :label="choice.label"
          :hint="choice.hint"
        />
      </div>
      <p v-if="chosen" class="follows" role="status">{{ chosen.follows }}</p>
      <p v-if="doubt" class="follows doubt" role="alert">{{ doubt }} Enter keeps the words as they are.</p>
      <SecondWord
        v-if="chosen && reason"
        :what="chosen.label"
        @given="(second, word) => keep(reason, second, word)"
        @leave="leave"
      />
      <AskLine
        v-else-if="chosen"
        :question="`${chosen.label}: why?`"
        :offers="chosen.what === 'more-tests' ? moreFor : []"
        @keep="decide"
        @leave="leave"
      />
    </footer>
  </div>
</template>

<style scoped src="./findingPanel.css"></style>
