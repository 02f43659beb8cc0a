<script setup lang="ts">
import { computed, ref } from 'vue'
import KeyButton from '../parts/KeyButton.vue'
import ReadingRuler from '../parts/ReadingRuler.vue'
import VerdictMark from '../parts/VerdictMark.vue'
import { useBench } from '../store/bench'
import { useShop } from '../store/shop'
import { takenParts, useFigures } from '../words/figures'
import { findingTitle, notProved, notTested, wouldSettle } from '../words/finding'
import { lookWords } from '../words/kinds'
import { foundLines } from '../words/lines'
import { reasonLine } from '../words/reasons'
import { remarkWords } from '../words/remarks'
import { cameBackWords, useRecord } from '../cards/useRecord'
import AskLine from './AskLine.vue'
import { choicesFor, type Choice } from './decisions'
import TodayPanel from './TodayPanel.vue'
import { useToday } from './useToday'

/** The finding: every judged line with its ruler, what was not tested, what a pass does not prove, and the decision. */
defineProps<{ asleep: boolean; onward: string }>()
const emit = defineEmits<{ sheet: []; asking: [open: boolean]; card: []; next: [] }>()
const bench = useBench()
const shop = useShop()
const figures = useFigures()
const state = computed(() => bench.state!)
const title = computed(() => findingTitle(state.value))
const lines = computed(() =>
  foundLines(state.value, true, figures).filter(
    (line) => line.gone !== 'taken-back' && line.gone !== 'mistyped' && !line.earlierStage,
  ),
)
const groups = computed(() =>
  (['Windings', 'Ground', 'At speed'] as const)
    .map((name) => ({ name, lines: lines.value.filter((line) => line.group === name && line.gone === undefined) }))
    .filter((group) => group.lines.length > 0),
)
const retaken = computed(() =>
  lines.value.filter((line) => line.gone === 'retaken' && line.evaluation.verdict === 'outside'),
)
const looks = computed(() =>
  state.value.tape.entries.flatMap((entry) =>
    entry.kind === 'look' && !state.value.tape.takenBack.has(entry.id) ? [entry] : [],
  ),
)
const remarks = computed(() =>
  state.value.remarks
    .filter((one) => one.entry === undefined && !one.answered)
    .map((one) => ({ id: one.id, severity: one.severity, ...remarkWords(one, state.value.run.card, figures) })),
)
const choices = computed(() => choicesFor(state.value, shop.settings.rewindHabit))
const chosen = ref<Choice | null>(null)
const count = (verdict: string) =>
  lines.value.filter((line) => line.gone === undefined && line.evaluation.verdict === verdict).length
const decision = computed(() =>
  state.value.tape.entries.findLast((entry) => entry.kind === 'decision' && !state.value.tape.takenBack.has(entry.id)),
)

const record = useRecord(() => bench.run?.card.id)
const modelWords = computed(() => (record.value ? cameBackWords(record.value) : ''))
const today = useToday(
  () => bench.run,
  () => state.value.closed,
)

function choose(at: number): boolean {
  const choice = choices.value[at]
  if (!choice || state.value.closed) return false
  chosen.value = choice
  emit('asking', true)
  return true
}

function decide(why: string): void {
  const choice = chosen.value
  if (!choice) return
  leave()
  bench.add({ kind: 'decision', what: choice.what, why, ...(choice.about.length > 0 ? { about: choice.about } : {}) })
  if (choice.what === 'more-tests')
    bench.goTo(state.value.steps.find((one) => one.status === 'to-do' || one.status === 'skipped')?.step.id ?? null)
  else bench.goTo('finding')
}

function leave(): void {
  chosen.value = null
  emit('asking', false)
}
defineExpose({ choose })
</script>

<template>
  <div class="finding">
    <header class="head">
      <div>
        <h1>{{ title.title }}</h1>
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
          <KeyButton
            v-if="state.run.card.state === 'sketch'"
            cap="y"
            label="make a card of it"
            :asleep="asleep"
            @press="emit('card')"
          />
          <KeyButton cap="p" label="the sheet" :asleep="asleep" @press="emit('sheet')" />
        </p>
      </div>
    </header>
    <div class="body">
      <section class="lines" aria-label="What was read" tabindex="0">
        <p v-for="look in looks" :key="look.id" class="look row">
          <span class="group strong">Look</span
          ><VerdictMark :mark="look.what.includes('sound') ? 'done' : 'flagged'" /><span
            ><strong>{{ look.what.map((what) => lookWords[what]).join(', ') }}</strong
            ><small>{{ look.words || look.place }}</small></span
          >
        </p>
        <template v-for="group in groups" :key="group.name">
          <div v-for="(line, i) in group.lines" :key="line.key" class="row">
            <span class="group strong">{{ i === 0 ? group.name : '' }}</span>
            <VerdictMark :mark="line.held ? 'none' : line.evaluation.verdict" :side="line.side" />
            <span class="what"
              ><strong>{{ line.points }}</strong
              ><small
                >{{ line.label }}; {{ reasonLine(line.evaluation, figures)
                }}<template v-if="line.held">; held</template></small
              ></span
            >
            <span class="fig n"
              >{{ takenParts(line.evaluation, figures).digits
              }}<small>{{ takenParts(line.evaluation, figures).unit }}</small></span
            >
            <ReadingRuler
              small
              :value="line.evaluation.judged ?? line.evaluation.net"
              :u="line.evaluation.u ?? line.evaluation.netU"
              :bound="line.evaluation.bound"
              :min="line.evaluation.limit?.band.min"
              :max="line.evaluation.limit?.band.max"
              :quantity="line.evaluation.quantity"
              :verdict="line.evaluation.verdict"
              :held="line.held"
            />
          </div>
        </template>
        <div
          v-for="relation in state.relations.filter((one) => one.value !== undefined)"
          :key="relation.relation.id"
          class="row"
        >
          <span class="group strong">Together</span>
          <VerdictMark :mark="relation.verdict" />
          <span class="what"
            ><strong>{{ relation.relation.label }}</strong
            ><small v-if="relation.sum">left over, allowed 2u + 1 % of the whole</small></span
          >
          <span class="fig n"
            >{{ relation.sum && (relation.value ?? 0) > 0 ? '+' : '' }}{{ figures.plain(relation.value ?? 0, 3) }}</span
          >
          <ReadingRuler
            small
            :value="relation.value"
            :u="relation.u"
            :min="relation.limits?.min"
            :max="relation.limits?.max"
            quantity="position"
            :verdict="relation.verdict"
          />
        </div>
        <div v-for="line in retaken" :key="line.key" class="row">
          <span class="group strong">Read twice</span>
          <VerdictMark mark="none" />
          <span class="what"
            ><strong>{{ line.points }}, before</strong
            ><small
              >{{ reasonLine(line.evaluation, figures) }};
              {{ line.evaluation.entry.reading.reason || 'taken again' }}</small
            ></span
          >
          <span class="fig n struck">{{ takenParts(line.evaluation, figures).digits }}</span>
          <ReadingRuler
            small
            held
            :value="line.evaluation.judged"
            :u="line.evaluation.u"
            :min="line.evaluation.limit?.band.min"
            :max="line.evaluation.limit?.band.max"
            :verdict="line.evaluation.verdict"
          />
        </div>
      </section>
      <aside class="aside" aria-label="What it means" tabindex="0">
        <section v-if="modelWords">
          <h2 class="label">This model</h2>
          <p>
            <strong>{{ modelWords }}</strong>
          </p>
        </section>
        <TodayPanel v-if="today" :then="state" :today="today" />
        <section v-if="remarks.length > 0">
          <h2 class="label">Before it is closed</h2>
          <p v-for="one in remarks" :key="one.id">
            <strong>{{ one.what }}</strong> {{ one.todo }}
          </p>
        </section>
        <section>
          <h2 class="label">Not tested</h2>
          <p v-for="one in notTested(state)" :key="one.what" class="untested">
            <VerdictMark mark="none" :size="13" /><span
              ><strong>{{ one.what }}</strong
              ><template v-if="one.why">, {{ one.why }}</template></span
            >
          </p>
        </section>
        <section v-if="state.finding.word !== 'fault-found'">
          <h2 class="label">What a pass does not prove</h2>
          <p v-for="one in notProved(state, figures)" :key="one.head">
            <strong>{{ one.head }}</strong> {{ one.text }}
          </p>
        </section>
        <section>
          <h2 class="label">What would settle it</h2>
          <p v-for="(one, i) in wouldSettle(state, figures)" :key="i">
            <strong>{{ one.head }}</strong> {{ one.text }}
          </p>
        </section>
      </aside>
    </div>
    <footer class="decide">
      <p v-if="state.closed && decision?.kind === 'decision'" class="closed">
        <strong>Decided.</strong> {{ decision.why }}
        <span class="muted">The run is closed; a note or an outcome can still be added.</span>
        <span class="after">
          <RouterLink class="runs" :to="{ name: 'unit', params: { id: state.run.unit.id } }"
            >its runs, and what became of it</RouterLink
          >
          <KeyButton v-if="onward" main cap="Enter" :label="onward" @press="emit('next')" />
        </span>
      </p>
      <div v-else class="choices">
        <KeyButton
          v-for="(choice, i) in choices"
          :key="i"
          :main="chosen ? chosen === choice : i === 0"
          :cap="'abcde'[i]"
          :label="choice.label"
          :hint="choice.hint"
          :asleep="asleep"
          @press="choose(i)"
        />
      </div>
      <AskLine v-if="chosen" :question="`${chosen.label}: why?`" @keep="decide" @leave="leave" />
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
}
h1 {
  font-size: 40px;
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
  grid-template: minmax(0, 1fr) / 1fr 450px;
  min-height: 0;
}
.lines {
  overflow: auto;
  border-right: 1px solid var(--hairline);
}
.row {
  display: grid;
  grid-template-columns: 92px 40px 1fr auto 260px;
  gap: 12px;
  align-items: center;
  padding: 3px 20px;
  min-height: 48px;
  border-bottom: 1px dashed var(--hairline);
}
.row small {
  display: block;
  color: var(--muted);
  font-size: 15px;
  line-height: 1.25;
}
.look {
  grid-template-columns: 92px 40px 1fr;
}
.fig {
  font-size: 22px;
  font-weight: 600;
  text-align: right;
}
.fig small {
  display: inline;
  font-size: 16px;
  margin-left: 6px;
  font-weight: 400;
}
.aside {
  overflow: auto;
  background: var(--panel);
  padding: 12px 20px;
  display: grid;
  align-content: start;
  gap: 12px;
}
.aside section {
  display: grid;
  gap: 4px;
  border-bottom: 1px solid var(--hairline);
  padding-bottom: 10px;
}
.untested {
  display: flex;
  gap: 10px;
  align-items: center;
}
.decide {
  background: var(--tint);
  border-top: 3px solid var(--copper);
}
.choices {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
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
    grid-template: minmax(0, 1fr) / 1fr 330px;
  }
  .row {
    grid-template-columns: 84px 40px 1fr auto;
  }
  .row :deep(.ruler) {
    grid-column: 3 / -1;
  }
  h1 {
    font-size: 32px;
  }
}
@media (max-width: 900px) {
  .body {
    grid-template: auto auto / 1fr;
  }
  .lines,
  .aside {
    overflow: visible;
  }
  .choices {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
