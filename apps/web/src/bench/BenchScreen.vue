<script setup lang="ts">
import { beyondOverride } from '@sure-spool/core'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import KeyButton from '../parts/KeyButton.vue'
import { isTaken, useKeys } from '../parts/keys'
import { useBench } from '../store/bench'
import { newId } from '../store/ids'
import { useFigures } from '../words/figures'
import { problemWords } from '../words/reasons'
import { answersTo, reasonsFor } from './answers'
import AskLine from './AskLine.vue'
import CautionList from './CautionList.vue'
import FindingPanel from './FindingPanel.vue'
import GroundsPanel from './GroundsPanel.vue'
import { emptyLine, keptText, openLine, opens, overLine, press, type Line } from './line'
import MeaningColumn from './MeaningColumn.vue'
import PathColumn from './PathColumn.vue'
import PlainWork from './PlainWork.vue'
import ReadingWork from './ReadingWork.vue'
import RemarkPanel from './RemarkPanel.vue'
import { isMuted, setMuted } from './sound'
import StepCaps from './StepCaps.vue'
import StepTitle from './StepTitle.vue'
import TapeRow from './TapeRow.vue'
import UnitLine from './UnitLine.vue'
import { useBenchTray } from './useBenchTray'
import { useAwake } from './useAwake'

/** The bench: one run, one thing to do at a time. Keys belong to the line while it is open. */
const props = defineProps<{ run: string }>()
const bench = useBench()
const router = useRouter()
const figures = useFigures()
const line = ref<Line | null>(null)
const problem = ref('')
const grounds = ref(false)
const muted = ref(isMuted())
const deciding = ref(false)
const told = ref('')
type Question = {
  kind: 'skip' | 'note' | 'keep' | 'undo' | 'take-back'
  question: string
  offers: string[]
  about: string
}
const question = ref<Question | null>(null)
const reading = ref<InstanceType<typeof ReadingWork>>()
const plainWork = ref<InstanceType<typeof PlainWork>>()
const finding = ref<InstanceType<typeof FindingPanel>>()
useAwake()
const tray = useBenchTray(told)

watch(
  () => props.run,
  (id) => void bench.open(id),
  { immediate: true },
)
watch(
  () => bench.stepId,
  () => (problem.value = ''),
)
const refresh = setInterval(() => void bench.open(props.run), 60_000)
onBeforeUnmount(() => clearInterval(refresh))
onMounted(() => document.getElementById('work')?.focus())

const step = computed(() => bench.current?.step)
const asleep = computed(() => line.value !== null || question.value !== null)
const isReading = computed(() => step.value?.kind === 'reading')
const atFinding = computed(() => step.value?.kind === 'finding')
/** what holds the step: a stop on a reading, or one that is due before this step is touched */
const holding = computed(() => {
  if (bench.doing) return undefined
  const held = bench.state?.holding
  if (held && (bench.cursor === null || held.holds.includes(bench.current?.entry ?? ''))) return held
  return bench.setUp[0]
})
const answers = computed(() =>
  holding.value && bench.state ? answersTo(holding.value, bench, bench.state, figures) : undefined,
)
const shownEvaluation = computed(() => bench.evaluationOf(bench.current?.entry) ?? bench.lastReading)
const again = computed(() => {
  if (bench.doing)
    return bench.doing.mistyped ? 'Type again:' : bench.contact === 'clips' ? 'Clip on again:' : 'Touch again:'
  return bench.current?.status === 'again' ? (bench.contact === 'clips' ? 'Clip on again:' : 'Touch again:') : ''
})
function keepLine(): void {
  if (!line.value) return
  const text = keptText(line.value)
  const wrong = bench.keepTyped(text)
  problem.value = wrong ? `${problemWords[wrong]} Nothing was kept of “${text.slice(0, 40)}”.` : ''
  if (!wrong) line.value = null
}

function typed(text: string): void {
  line.value = text === '' ? null : { ...(line.value ?? openLine('', bench.prefix)), text: text.slice(0, 300) }
}

function ask(kind: Question['kind'], words: string, offers: string[] = [], about = ''): void {
  question.value = { kind, question: words, offers, about }
}

function answered(words: string): void {
  const asked = question.value
  question.value = null
  if (!asked) return
  if (asked.kind === 'skip') bench.add({ kind: 'skip', check: asked.about, reason: words })
  if (asked.kind === 'note')
    bench.add({ kind: 'note', words, ...(isReading.value && bench.check ? { about: bench.check.id } : {}) })
  if (asked.kind === 'keep') bench.add({ kind: 'answer', remark: asked.about, reason: words })
  if (asked.kind === 'undo' || asked.kind === 'take-back')
    bench.add({ kind: 'take-back', entry: asked.about, reason: words })
}

function undo(): void {
  const last = bench.lastEntry
  if (!last) {
    told.value = 'Nothing to undo.'
    return
  }
  if (Date.now() - Date.parse(last.at) <= 10_000) bench.add({ kind: 'take-back', entry: last.id, reason: 'undone' })
  else ask('undo', 'Undo the last entry: why?', ['wrong pair', 'slipped off', 'typed by mistake'], last.id)
}

function skip(): void {
  const one = step.value
  if (!one || one.kind === 'finding') return
  const about =
    'check' in one && one.check !== undefined && bench.check && bench.check.points.length <= 1 ? one.check : one.id
  const offers =
    one.kind === 'reading' && !one.required
      ? ['cannot be done here', 'not needed for this complaint', 'later']
      : ['cannot be reached', 'no way to do it here', 'later']
  ask('skip', 'Skip it: why?', offers, one.kind === 'reading' ? skipTarget(one.check, about) : about)
}
/** Of a check with many optional points one skip skips them all; a required one is skipped point by point. */
const skipTarget = (check: string, about: string): string =>
  step.value?.kind === 'reading' && !step.value.required ? check : about

function takeOlder(): void {
  const target = bench.evaluationOf(bench.current?.entry)?.entry ?? bench.lastReading?.entry
  if (target)
    ask('take-back', 'Take this reading back: why?', ['wrong pair', 'slipped off', 'read by mistake'], target.id)
}

function retake(mistyped: boolean): void {
  const target =
    bench.current?.entry !== undefined && isReading.value ? bench.current.entry : bench.lastReading?.entry.id
  if (target) bench.takeAgain(target, mistyped, mistyped ? 'mistyped' : 'taken again')
}

function mute(): void {
  muted.value = !muted.value
  setMuted(muted.value)
}

/** A part that was measured first becomes a card in one step. */
function makeCard(): void {
  if (bench.run?.card.state !== 'sketch') return
  void router.push({ name: 'write', params: { id: newId(), revision: '1' }, query: { run: props.run } })
}

const keep = () =>
  holding.value &&
  !beyondOverride.has(holding.value.id) &&
  ask('keep', 'Keep it as it is: why?', reasonsFor(holding.value.id), holding.value.id)

const commands: Record<string, () => void> = {
  ArrowUp: () => bench.move(-1),
  ArrowDown: () => bench.move(1),
  Backspace: undo,
  t: () => retake(false),
  e: () => retake(true),
  x: takeOlder,
  s: skip,
  n: () => ask('note', 'A note'),
  z: () => bench.goTo('leads'),
  f: () => reading.value?.flip(),
  F: () => reading.value?.turn(),
  k: () => bench.turnContact(),
  v: () => bench.nextMeter(),
  g: () => (grounds.value = !grounds.value && shownEvaluation.value !== undefined),
  d: () => bench.goTo('finding'),
  m: mute,
  p: () => void router.push({ name: 'sheet', params: { run: props.run } }),
  i: () => void router.push({ name: 'queue', query: { take: '1' } }),
  '/': () => void router.push({ name: 'cards' }),
  y: makeCard,
  Enter: () => atFinding.value && bench.state?.closed && void tray.goOn(),
  ' ': () => (told.value = 'No meter is connected: type the figure.'),
  o: () =>
    takesFigures.value &&
    (line.value = overLine(
      bench.meter?.ranging === 'hand' ? bench.rangeAsked.replace('\u2009', '').replace('Ω', '') : '',
    )),
  Escape: () => bench.goTo(null),
}
const takesFigures = computed(
  () =>
    ['reading', 'temperature', 'leads', 'frame-proof', 'supply'].includes(step.value?.kind ?? '') &&
    !bench.state?.closed,
)

useKeys((event) => {
  if (isTaken(event) || question.value || deciding.value || !bench.run) return false
  const { key } = event
  told.value = ''
  if (line.value) return lineKey(key)
  if (atFinding.value && 'abcde'.includes(key) && key.length === 1)
    return finding.value?.choose('abcde'.indexOf(key)) ?? false
  if (holding.value && answers.value && 'abc'.includes(key) && key.length === 1) {
    if (key === 'c') keep()
    else answers.value[key as 'a' | 'b'].act()
    return true
  }
  if (!isReading.value && !atFinding.value && plainWork.value?.press(key)) return true
  if (opens(key) && takesFigures.value) {
    line.value = openLine(key, isReading.value ? bench.prefix : '')
    problem.value = ''
    return true
  }
  const command = commands[key]
  command?.()
  return command !== undefined
})

function lineKey(key: string): boolean {
  if (key === 'Enter') keepLine()
  else if (key === 'Escape') line.value = null
  else if (key.length === 1 || key === 'Backspace') {
    const next = press(line.value ?? emptyLine, key)
    line.value = next.text === '' ? null : next
    problem.value = ''
  } else return false
  return true
}
</script>

<template>
  <main v-if="bench.run && bench.state" class="bench" :class="{ finding: atFinding }">
    <UnitLine class="unit-area" :run="bench.run" />
    <FindingPanel
      v-if="atFinding"
      ref="finding"
      class="whole"
      :asleep="asleep"
      :onward="tray.label.value"
      @sheet="router.push({ name: 'sheet', params: { run } })"
      @asking="deciding = $event"
      @card="makeCard"
      @next="tray.goOn"
    />
    <template v-else>
      <PathColumn class="path-area" />
      <section class="work-area" aria-label="The step">
        <div class="inside">
          <div class="top">
            <StepTitle v-if="step" :step="step" :card="bench.run.card" :again="again" />
            <StepCaps
              v-if="!isReading"
              :asleep="asleep"
              :muted="muted"
              @note="ask('note', 'A note')"
              @skip="skip"
              @mute="mute"
            />
          </div>
          <ReadingWork v-if="isReading" ref="reading" :line="line" :problem="problem" :asleep="asleep" @type="typed"
            ><template #caps
              ><StepCaps
                :asleep="asleep"
                :muted="muted"
                @note="ask('note', 'A note')"
                @skip="skip"
                @mute="mute" /></template
            ><template #cautions="{ cautions }"><CautionList :cautions="cautions" /></template
          ></ReadingWork>
          <PlainWork v-else ref="plainWork" :line="line" :problem="problem" :asleep="asleep" @type="typed"
            ><template #cautions="{ cautions }"><CautionList :cautions="cautions" /></template
          ></PlainWork>
          <p v-if="told" role="status" class="muted">{{ told }}</p>
        </div>
        <AskLine
          v-if="question"
          :key="question.kind + question.about"
          :question="question.question"
          :offers="question.offers"
          @keep="answered"
          @leave="question = null"
        />
        <GroundsPanel v-else-if="grounds && shownEvaluation" :evaluation="shownEvaluation" @close="grounds = false" />
        <RemarkPanel
          v-else-if="holding && answers && !line"
          :remark="holding"
          :answers="answers"
          :asleep="asleep"
          @keep="keep"
        />
        <div v-else class="doing">
          <template v-if="line"
            ><KeyButton main cap="Enter" label="keep" @press="keepLine" /><KeyButton
              cap="Esc"
              label="clear the line"
              @press="line = null"
          /></template>
          <template v-else-if="isReading"
            ><KeyButton quiet cap="t" label="take again" @press="retake(false)" /><KeyButton
              quiet
              cap="e"
              label="mistyped"
              @press="retake(true)" /><KeyButton quiet cap="x" label="take back" @press="takeOlder" /><KeyButton
              quiet
              cap="o"
              label="over range"
              @press="commands['o']?.()" /><KeyButton quiet cap="d" label="decide" @press="bench.goTo('finding')"
          /></template>
        </div>
      </section>
      <MeaningColumn :asleep="asleep" @grounds="grounds = !grounds" />
      <TapeRow :asleep="asleep" @undo="undo" />
    </template>
    <AskLine
      v-if="atFinding && question"
      :question="question.question"
      :offers="question.offers"
      @keep="answered"
      @leave="question = null"
    />
  </main>
  <main v-else class="empty">
    <h1>{{ bench.missing ? 'This run cannot be shown.' : 'Opening the run …' }}</h1>
    <p v-if="bench.missing">{{ bench.missing }} <RouterLink to="/">Go to the queue</RouterLink></p>
  </main>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template:
    'unit unit unit' 52px 'path work meaning' minmax(0, 1fr) 'tape tape tape' auto / 236px minmax(0, 1fr)
    325px;
  height: calc(100dvh - 48px);
  overflow: hidden;
  min-height: 0;
}
.bench.finding {
  grid-template: 'unit' auto 'whole' minmax(0, 1fr) / 1fr;
}
.whole {
  grid-area: whole;
  min-height: 0;
}
.unit-area {
  grid-area: unit;
}
.path-area {
  grid-area: path;
  min-height: 0;
}
.work-area {
  grid-area: work;
  display: flex;
  flex-direction: column;
  min-height: 0;
  min-width: 0;
}
.inside {
  position: relative;
  flex: 1;
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 12px 28px 6px;
  min-height: 0;
  overflow: auto;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 12px;
}
.doing {
  display: flex;
  gap: 10px;
  padding: 6px 22px;
  border-top: 1px solid var(--hairline);
  min-height: 58px;
  align-items: center;
  flex-wrap: wrap;
}
.empty {
  padding: 40px 20px;
  display: grid;
  gap: 12px;
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: 200px minmax(0, 1fr) 250px;
  }
}
@media (max-width: 900px) {
  .bench {
    overflow: visible;
    grid-template: 'unit' auto 'path' auto 'work' auto 'meaning' auto 'tape' auto / 1fr;
    height: auto;
  }
}
</style>
