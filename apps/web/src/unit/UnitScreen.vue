<script setup lang="ts">
import type { CardView, QueueUnit, UnitRun, UnitRuns } from '@sure-spool/contract'
import { againstPast, quantityOf, type Card } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import KeyButton from '../parts/KeyButton.vue'
import { isTaken, useKeys } from '../parts/keys'
import VerdictMark from '../parts/VerdictMark.vue'
import { ask } from '../store/api'
import { useBench } from '../store/bench'
import { keepCopy, readCopy } from '../store/kept'
import { useOutbox } from '../store/outbox'
import { useShop } from '../store/shop'
import { useFigures } from '../words/figures'
import { decisionWords, familyWords, findingMarks, findingWords, historyWords, outcomeWords } from '../words/kinds'
import { pairLabel } from '../words/points'
import { day } from '../words/times'

/** One unit: its runs side by side, what moved between them, and what became of it. */
const props = defineProps<{ id: string }>()
const router = useRouter()
const bench = useBench()
const outbox = useOutbox()
const shop = useShop()
const figures = useFigures()
const unit = ref<QueueUnit>()
const runs = ref<UnitRun[]>([])
const card = ref<Card>()
const problem = ref('')

async function load(): Promise<void> {
  const key = `unit:${props.id}`
  const copy = await readCopy<{ unit: QueueUnit; runs: UnitRun[]; card: Card }>(key)
  if (copy) ({ unit: unit.value, runs: runs.value, card: card.value } = copy)
  try {
    const [one, all] = await Promise.all([
      ask<QueueUnit>(`/units/${props.id}`),
      ask<UnitRuns>(`/units/${props.id}/runs?limit=12`),
    ])
    const revision = all.runs[0]?.revision ?? one.card.revision
    const shown = await ask<Card>(`/cards/${one.card.id}/revisions/${revision}`).catch(
      async () => (await ask<CardView>(`/cards/${one.card.id}`)).card,
    )
    unit.value = one
    runs.value = all.runs
    card.value = shown
    await keepCopy(key, { unit: one, runs: all.runs, card: shown })
  } catch (error) {
    if (!copy) problem.value = error instanceof Error ? error.message : String(error)
  }
}
watch(() => props.id, load, { immediate: true })
watch(
  () => outbox.waiting,
  (now, before) => now === 0 && before > 0 && void load(),
)

const last = computed(() => runs.value[0])
const columns = computed(() => runs.value)
const rows = computed(() => {
  const one = card.value
  if (!one) return []
  return one.checks
    .filter((check) => check.kind !== 'look')
    .flatMap((check) => {
      const places = new Map<string, { pair?: [string, string]; index?: number }>()
      for (const { comparison } of runs.value)
        for (const { check: id, pair, index } of comparison.figures)
          if (id === check.id)
            places.set(`${pair?.join(' ') ?? ''} ${index ?? ''}`, {
              ...(pair ? { pair } : {}),
              ...(index === undefined ? {} : { index }),
            })
      if (places.size === 0) places.set('', {})
      return [...places.values()].map((place, i) => ({
        key: `${check.id} ${i}`,
        label: check.label,
        where: place.index === undefined ? (place.pair ? pairLabel(one, place.pair) : '') : `number ${place.index}`,
        cells: runs.value.map((run, at) => cellOf(run, runs.value[at + 1], check.id, quantityOf(check), place)),
      }))
    })
    .filter((row) => row.cells.some((cell) => cell.verdict !== undefined))
})

function figureOf(run: UnitRun | undefined, check: string, place: { pair?: [string, string]; index?: number }) {
  return run?.comparison.figures.find(
    (one) =>
      one.check === check &&
      one.index === place.index &&
      (place.pair === undefined || [...(one.pair ?? [])].sort().join() === [...place.pair].sort().join()),
  )
}

function cellOf(
  run: UnitRun,
  earlier: UnitRun | undefined,
  check: string,
  quantity: ReturnType<typeof quantityOf>,
  place: { pair?: [string, string]; index?: number },
) {
  const verdict = run.verdicts.find((one) => one.check === check)
  const figure = figureOf(run, check, place)
  const before = figureOf(earlier, check, place)
  const change = figure && before ? againstPast(figure, before) : undefined
  return {
    side: sides[verdict?.reason ?? ''] ?? ('other' as const),
    verdict: verdict?.reason === 'not-read' ? undefined : verdict?.held ? ('none' as const) : verdict?.verdict,
    text: figure ? figures.figure(Number(figure.value.toPrecision(4)), quantity) : '',
    open: !figure && verdict?.reason?.startsWith('open') === true,
    moved:
      change?.moved && change.percent !== null
        ? `${change.percent > 0 ? '+' : ''}${figures.plain(change.percent, 2)} %`
        : '',
  }
}

/** on which side of its limits a figure lies, as its reason says */
const sides: Record<string, 'high' | 'low'> = { 'above-maximum': 'high', 'below-minimum': 'low' }
const person = (id: string) => shop.people.find((one) => one.id === id)?.name.split(' ')[0] ?? ''
/** what it was closed as, where today's program finds otherwise */
const closedAs = ({ findings, finding }: UnitRun) => {
  const kept = findings.at(-1)
  return kept && kept.finding !== finding ? `${findingWords[kept.finding]}, by core ${kept.core}` : ''
}

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
  const standing = bench.state?.tape.entries.findLast(
    (entry) => entry.kind === 'outcome' && !bench.state?.tape.takenBack.has(entry.id),
  )
  if (standing) bench.add({ kind: 'take-back', entry: standing.id, reason: 'said otherwise' })
  const same = standing?.kind === 'outcome' && standing.what === what
  if (!same) bench.add({ kind: 'outcome', what, words: '' })
  const outcome = same ? undefined : { what, words: '', at: new Date().toISOString() }
  runs.value = runs.value.map((one) => {
    const { outcome: _before, ...rest } = one
    return one.run === run.run ? { ...rest, ...(outcome ? { outcome } : {}) } : one
  })
}

useKeys((event) => {
  if (isTaken(event)) return false
  if (event.key === 'Enter') void begin()
  else if (event.key === '1') void became('ran-well')
  else if (event.key === '2') void became('came-back')
  else if (event.key === 'Escape') void router.push('/')
  else if (event.key === '/') void router.push({ name: 'cards' })
  else return false
  return true
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
        <KeyButton cap="1" label="ran well" :disabled="!last?.closed" @press="became('ran-well')" />
        <KeyButton cap="2" label="came back" :disabled="!last?.closed" @press="became('came-back')" />
        <KeyButton main cap="Enter" :label="last && !last.closed ? 'go on' : 'start its next run'" @press="begin" />
      </p>
    </header>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="runs.length === 0" class="muted">It has not been on the bench yet.</p>
    <div v-else class="scroll" tabindex="0">
      <table class="ruled">
        <caption class="unseen">
          Its runs side by side, the newest first
        </caption>
        <thead>
          <tr>
            <th scope="col"><span class="unseen">check</span></th>
            <th v-for="run in columns" :key="run.run" scope="col">
              <RouterLink :to="{ name: 'sheet', params: { run: run.run } }">{{ day(run.startedAt) }}</RouterLink>
              <small>{{ historyWords[run.history] }}, {{ person(run.by) }}, revision {{ run.revision }}</small>
            </th>
          </tr>
          <tr class="found">
            <th scope="row">found</th>
            <td v-for="run in columns" :key="run.run">
              <VerdictMark :mark="findingMarks[run.finding]" :size="18" />
              <strong>{{ findingWords[run.finding] }}</strong><small v-if="run.decision"
                >{{ decisionWords[run.decision.what as keyof typeof decisionWords] }}: {{ run.decision.why }}</small
              ><small v-else-if="!run.closed">still open</small
              ><small v-if="closedAs(run)">closed as {{ closedAs(run) }}</small>
            </td>
          </tr>
          <tr class="found">
            <th scope="row">became of it</th>
            <td v-for="run in columns" :key="run.run">
              <template v-if="run.outcome"
                ><VerdictMark :mark="run.outcome.what === 'ran-well' ? 'done' : 'flagged'" :size="18" />
                <strong>{{ outcomeWords[run.outcome.what] }}</strong></template
              ><span v-else class="muted">{{ run.closed ? 'not said' : '' }}</span>
            </td>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.key">
            <th scope="row">
              {{ row.label }} <small>{{ row.where }}</small>
            </th>
            <td v-for="(cell, i) in row.cells" :key="i">
              <template v-if="cell.verdict !== undefined">
                <VerdictMark :mark="cell.verdict" :side="cell.side" :size="18" />
                <strong class="n">{{ cell.text || (cell.open ? 'open' : '') }}</strong>
                <span v-if="cell.moved" class="moved n" title="more than both uncertainties since the run before">{{
                  cell.moved
                }}</span></template
              >
            </td>
          </tr>
        </tbody>
      </table>
      <p class="muted">
        Figures net of leads, metal at {{ figures.temperature(20) }}. A percentage is a change beyond both
        uncertainties.
      </p>
    </div>
  </main>
  <main v-else class="empty">
    <h1>{{ problem ? 'This unit cannot be shown.' : 'Opening the unit …' }}</h1>
    <p>{{ problem }} <RouterLink to="/">The queue</RouterLink></p>
  </main>
</template>

<style scoped>
.unit-screen {
  padding: 14px 20px;
  display: grid;
  gap: 14px;
  align-content: start;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  align-items: end;
  flex-wrap: wrap;
}
h1 {
  font-size: 30px;
}
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.problem {
  color: var(--outside);
  font-weight: 600;
}
.scroll {
  overflow-x: auto;
}
thead th {
  color: inherit;
  font-weight: 700;
  font-size: 17px;
}
table {
  width: auto;
  min-width: 60%;
}
tbody th {
  min-width: 220px;
}
small {
  display: block;
  font-size: 15px;
  color: var(--muted);
  font-weight: 400;
  max-width: 30ch;
}
tbody th small {
  display: inline;
}
.moved {
  margin-left: 8px;
  color: var(--copper);
}
.empty {
  padding: 40px 20px;
}
</style>
