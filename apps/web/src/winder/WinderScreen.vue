<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import AskLine from '../bench/AskLine.vue'
import { useBackToLine } from '../bench/useBackToLine'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import { saveFile } from '../screen/saveFile'
import PhotoField from '../photos/PhotoField.vue'
import { usePhotos } from '../store/photos'
import { useRewind } from '../store/rewind'
import { useShop } from '../store/shop'
import { useFigures } from '../words/figures'
import { coilLabel, notKnown } from '../words/rewind'
import { rewindStepWords } from '../words/rewindSteps'
import { day } from '../words/times'
import CountWork from './CountWork.vue'
import { lays } from './lays'
import { swings } from './swings'
import { writeRewindFile } from './rewindFile'
import PlanForm from './PlanForm.vue'
import { useBefore } from './useBefore'
import { useProving } from './useProving'
import { useWinding } from './useWinding'
import { useWoundAlike } from './useWoundAlike'
import WinderFacts from './WinderFacts.vue'
import { winderKeys, type WinderSituation } from './winderKeys'
import WinderPath from './WinderPath.vue'
import WinderTape from './WinderTape.vue'

/** The winder: from the dead coil to the proven one, one thing to do at a time. */
const props = defineProps<{ id: string }>()
const store = useRewind()
const shop = useShop()
const figures = useFigures()
const router = useRouter()
const winding = useWinding()
const { holding, isHeld, prove } = useProving(() => winding.step.value, winding.problem)
const { step, kind, coil, sisters, line, problem, other } = winding
const known = useBefore(
  () => store.rewind?.before,
  () => coil.value?.coil.winding,
)
const wound = useWoundAlike(
  () => store.unit?.card,
  () => store.rewind?.id,
  () => coil.value?.coil.winding,
)
const photos = usePhotos()
/** what is stripped and what is finished can be shown */
const hasPhotos = computed(() => !['plan', 'wind'].includes(kind.value))
const backToAsking = () => document.getElementById('ask-words')?.focus()
const plan = ref<InstanceType<typeof PlanForm>>()
/** what is asked in words beside the step: a note, or why a stop is kept as it is */
const beside = ref<'note' | 'answer'>()
const asked = ref('')
watch(
  () => props.id,
  (id) => {
    photos.leave()
    void store.open(id)
  },
  { immediate: true },
)
watch(step, () => (asked.value = ''))

const wantsWords = computed(() => ['lay', 'ends', 'finish'].includes(kind.value))
const situation = computed<WinderSituation>(() => {
  if (!store.state || !step.value) return 'absent'
  if (beside.value || wantsWords.value) return 'asking'
  if (line.value) return 'line'
  const at = kind.value
  return at === 'turns' || at === 'wire' || at === 'wind' || at === 'direction' || at === 'plan' || at === 'phase'
    ? at
    : 'prove'
})
const title = computed(() => (store.state && step.value ? rewindStepWords(store.state, step.value) : undefined))
/** what is written on each winding, ready to be put on it */
const labels = computed(() => {
  const { state } = store
  const on = { day: day(new Date().toISOString()), who: shop.person?.name ?? '' }
  const leaders = (state?.coils ?? []).filter(
    (one, i, all) => all.findIndex(({ coil: first }) => first.winding === one.coil.winding) === i,
  )
  return leaders.slice(0, 3).map(
    (one) =>
      `label: ${coilLabel(
        one,
        state?.wholes.find(({ winding: of }) => of === one.coil.winding),
        on,
        figures,
      )}`,
  )
})
const offers = computed(() => {
  if (kind.value === 'lay') return ['clockwise from outside', 'counter-clockwise from outside', notKnown]
  if (kind.value === 'ends') return [notKnown]
  return kind.value === 'finish' ? ['leads soldered and sleeved', 'taped', 'no fixing', ...labels.value] : []
})
const nth = (act: 'take' | 'turn' | 'swing', key: string) => winderKeys.acts[act].keys.indexOf(key)

function say(words: string): void {
  if (beside.value) {
    const { key = '' } = holding.value ?? {}
    winding.keep(beside.value === 'note' ? { kind: 'note', words } : { kind: 'answer', remark: key, reason: words })
    beside.value = undefined
    problem.value = ''
    return
  }
  asked.value = winding.say(words)
}
async function save(): Promise<void> {
  if (!store.rewind) return
  const { text, without } = await writeRewindFile(store.rewind)
  saveFile(`${store.unit?.tag ?? 'part'}-rewind.json`, 'application/json', text)
  if (without > 0)
    problem.value = `Saved without ${without} of its photos: they were neither in this browser nor to be had from the server. Save it again when it is there.`
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
    swing: (key) => winding.swung(nth('swing', key)),
    soFar: winding.soFar,
    photo: () => photos.wanted++,
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
    save: () => void save(),
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
        <CountWork v-if="kind === 'turns' || kind === 'wire' || kind === 'wind'" :winding="winding"
          ><ScreenKey v-if="holding" act="keepSo"
        /></CountWork>
        <div v-else-if="kind === 'phase'" class="choices">
          <ScreenKey v-for="({ words }, i) in swings" :key="words" act="swing" :at="i" :label="words" />
        </div>
        <div v-else-if="kind === 'direction'" class="choices">
          <ScreenKey v-for="({ words }, i) in lays" :key="words" act="turn" :at="i" :label="words" />
        </div>
        <PlanForm
          v-else-if="kind === 'plan' && coil"
          ref="plan"
          :coil="coil"
          :known="known"
          :wound="wound"
          :sisters="sisters"
          @keep="(store.add({ kind: 'plan', coil: coil.coil.id, plan: $event }), winding.done())"
        />
        <p v-else-if="kind === 'prove'" class="acts">
          <ScreenKey main act="prove" /><ScreenKey v-if="holding" act="keepSo" />
        </p>
        <PhotoField v-if="hasPhotos && situation === 'asking'" @taken="backToAsking" />
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
      <div v-else class="acts foot">
        <ScreenKey quiet act="undo" /><ScreenKey quiet act="note" /><ScreenKey quiet act="sheet" /><ScreenKey
          quiet
          act="save"
        />
        <PhotoField v-if="hasPhotos" cap="f" quiet />
      </div>
    </section>
    <WinderFacts class="facts-area" :state="store.state" :coil="step.coil" :phase="step.phase" />
    <WinderTape class="tape-area" :state="store.state" />
  </main>
  <main v-else class="empty">
    <h1>{{ store.missing ? 'This rewind cannot be shown.' : 'Opening the rewind …' }}</h1>
    <p v-if="store.missing">{{ store.missing }} <RouterLink to="/">Go to the queue</RouterLink></p>
  </main>
</template>

<style scoped src="./winderScreen.css"></style>
