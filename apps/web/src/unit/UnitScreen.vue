<script setup lang="ts">
import { entriesThatStand } from '@sure-spool/core'
import Message from 'primevue/message'
import Skeleton from 'primevue/skeleton'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import FileField from '../fields/FileField.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import '../look/controls/signs'
import { useBench } from '../store/bench'
import { useFigures } from '../words/figures'
import { familyWords, historyWords } from '../words/kinds'
import RewindsOf from '../winder/RewindsOf.vue'
import { useRewindFile } from '../winder/useRewindFile'
import RunsTable from './RunsTable.vue'
import { unitKeys } from './unitKeys'
import { useUnit } from './useUnit'

/** One unit: its runs side by side, what moved between them, and what became of it. */
const props = defineProps<{ id: string }>()
const router = useRouter()
const bench = useBench()
const figures = useFigures()
const { unit, runs, card, problem } = useUnit(() => props.id)
const last = computed(() => runs.value[0])

async function begin(): Promise<void> {
  if (!unit.value) return
  try {
    await router.push({ name: 'bench', params: { run: await bench.startFor(unit.value) } })
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}

/** What became of it, on the tape of its last closed run: one key, taken back by the same key again. */
async function became(what: 'ran-well' | 'came-back'): Promise<void> {
  const run = last.value
  if (!run?.closed) {
    problem.value = 'What became of it is said once its run is closed.'
    return
  }
  await bench.open(run.run)
  const standing = bench.state && entriesThatStand(bench.state.tape, 'outcome').at(-1)
  if (standing) bench.add({ kind: 'take-back', entry: standing.id, reason: 'said otherwise' })
  const same = standing?.what === what
  if (!same) bench.add({ kind: 'outcome', what, words: '' })
  const outcome = same ? undefined : { what, words: '', at: new Date().toISOString() }
  runs.value = runs.value.map((one) => {
    const { outcome: _before, ...rest } = one
    return one.run === run.run ? { ...rest, ...(outcome ? { outcome } : {}) } : one
  })
}

const file = ref<InstanceType<typeof FileField>>()
const { take } = useRewindFile()
async function wind(chosen: File): Promise<void> {
  if (!unit.value) return
  const { tag, card: of, maker, model } = unit.value
  const named = { id: props.id, tag, card: of.id, model: `${maker} ${model}`.trim() }
  try {
    await router.push({ name: 'rewind', params: { id: await take(chosen, named, last.value?.run) } })
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}

useScreenKeys(unitKeys, () => 'unit', {
  begin,
  ranWell: () => became('ran-well'),
  cameBack: () => became('came-back'),
  wind: () => file.value?.choose(),
  find: () => router.push({ name: 'cards' }),
  leave: () => router.push('/'),
})
</script>

<template>
  <main v-if="unit" class="unit-screen">
    <header>
      <div>
        <h1>
          <span class="n">{{ unit.tag }}</span> {{ unit.maker }} {{ unit.model }}
        </h1>
        <p>
          {{ familyWords[unit.family as keyof typeof familyWords] }}, {{ historyWords[unit.history]
          }}<template v-if="unit.serial">, serial {{ unit.serial }}</template
          ><template v-if="unit.from">, from {{ unit.from }}</template> {{ ' '
          }}<span class="muted">{{ unit.words ? `“${unit.words}”` : '' }}</span>
        </p>
      </div>
      <p class="acts">
        <ScreenKey act="ranWell" :disabled="!last?.closed" />
        <ScreenKey act="cameBack" :disabled="!last?.closed" />
        <ScreenKey main act="begin" :label="last && !last.closed ? 'go on' : 'start its next run'" />
      </p>
    </header>
    <Message v-if="problem" severity="error">{{ problem }}</Message>
    <p v-if="runs.length === 0" class="muted">It has not been on the bench yet.</p>
    <template v-else-if="card">
      <RunsTable :card="card" :runs="runs" />
      <p class="muted">
        Figures net of leads, metal at {{ figures.temperature(20) }}. A percentage is a change beyond both
        uncertainties.
      </p>
    </template>
    <RewindsOf :id="id" of="units" />
    <p>
      <FileField ref="file" label="wind it as a file says" accept=".json,application/json" cap="w" @chosen="wind" />
    </p>
  </main>
  <main v-else class="unit-screen">
    <h1>{{ problem ? 'This unit cannot be shown.' : 'Opening the unit …' }}</h1>
    <Skeleton v-if="!problem" height="40vh" />
    <p>{{ problem }} <RouterLink to="/">Go to the queue</RouterLink></p>
  </main>
</template>

<style scoped>
.unit-screen {
  padding: 14px 20px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
}
header {
  display: flex;
  gap: 8px 24px;
  align-items: center;
  justify-content: space-between;
  flex-wrap: wrap;
}
h1 {
  font-size: 30px;
  overflow-wrap: anywhere;
}
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
</style>
