<script setup lang="ts">
import type { QueueUnit } from '@sure-spool/contract'
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import KeyButton from '../parts/KeyButton.vue'
import { isTaken, useKeys } from '../parts/keys'
import { ScreenAway } from '../parts/screen'
import VerdictMark from '../parts/VerdictMark.vue'
import { Refused } from '../store/api'
import { useBench } from '../store/bench'
import { useOutbox } from '../store/outbox'
import { useQueue } from '../store/queue'
import { useShop } from '../store/shop'
import { complaintWords, familyWords } from '../words/kinds'
import StepTitle from '../bench/StepTitle.vue'
import PlugFace from '../parts/PlugFace.vue'
import QueueSide from './QueueSide.vue'
import TakeIn from './TakeIn.vue'
import { useLastStep } from './useLastStep'

const queue = useQueue()
const bench = useBench()
const shop = useShop()
const outbox = useOutbox()
const route = useRoute()
const router = useRouter()
const taking = ref(route.query['take'] !== undefined)
const startWith = ref(typeof route.query['take'] === 'string' ? route.query['take'] : '')
const chosenId = ref('')
const setting = ref<QueueUnit>()
const blockWords = ref('')
const problem = ref('')
const rows = ref<HTMLElement[]>([])
const line = computed(() => [...queue.bench.filter((unit) => unit.id !== queue.last?.id), ...queue.waiting])
/** The chosen unit stays chosen while the list is drawn anew around it. */
const chosen = computed({
  get: () => (chosenId.value === '' ? 0 : line.value.findIndex((unit) => unit.id === chosenId.value)),
  set: (at: number) => (chosenId.value = line.value[at]?.id ?? ''),
})
const refresh = setInterval(() => void queue.load(), 30_000)

onMounted(() => queue.load())
onBeforeUnmount(() => clearInterval(refresh))
watch(
  () => outbox.waiting,
  (now, before) => now === 0 && before > 0 && void queue.load(),
)

async function goOn(unit: QueueUnit | undefined): Promise<void> {
  if (!unit) return
  problem.value = ''
  try {
    await router.push({ name: 'bench', params: { run: await bench.startFor(unit) } })
  } catch (error) {
    if (error instanceof Error && !(error instanceof ScreenAway)) problem.value = error.message
  }
}

async function setAside(): Promise<void> {
  const unit = setting.value
  if (!unit || blockWords.value.trim() === '') return
  await moved(unit, 'blocked', blockWords.value.trim())
}

async function moved(unit: QueueUnit, place: 'waiting' | 'blocked', words?: string): Promise<void> {
  try {
    await queue.move(unit, place, words)
    setting.value = undefined
    blockWords.value = ''
  } catch (error) {
    problem.value =
      error instanceof Refused ? error.message : 'The server is away: nothing was moved. Try again when it is back.'
  }
}

function takenIn(id: string | null, tray?: string): void {
  taking.value = false
  startWith.value = ''
  if (id !== null) chosenId.value = id
  if (tray !== undefined) void router.push({ name: 'tray', params: { id: tray } })
}

useKeys((event) => {
  if (isTaken(event) || taking.value || setting.value) return false
  if (event.key === 'i') taking.value = true
  else if (event.key === 'r') void goOn(queue.last)
  else if (event.key === '/') void router.push({ name: 'cards' })
  else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
    chosen.value = Math.min(line.value.length - 1, Math.max(0, chosen.value + (event.key === 'ArrowDown' ? 1 : -1)))
    void nextTick(() => rows.value[chosen.value]?.focus())
  } else if (event.key === 'b') setting.value = line.value[chosen.value]
  else if (event.key === 'Enter') void goOn(line.value[chosen.value])
  else return false
  return true
})

const family = (unit: QueueUnit) => familyWords[unit.family as keyof typeof familyWords] ?? unit.family
const age = (unit: QueueUnit) => {
  const days = Math.floor((Date.now() - Date.parse(unit.takenInAt)) / 86_400_000)
  if (days < 1) return 'in today'
  return days < 21 ? `here ${days} ${days === 1 ? 'day' : 'days'}` : `here ${Math.round(days / 7)} weeks`
}
const complaint = (unit: QueueUnit) =>
  unit.words !== '' ? `“${unit.words}”` : unit.complaint.map((one) => complaintWords[one]).join(', ')
const short = (tag: string) => tag.replace(shop.settings.tagPrefix, '')
const { card, step: nextStep, plug, ring } = useLastStep(() => queue.last)
const today = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' }).format(new Date())

const places = [
  ['bench', 'on the bench'],
  ['waiting', 'waiting'],
  ['blocked', 'blocked'],
  ['done', 'done'],
] as const
const counted = (count: number) => (count < queue.counts.upTo ? String(count) : `${queue.counts.upTo}+`)
</script>

<template>
  <main class="queue">
    <h1 class="unseen">The queue</h1>
    <section class="day">
      <p class="muted">{{ today }}</p>
      <dl class="counts">
        <div v-for="[place, words] in places" :key="place">
          <dt>{{ words }}</dt>
          <dd class="n">{{ counted(queue.counts[place]) }}</dd>
        </div>
      </dl>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </section>

    <div class="left">
      <section v-if="queue.last" class="last" aria-labelledby="last-title">
        <p>
          <span class="n tag">{{ queue.last.tag }}</span> <strong>{{ queue.last.maker }} {{ queue.last.model }}</strong>
          {{ family(queue.last) }}, {{ queue.last.history }} <span class="muted">{{ complaint(queue.last) }}</span>
        </p>
        <div class="next">
          <StepTitle v-if="nextStep && card" id="last-title" :step="nextStep" :card="card" :level="2" again="" />
          <h2 v-else id="last-title" class="big">Go on where it was left</h2>
        </div>
        <div class="go">
          <KeyButton main cap="r" label="go on" @press="goOn(queue.last)" />
          <p class="marks">
            <VerdictMark v-for="mark in queue.last.standing?.marks" :key="mark.step" :mark="mark.mark" :size="18" />
            <span
              ><strong class="n">{{ queue.last.standing?.done }}</strong> of
              <span class="n">{{ queue.last.standing?.steps }}</span> steps</span
            >
          </p>
        </div>
        <PlugFace v-if="card && plug && ring.length > 0" class="last-plug" :card="card" :plug="plug" :ring="ring" />
      </section>

      <section class="line" aria-label="On the bench and waiting" tabindex="0">
        <p v-if="queue.known && line.length === 0" class="nothing">
          Nothing waits. Press <kbd>i</kbd> to take in a part.
        </p>
        <template v-for="(unit, i) in line" :key="unit.id">
          <h2 v-if="i === 0 || line[i - 1]?.place !== unit.place" class="label">
            {{ unit.place === 'bench' ? 'Also on the bench' : 'Waiting' }}
          </h2>
          <button
            ref="rows"
            class="plain row"
            :class="{ chosen: i === chosen }"
            @click="goOn(unit)"
            @focus="chosen = i"
          >
            <span class="n tag">{{ short(unit.tag) }}</span>
            <span class="what"
              ><strong>{{ unit.maker }}</strong> {{ unit.model
              }}<small
                >{{ unit.history }}, {{ age(unit) }}<template v-if="unit.from">, from {{ unit.from }}</template
                ><template v-if="unit.tray">, on a tray</template></small
              ></span
            >
            <span class="words">{{ complaint(unit) }}</span>
            <span class="marks"
              ><VerdictMark
                v-for="mark in (unit.standing?.marks ?? []).slice(-4)"
                :key="mark.step"
                :mark="mark.mark"
                :size="15"
            /></span>
            <span class="tally"
              ><template v-if="unit.standing"
                ><strong class="n">{{ unit.standing.done }}</strong> of
                <span class="n">{{ unit.standing.steps }}</span></template
              ></span
            >
          </button>
        </template>
      </section>
    </div>

    <QueueSide class="side-area" @free="moved($event, 'waiting')" />

    <form v-if="setting" class="foot asking" @submit.prevent="setAside" @keydown.esc="setting = undefined">
      <label for="block-words">What does {{ setting.tag }} wait for?</label>
      <input id="block-words" v-model="blockWords" class="field" autofocus maxlength="200" />
      <KeyButton main cap="Enter" label="set aside" @press="setAside" />
      <KeyButton cap="Esc" label="leave" @press="setting = undefined" />
    </form>
    <TakeIn v-else-if="taking" class="foot" :start-with="startWith" @done="takenIn" />
    <footer v-else class="foot keys">
      <KeyButton cap="i" :label="`take in a part, ${shop.nextTag}`" @press="taking = true" />
      <KeyButton
        quiet
        cap="Enter"
        label="take to the bench"
        :disabled="line.length === 0"
        @press="goOn(line[chosen])"
      />
      <KeyButton quiet cap="b" label="set aside" :disabled="line.length === 0" @press="setting = line[chosen]" />
      <KeyButton quiet cap="/" label="cards" @press="router.push({ name: 'cards' })" />
      <KeyButton quiet cap="w" label="who is at the bench" @press="shop.nextPerson()" />
    </footer>
  </main>
</template>

<style scoped>
.queue {
  display: grid;
  grid-template: 'day day' auto 'left side' minmax(0, 1fr) 'foot foot' auto / minmax(0, 1fr) 325px;
  min-height: 0;
  height: calc(100dvh - 48px);
}
.left {
  grid-area: left;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.day {
  grid-area: day;
  display: flex;
  gap: 40px;
  align-items: center;
  padding: 10px 20px;
  background: var(--panel);
  border-bottom: 1px solid var(--hairline);
}
.counts {
  display: flex;
  gap: 28px;
}
.counts div {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.counts dt {
  color: var(--muted);
}
.counts dd {
  font-size: 20px;
  font-weight: 600;
}
.problem {
  color: var(--outside);
  font-weight: 600;
}
.last {
  padding: 16px 20px 18px 28px;
  background: var(--tint);
  border-left: 5px solid var(--copper);
  border-bottom: 1px solid var(--hairline);
}
.last .tag {
  margin-right: 8px;
  font-size: 18px;
}
.last {
  position: relative;
}
.last-plug {
  position: absolute;
  right: 20px;
  top: 12px;
  width: 230px;
}
.next :deep(.title) {
  font-size: 40px;
  margin: 4px 0 12px;
}
.big {
  font-size: 40px;
  font-weight: 700;
  line-height: 1.2;
  margin: 4px 0 12px;
}
.go {
  display: flex;
  gap: 24px;
  align-items: center;
}
.go :deep(.key-button) {
  min-width: 180px;
  min-height: 52px;
  font-size: 19px;
}
.marks {
  display: flex;
  gap: 4px;
  align-items: center;
  flex-wrap: wrap;
}
.go .marks {
  gap: 6px 8px;
}
.line {
  flex: 1;
  overflow: auto;
  border-right: 1px solid var(--hairline);
}
.line h2 {
  padding: 12px 20px 4px;
}
.nothing {
  padding: 24px 20px;
}
.row {
  display: grid;
  grid-template-columns: 64px minmax(220px, 1.2fr) 1.4fr 190px 76px;
  gap: 14px;
  align-items: center;
  width: 100%;
  min-height: 56px;
  padding: 5px 20px;
  border-bottom: 1px solid var(--hairline);
}
.row.chosen {
  background: var(--panel);
  box-shadow: inset 5px 0 var(--copper);
}
.row .tag {
  font-size: 18px;
  overflow-wrap: anywhere;
}
.row small {
  display: block;
  color: var(--muted);
  font-size: 15px;
}
.tally {
  text-align: right;
  color: var(--muted);
}
.tally strong {
  color: var(--ink);
}
.side-area {
  grid-area: side;
  min-height: 0;
}
.foot {
  grid-area: foot;
}
.keys {
  display: flex;
  gap: 12px;
  padding: 10px 20px;
  border-top: 1px solid var(--ink);
  background: var(--panel);
  align-items: center;
}
.asking {
  display: grid;
  grid-template-columns: auto 1fr auto auto;
  gap: 14px;
  align-items: center;
  padding: 14px 20px;
  background: var(--tint);
  border-top: 3px solid var(--copper);
}
@media (max-width: 1100px) {
  .queue {
    grid-template-columns: minmax(0, 1fr) 270px;
  }
  .row {
    grid-template-columns: 56px 1fr 1fr 64px;
  }
  .row .marks {
    display: none;
  }
}
@media (max-width: 900px) {
  .queue {
    grid-template: 'day' auto 'left' auto 'side' 1fr 'foot' auto / minmax(0, 1fr);
    height: auto;
    min-height: calc(100dvh - 48px);
  }
  .counts {
    gap: 16px;
  }
  .keys {
    flex-wrap: wrap;
  }
}
</style>
