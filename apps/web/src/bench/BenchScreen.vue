<script setup lang="ts">
import { refAutoReset, useIntervalFn } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { screenChanged, stepChanged } from '../keys/registry'
import { useScreenKeys } from '../keys/useScreenKeys'
import { muted } from '../reading/verdictSound'
import { useBench } from '../store/bench'
import { usePhotos } from '../store/photos'
import { useFigures } from '../words/figures'
import { againWay } from '../words/instruction'
import { leftOutWords } from '../words/steps'
import { meterWords } from '../words/title'
import { reasonsFor } from './answers'
import AskedLine from './AskedLine.vue'
import BenchFoot from './BenchFoot.vue'
import { benchKeys, type BenchSituation } from './benchKeys'
import FindingPanel from './FindingPanel.vue'
import MeaningColumn from './MeaningColumn.vue'
import PathColumn from './PathColumn.vue'
import PlainWork from './PlainWork.vue'
import ReadingWork from './ReadingWork.vue'
import StepCaps from './StepCaps.vue'
import StepTitle from './StepTitle.vue'
import TapeRow from './TapeRow.vue'
import UnitLine from './UnitLine.vue'
import { useAwake } from './useAwake'
import { useBackToLine } from './useBackToLine'
import { useBeep } from './useBeep'
import { useBeside } from './useBeside'
import { useBenchTray } from './useBenchTray'
import { useCardOfRun } from './useCardOfRun'
import { useHolding } from './useHolding'
import { useIsolation } from './useIsolation'
import { useLine } from './useLine'
import { usePlainStep } from './usePlainStep'
import { useQuestions } from './useQuestions'
import { useToWinder } from './useToWinder'
import { useWorkDone } from './useWorkDone'

/** The bench: one run, one thing to do at a time. Keys belong to the line while it is open. */
const props = defineProps<{ run: string }>()
const bench = useBench()
const router = useRouter()
const figures = useFigures()
const grounds = ref(false)
const deciding = ref(false)
const reopened = ref(false)
const told = refAutoReset('', 10_000)
const reading = ref<InstanceType<typeof ReadingWork>>()
const finding = ref<InstanceType<typeof FindingPanel>>()
const { line, problem, ...typing } = useLine(bench)
const tell = (words: string) => void (told.value = words)
const { question, ...questions } = useQuestions(tell)
const { beeps, beep } = useBeep(tell)
const doing = useWorkDone(questions.ask, tell)
const isolation = useIsolation(questions.ask, tell)
const beside = useBeside(questions.ask, tell)
const cardOfRun = useCardOfRun(tell)
const toWinder = useToWinder(questions.ask, tell)
const holds = useHolding()
const { holding, answers, canBeKept } = holds
const plain = usePlainStep(questions.ask)
const photos = usePhotos()
useAwake()
const tray = useBenchTray(told)

watch(
  () => props.run,
  (id) => {
    // what was photographed of another part is not said of this one
    photos.leave()
    void bench.open(id)
  },
  { immediate: true },
)
useIntervalFn(() => void bench.open(props.run), 60_000)
onMounted(() => document.getElementById('work')?.focus())

const step = computed(() => bench.current?.step)
const isReading = computed(() => step.value?.kind === 'reading')
const atFinding = computed(() => step.value?.kind === 'finding')
watch(atFinding, () => {
  screenChanged()
  reopened.value = false
})
watch(() => bench.stepId, stepChanged)
const shownEvaluation = computed(() => bench.evaluationOf(bench.current?.entry) ?? bench.lastReading)
const meterSaid = computed(() =>
  isReading.value && bench.check && !bench.isLength ? meterWords(bench.check, bench.meter, bench.rangeAsked) : '',
)
/** said as a set-up ends: what is open behind the hand */
const leftOut = computed(() => {
  const { run, state, cursor, steps } = bench
  if (!run || !state || cursor !== null) return ''
  const open = steps.filter((one) => state.leftOut.includes(one.step.id)).map((one) => one.step)
  return leftOutWords(run.card, open, figures)
})
const again = computed(() => againWay(bench.doing, bench.current ?? {}, bench.contact, bench.state?.finding.open ?? []))

const situation = computed<BenchSituation>(() => {
  if (!bench.run || !step.value) return 'absent'
  if (question.value) return 'asking'
  if (step.value.kind === 'finding')
    return deciding.value ? 'deciding' : bench.state?.closed && !reopened.value ? 'closed' : 'finding'
  const hasWays = ['temperature', 'leads', 'supply'].includes(step.value.kind)
  if (line.value) return hasWays ? 'figureLine' : 'line'
  if (holding.value && answers.value) return answers.value.prefix ? 'prefix' : 'held'
  const { kind } = step.value
  return kind === 'reading' || kind === 'look' || kind === 'isolate' || kind === 'answer' ? kind : 'figure'
})

const foot = { line, grounds: computed(() => (grounds.value ? shownEvaluation.value : undefined)), beeps, holds }

function keepSo(): void {
  const held = holding.value
  if (held && canBeKept.value) questions.keep(held.id, reasonsFor(held.id))
}
const nth = (act: keyof typeof benchKeys.acts, key: string) => benchKeys.acts[act].keys.indexOf(key)

useScreenKeys(
  benchKeys,
  () => situation.value,
  {
    open: typing.open,
    over: typing.openOver,
    pedal: () => (told.value = 'No meter is connected: type the figure.'),
    keepLine: typing.keep,
    prefix: typing.add,
    clearLine: typing.clear,
    beep: () => beep(true),
    noBeep: () => beep(false),
    ohms: () => answers.value?.prefix?.(''),
    kilo: () => answers.value?.prefix?.('k'),
    mega: () => answers.value?.prefix?.('M'),
    giga: () => answers.value?.prefix?.('G'),
    mend: () => (answers.value?.a.asks ? questions.askSpeed(holding.value?.entry ?? '') : answers.value?.a.act()),
    other: () => answers.value?.b.act(),
    keepSo,
    seen: (key) => plain.see(nth('seen', key)),
    fault: plain.fault,
    photo: () => photos.wanted++,
    keepLook: plain.keepLook,
    isolate: (key) => isolation.isolate(nth('isolate', key)),
    say: (key) => plain.say(nth('say', key)),
    pick: (key) => plain.pick(nth('pick', key)),
    choose: (key) => finding.value?.choose(nth('choose', key)),
    settle: (key) => finding.value?.settle(nth('settle', key)),
    later: () => tray.label.value !== '' && tray.goOn(),
    onward: () => tray.goOn(),
    up: () => bench.move(-1),
    down: () => bench.move(1),
    testBefore: () => bench.move(-1, true),
    testAfter: () => bench.move(1, true),
    follow: () => bench.goTo(null),
    again: () => questions.retake(false),
    mistyped: () => questions.retake(true),
    takeBack: questions.takeBack,
    undo: questions.undo,
    skip: questions.skip,
    note: questions.note,
    points: questions.points,
    rest: () => tell(bench.restAlike()),
    exchange: () => tell(bench.goTurned()),
    compare: beside.compare,
    hop: beside.hop,
    work: doing.work,
    look: doing.look,
    place: doing.place,
    zero: () => bench.goAside('leads'),
    contact: () => bench.turnContact(),
    meter: () => bench.nextMeter(),
    flip: () => reading.value?.flip(),
    turn: () => reading.value?.turn(),
    grounds: () => (grounds.value = !grounds.value && shownEvaluation.value !== undefined),
    decide: () => bench.goTo('finding'),
    winder: () => toWinder(bench.state),
    decideAgain: () => (reopened.value = true),
    mute: () => (muted.value = muted.value === 'yes' ? 'no' : 'yes'),
    sheet: () => router.push({ name: 'sheet', params: { run: props.run } }),
    card: cardOfRun,
    takeIn: () => router.push({ name: 'queue', query: { take: '1' } }),
    find: () => router.push({ name: 'cards' }),
  },
  typing.add,
)
const backToLine = useBackToLine(() => question.value !== null || deciding.value)
</script>

<template>
  <main v-if="bench.run && bench.state" class="bench" :class="{ finding: atFinding }" @click="backToLine">
    <UnitLine class="unit-area" :run="bench.run" />
    <FindingPanel
      v-if="atFinding"
      ref="finding"
      v-model:again="reopened"
      class="whole"
      :onward="tray.label.value"
      @asking="deciding = $event"
    />
    <template v-else>
      <PathColumn class="path-area" />
      <section class="work-area" aria-label="The step">
        <div class="inside">
          <div class="top">
            <StepTitle
              v-if="step"
              :step="step"
              :card="bench.run.card"
              :again="again"
              :meter="meterSaid"
              :by-length="bench.isLength"
            />
            <StepCaps v-if="!isReading" />
          </div>
          <ReadingWork
            v-if="isReading"
            ref="reading"
            :meter="meterSaid"
            :line="line"
            :problem="problem"
            @type="typing.put"
          />
          <PlainWork v-else :line="line" :problem="problem" :acts="plain" @type="typing.put" />
          <p v-if="leftOut && !question" role="status" class="left-out">{{ leftOut }}</p>
          <p v-if="told" role="status" class="muted">{{ told }}</p>
        </div>
        <AskedLine v-if="question" :question="question" @keep="questions.answered" @leave="questions.leave" />
        <BenchFoot v-else v-bind="foot" />
      </section>
      <MeaningColumn />
      <TapeRow />
    </template>
    <AskedLine v-if="atFinding && question" :question="question" @keep="questions.answered" @leave="questions.leave" />
  </main>
  <main v-else class="empty">
    <h1>{{ bench.missing ? 'This run cannot be shown.' : 'Opening the run …' }}</h1>
    <p v-if="bench.missing">{{ bench.missing }} <RouterLink to="/">Go to the queue</RouterLink></p>
  </main>
</template>

<style scoped src="./benchScreen.css"></style>
