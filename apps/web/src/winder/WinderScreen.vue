<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import AskLine from '../bench/AskLine.vue'
import FigureBox from '../bench/FigureBox.vue'
import { useBackToLine } from '../bench/useBackToLine'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import { keptText } from '../reading/line'
import { saveFile } from '../screen/saveFile'
import { useRewind } from '../store/rewind'
import { useFigures } from '../words/figures'
import { layWords, notKnown, rewindTitle, wireWords } from '../words/rewind'
import { lays } from './lays'
import PlanForm from './PlanForm.vue'
import { useBefore } from './useBefore'
import { useProving } from './useProving'
import { useWinding } from './useWinding'
import WinderFacts from './WinderFacts.vue'
import { winderKeys, type WinderSituation } from './winderKeys'
import WinderPath from './WinderPath.vue'
import WinderTape from './WinderTape.vue'

/** The winder: from the dead coil to the proven one, one thing to do at a time. */
const props = defineProps<{ id: string }>()
const store = useRewind()
const router = useRouter()
const figures = useFigures()
const winding = useWinding()
const { holding, isHeld, prove } = useProving(() => winding.step.value, winding.problem)
const { step, kind, coil, sisters, line, problem, turns, lay, machine, meter, other, fits, build } = winding
const known = useBefore(
  () => store.rewind?.before,
  () => coil.value?.coil.winding,
)
const plan = ref<InstanceType<typeof PlanForm>>()
/** what is asked in words beside the step: a note, or why a stop is kept as it is */
const beside = ref<'note' | 'answer'>()
const asked = ref('')
watch(
  () => props.id,
  (id) => void store.open(id),
  { immediate: true },
)
watch(step, () => (asked.value = ''))

const wantsWords = computed(() => ['lay', 'ends', 'finish'].includes(kind.value))
const situation = computed<WinderSituation>(() => {
  if (!store.state || !step.value) return 'absent'
  if (beside.value || wantsWords.value) return 'asking'
  if (line.value) return 'line'
  const at = kind.value
  return at === 'turns' || at === 'wire' || at === 'wind' || at === 'direction' || at === 'plan' ? at : 'prove'
})
const title = computed(() => (store.state && step.value ? rewindTitle(store.state, step.value) : undefined))
const offers = computed(() => {
  if (kind.value === 'lay') return ['clockwise from outside', 'counter-clockwise from outside', notKnown]
  if (kind.value === 'ends') return [notKnown]
  return kind.value === 'finish' ? ['leads soldered and sleeved', 'taped', 'no fixing', 'label'] : []
})
const target = computed(() => {
  const planned = coil.value?.planned
  return kind.value === 'wind' && planned ? Math.round(planned.turns) : undefined
})
const left = computed(() => (target.value === undefined ? undefined : target.value - turns.value))
const digits = computed(() =>
  line.value ? keptText(line.value) || ' ' : kind.value === 'wire' ? '–' : String(turns.value),
)
const unit = computed(() => (kind.value === 'wire' ? 'mm' : 'turns'))
const nth = (act: 'take' | 'turn', key: string) => winderKeys.acts[act].keys.indexOf(key)

function say(words: string): void {
  if (beside.value) {
    const { key = '' } = holding.value ?? {}
    store.add(beside.value === 'note' ? { kind: 'note', words } : { kind: 'answer', remark: key, reason: words })
    beside.value = undefined
    problem.value = ''
    return
  }
  asked.value = winding.say(words)
}
function save(): void {
  if (store.rewind)
    saveFile(
      `${store.unit?.tag ?? 'part'}-rewind.json`,
      'application/json',
      `${JSON.stringify(store.rewind, null, 2)}\n`,
    )
}

useScreenKeys(
  winderKeys,
  () => situation.value,
  {
    open: winding.open,
    keepLine: winding.keepLine,
    clearLine: winding.clear,
    one: () => winding.add(1),
    ten: () => winding.add(10),
    counted: () => void (isHeld() || winding.counted()),
    build: winding.turnBuild,
    unknown: winding.cannotBeKnown,
    take: (key) => winding.take(nth('take', key)),
    turn: (key) => winding.turned(nth('turn', key)),
    ground: winding.ground,
    beep: winding.beep,
    mended: winding.mended,
    alike: () => (other.value = !other.value),
    meter: winding.nextMeter,
    splice: () => winding.broke('splice'),
    restart: () => winding.broke('again'),
    keepPlan: () => (problem.value = plan.value?.keep() ?? ''),
    prove,
    up: () => winding.go(-1),
    down: () => winding.go(1),
    follow: () => winding.done(),
    undo: winding.undo,
    keepSo: () => void (holding.value && (beside.value = 'answer')),
    note: () => (beside.value = 'note'),
    sheet: () => router.push({ name: 'rewind-sheet', params: { id: props.id } }),
    save,
  },
  winding.type,
)
const backToLine = useBackToLine(() => situation.value === 'asking' || kind.value === 'plan')
</script>

<template>
  <main v-if="store.state && step && title" class="winder" @click="backToLine">
    <section class="head" aria-label="The rewind">
      <p>
        <RouterLink class="n" :to="{ name: 'unit', params: { id: store.rewind?.unit ?? '' } }">{{
          store.unit?.tag
        }}</RouterLink>
        <strong>{{ store.unit?.model }}</strong> rewind of {{ store.state.coils.length }}
        {{ store.state.coils.length === 1 ? 'coil' : 'coils' }}
      </p>
      <p class="kit">
        live ground
        <strong :class="store.state.ground">{{ store.state.ground === 'beep' ? 'beeps' : store.state.ground }}</strong>
        <RouterLink v-if="store.rewind?.before" :to="{ name: 'bench', params: { run: store.rewind.before } }"
          >the run before</RouterLink
        >
      </p>
    </section>
    <WinderPath class="path-area" :state="store.state" :here="step.id" @go="winding.cursor.value = $event" />
    <section class="work" aria-label="The step">
      <div class="inside">
        <h1 aria-live="polite">{{ title.title }}</h1>
        <p class="how">{{ title.how }}</p>
        <template v-if="kind === 'turns' || kind === 'wire' || kind === 'wind'">
          <FigureBox
            label="Type the figure"
            :digits="digits"
            :unit="unit"
            :typed="line?.text ?? null"
            @type="winding.put"
          />
          <p v-if="left !== undefined" class="left" aria-live="polite">
            <template v-if="left > 0"
              ><strong class="n">{{ left }}</strong> to go of {{ target
              }}<template v-if="left <= 10">: the last ones</template></template
            ><template v-else-if="left === 0">That is all {{ target }} of them.</template
            ><template v-else>{{ -left }} more than the {{ target }} that were planned.</template>
          </p>
          <p v-if="kind === 'wind' && lay" class="left">
            laid <strong>{{ layWords[lay] }}</strong><template v-if="machine"
              >: turn the machine {{ layWords[machine] }}</template
            >
          </p>
          <p class="acts">
            <template v-if="kind !== 'wire'"
              ><ScreenKey act="one" /><ScreenKey act="ten" /><ScreenKey main act="counted"
            /></template>
            <template v-if="kind === 'wind'"
              ><ScreenKey act="ground" /><ScreenKey act="beep" /><ScreenKey act="mended" /><ScreenKey
                act="alike" /><ScreenKey act="meter" :label="meter?.name ?? 'next meter'" /><ScreenKey
                act="splice" /><ScreenKey act="restart"
            /></template>
            <ScreenKey v-if="kind !== 'wind'" act="unknown" /><ScreenKey
              v-if="kind === 'wire'"
              act="build"
              :label="build ? `${build} film` : 'either film'"
            />
          </p>
          <div v-if="kind === 'wire' && fits.length > 0" class="choices">
            <ScreenKey
              v-for="(fit, i) in fits"
              :key="i"
              act="take"
              :at="i"
              :label="wireWords(fit, figures)"
              :hint="`${figures.plain(fit.overallMm, 4)} mm over its film`"
              :main="i === 0"
            />
          </div>
        </template>
        <div v-else-if="kind === 'direction'" class="choices">
          <ScreenKey v-for="({ words }, i) in lays" :key="words" act="turn" :at="i" :label="words" />
        </div>
        <PlanForm
          v-else-if="kind === 'plan' && coil"
          ref="plan"
          :coil="coil"
          :known="known"
          :sisters="sisters"
          @keep="(store.add({ kind: 'plan', coil: coil.coil.id, plan: $event }), winding.done())"
        />
        <p v-else-if="kind === 'prove'" class="acts"><ScreenKey main act="prove" /></p>
        <p v-if="holding && (kind === 'wind' || kind === 'prove')" class="acts"><ScreenKey act="keepSo" /></p>
        <p v-if="problem || asked" class="problem" role="alert">{{ problem || asked }}</p>
      </div>
      <AskLine
        v-if="situation === 'asking'"
        :key="`${step.id}${beside}${store.state.rewind.entries.length}`"
        :question="beside === 'note' ? 'Note' : beside ? 'Keep it as it is: why?' : title.title"
        :offers="beside ? [] : offers"
        @keep="say"
        @leave="beside ? (beside = undefined) : winding.go(1)"
      />
      <p v-else class="acts foot">
        <ScreenKey quiet act="undo" /><ScreenKey quiet act="note" /><ScreenKey quiet act="sheet" /><ScreenKey
          quiet
          act="save"
        />
      </p>
    </section>
    <WinderFacts class="facts-area" :state="store.state" :coil="step.coil" />
    <WinderTape class="tape-area" :state="store.state" />
  </main>
  <main v-else class="empty">
    <h1>{{ store.missing ? 'This rewind cannot be shown.' : 'Opening the rewind …' }}</h1>
    <p v-if="store.missing">{{ store.missing }} <RouterLink to="/">Go to the queue</RouterLink></p>
  </main>
</template>

<style scoped src="./winderScreen.css"></style>
