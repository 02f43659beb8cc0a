<script setup lang="ts">
import type { QueueUnit } from '@sure-spool/contract'
import { useIntervalFn } from '@vueuse/core'
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import { loadTakeIn } from '../screen/loadable'
import { ScreenAway } from '../screen/lazyScreen'
import { Refused } from '../store/api'
import { useBench } from '../store/bench'
import { useOutbox } from '../store/outbox'
import { useQueue } from '../store/queue'
import { useShop } from '../store/shop'
import LastRun from './LastRun.vue'
import { queueKeys } from './queueKeys'
import QueueRows from './QueueRows.vue'
import QueueSide from './QueueSide.vue'
import SetAside from './SetAside.vue'

/** The queue: what is on the bench, waiting, blocked and done; one key goes on with the last run, one takes in a part. */
const TakeIn = defineAsyncComponent(loadTakeIn)
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
const problem = ref('')
const rows = ref<InstanceType<typeof QueueRows>>()
const aside = ref<InstanceType<typeof SetAside>>()
const line = computed(() => [...queue.bench.filter((unit) => unit.id !== queue.last?.id), ...queue.waiting])
/** The chosen unit stays chosen while the list is drawn anew around it. */
const chosen = computed({
  get: () => (chosenId.value === '' ? 0 : line.value.findIndex((unit) => unit.id === chosenId.value)),
  set: (at: number) => (chosenId.value = line.value[at]?.id ?? ''),
})
useIntervalFn(() => void queue.load(), 30_000)
onMounted(() => queue.load())
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

async function moved(unit: QueueUnit, place: 'waiting' | 'blocked', words?: string): Promise<void> {
  try {
    await queue.move(unit, place, words)
    setting.value = undefined
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

useScreenKeys(queueKeys, () => (setting.value ? 'settingAside' : taking.value ? 'takingIn' : 'list'), {
  takeIn: () => (taking.value = true),
  goOn: () => goOn(queue.last),
  toBench: () => goOn(line.value[chosen.value]),
  down: () => rows.value?.move(1),
  up: () => rows.value?.move(-1),
  setAside: () => (setting.value = line.value[chosen.value]),
  find: () => router.push({ name: 'cards' }),
  keepAside: () => aside.value?.keep(),
  leave: () => void (setting.value = undefined),
})

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
      <LastRun v-if="queue.last" :unit="queue.last" />
      <section class="line" aria-label="On the bench and waiting" tabindex="0">
        <p v-if="queue.known && line.length === 0" class="nothing">
          Nothing waits. Press <kbd>i</kbd> to take in a part.
        </p>
        <QueueRows ref="rows" :units="line" :chosen="chosen" @choose="chosen = $event" @open="goOn" />
      </section>
    </div>
    <QueueSide class="side-area" @free="moved($event, 'waiting')" />
    <SetAside
      v-if="setting"
      ref="aside"
      class="foot"
      :unit="setting"
      @keep="moved(setting, 'blocked', $event)"
      @leave="setting = undefined"
    />
    <TakeIn v-else-if="taking" class="foot" :start-with="startWith" @done="takenIn" />
    <footer v-else class="foot keys">
      <ScreenKey act="takeIn" :label="`take in a part, ${shop.nextTag}`" />
      <ScreenKey quiet act="toBench" :disabled="line.length === 0" />
      <ScreenKey quiet act="setAside" :disabled="line.length === 0" />
      <ScreenKey quiet act="find" />
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
  min-width: 0;
}
.day {
  grid-area: day;
  display: flex;
  gap: 4px 40px;
  flex-wrap: wrap;
  align-items: center;
  padding: 10px 20px;
  background: var(--panel);
  border-bottom: 1px solid var(--hairline);
}
.counts {
  display: flex;
  gap: 4px 28px;
  flex-wrap: wrap;
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
.line {
  flex: 1;
  overflow: auto;
  border-right: 1px solid var(--hairline);
}
.nothing {
  padding: 24px 20px;
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
  flex-wrap: wrap;
}
@media (max-width: 1100px) {
  .queue {
    grid-template-columns: minmax(0, 1fr) 270px;
  }
}
@media (max-width: 900px) {
  .queue {
    grid-template: 'day' auto 'left' auto 'side' minmax(0, 1fr) 'foot' auto / minmax(0, 1fr);
    height: auto;
    min-height: calc(100dvh - 48px);
  }
}
/* upright and high enough, the foot stays in sight: what is taken in is seen whole */
@media (max-width: 900px) and (min-height: 1000px) {
  .queue {
    grid-template-rows: auto minmax(0, 3fr) minmax(0, 2fr) auto;
    height: calc(100dvh - 48px);
  }
  .side-area {
    border-top: 1px solid var(--hairline);
  }
}
</style>
