<script setup lang="ts">
import type { CardRecord, CardView } from '@sure-spool/contract'
import { expectedOf, prepareCard, quantityOf, type Card, type PreparedLimit } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import KeyButton from '../parts/KeyButton.vue'
import { isTaken, useKeys } from '../parts/keys'
import { useHold } from '../parts/useHold'
import WindingLine from '../parts/WindingLine.vue'
import { ask } from '../store/api'
import { keepCard } from '../store/cardCopies'
import { readCopy, keepCopy } from '../store/kept'
import { newId } from '../store/ids'
import { useFigures } from '../words/figures'
import { conditionWords } from '../words/conditions'
import { familyWords, gradeWords } from '../words/kinds'
import { pairLabel } from '../words/points'
import CardSide from './CardSide.vue'
import KnownGood from './KnownGood.vue'
import UnitStrip from './UnitStrip.vue'
import { cameBackWords } from './useRecord'

/** One card: its face, windings, limits side by side with who says so, and the shop's own units as strokes over them. */
const props = defineProps<{ id: string }>()
const router = useRouter()
const figures = useFigures()
const view = ref<CardView>()
const record = ref<CardRecord>()
const problem = ref('')
const card = computed<Card | undefined>(() => view.value?.card)

watch(
  () => props.id,
  async (id) => {
    const copy = await readCopy<CardView>(`view:${id}`)
    if (copy) view.value = copy
    try {
      const fresh = await ask<CardView>(`/cards/${id}`)
      // kept before it is shown: what has been seen can be worked with when the server is gone a moment later
      await Promise.all([keepCopy(`view:${id}`, fresh), keepCard(fresh.card)])
      view.value = fresh
      record.value = await ask<CardRecord>(`/cards/${id}/record`)
    } catch (error) {
      if (!view.value) problem.value = error instanceof Error ? error.message : String(error)
    }
  },
  { immediate: true },
)

const { hold, flip, turn } = useHold(() => `${props.id}.${card.value?.plugs[0]?.id ?? ''}`)
const rows = computed(() => {
  const one = card.value
  if (!one) return []
  const prepared = prepareCard(one)
  return [...prepared.checks.values()]
    .filter((check) => check.kind !== 'look')
    .map((check) => {
      const seen = new Map<string, PreparedLimit & { forHistory: string }>()
      for (const history of ['used', 'new', 'rewound'] as const)
        for (const limit of check.limits[history]) {
          const key = `${limit.id} ${limit.band.min} ${limit.band.max}`
          if (!seen.has(key))
            seen.set(key, {
              ...limit,
              forHistory: limit.for === 'any' && history !== 'used' ? history : limit.for,
            })
        }
      return {
        id: check.id,
        label: check.label,
        points: check.points.map((point) => pairLabel(one, point.pair)).join(', '),
        required: check.required,
        quantity: quantityOf(check),
        conditions: check.conditions,
        readings: (record.value?.readings ?? []).filter((reading) => reading.check === check.id),
        limits: [...seen.values()].map((limit) => ({
          limit,
          source: one.sources.find((source) => source.id === limit.source),
        })),
        middle: expectedOf(check.limits.used[0]?.band ?? {}),
      }
    })
})
const cameBack = computed(
  () => new Set((record.value?.readings ?? []).filter((one) => one.cameBack).map((one) => one.tag)),
)
const headline = computed(() => {
  const one = card.value
  if (!one) return ''
  const best = one.sources.some((source) => source.grade === 'maker') ? 'Maker’s figures' : 'No maker’s figures'
  const units = record.value?.units ?? 0
  if (units === 0) return `${best}, and no unit of it tested here yet.`
  return `${best}, and ${units} ${units === 1 ? 'unit' : 'units'} of it tested here.`
})
const bandText = ({ band, stated }: PreparedLimit, quantity: ReturnType<typeof quantityOf>) => {
  const { min, max } = band
  if (min !== undefined && max !== undefined) return `${figures.bound(min, quantity)} – ${figures.bound(max, quantity)}`
  if (min !== undefined)
    return stated !== 'derived' && stated.kind === 'open'
      ? `open, ${figures.bound(min, quantity)} or more`
      : `at least ${figures.bound(min, quantity)}`
  return max === undefined ? 'no figure' : `at most ${figures.bound(max, quantity)}`
}
/** The draft after the newest revision, begun or gone on with. */
const draftOf = computed(() => {
  const last = view.value?.revisions.at(-1)
  return last?.state === 'draft' ? last.revision : (last?.revision ?? 0) + 1
})
const revise = () => void router.push({ name: 'write', params: { id: props.id, revision: String(draftOf.value) } })
const duplicate = () =>
  void router.push({ name: 'write', params: { id: newId(), revision: '1' }, query: { from: props.id } })
const takeIn = () => void router.push({ name: 'queue', query: { take: props.id } })
useKeys((event) => {
  if (isTaken(event)) return false
  if (event.key === 'Enter' || event.key === 'i') takeIn()
  else if (event.key === 'f') flip()
  else if (event.key === 'F') turn()
  else if (event.key === 'e') revise()
  else if (event.key === 'y') duplicate()
  else if (event.key === 'p') window.print()
  else if (event.key === '/' || event.key === 'Escape') void router.push({ name: 'cards' })
  else return false
  return true
})
</script>

<template>
  <main v-if="card" class="card">
    <header class="unit">
      <p>
        <strong>{{ card.name.maker }} {{ card.name.model }}</strong> <span>{{ familyWords[card.family] }}</span>
        <span v-if="card.name.partNumbers.length"
          >part <span class="n">{{ card.name.partNumbers.join(', ') }}</span></span
        >
        <span class="muted">revision {{ card.revision }}, {{ card.state }}</span>
      </p>
      <p class="acts">
        <KeyButton quiet cap="/" label="find" @press="router.push({ name: 'cards' })" />
        <KeyButton quiet cap="y" label="a card like it" @press="duplicate" />
        <KeyButton
          cap="e"
          :label="view?.revisions.at(-1)?.state === 'draft' ? 'go on with its draft' : 'revise'"
          @press="revise"
        />
        <KeyButton main cap="Enter" label="take in a unit of this card" @press="takeIn" />
      </p>
    </header>
    <CardSide class="side-area" :card="card" :hold="hold" @flip="flip" />
    <section class="figures" aria-label="Figures" tabindex="0">
      <h1>{{ headline }}</h1>
      <p v-if="record && record.units > 0" class="key">
        <span
          >Each stroke is a unit: <span class="stroke sound" /> no fault found,
          <span class="n">{{ record.findings['no-fault-found'] }}</span></span
        ><span
          ><span class="stroke back" /> came back, <span class="n">{{ cameBack.size }}</span></span
        ><span
          ><span class="stroke fault" /> fault found, <span class="n">{{ record.findings['fault-found'] }}</span></span
        ><span class="muted">net of leads, at the reference</span>
      </p>
      <p v-if="record && cameBackWords(record)" class="back-words">{{ cameBackWords(record) }}</p>
      <p v-if="card.name.note" class="muted">{{ card.name.note }}</p>
      <WindingLine
        class="drawn"
        :card="card"
        :values="
          Object.fromEntries(
            card.windings.map((winding) => [winding.id, winding.ohms === undefined ? '' : figures.bound(winding.ohms)]),
          )
        "
      />
      <div v-for="row in rows" :key="row.id" class="check">
        <p class="what">
          <strong>{{ row.label }}</strong><small
            >{{ row.points
            }}<template v-for="words in conditionWords(card, row.conditions, figures)" :key="words"
              >, {{ words }}</template
            ></small
          >
        </p>
        <div class="limits">
          <div v-for="(one, i) in row.limits" :key="i" class="limit">
            <p class="band">
              <strong class="n">{{ bandText(one.limit, row.quantity) }}</strong><small
                >{{ one.limit.text ?? (one.limit.stated === 'derived' ? 'derived from its windings' : '') }},
                {{ one.limit.forHistory === 'any' ? 'any unit' : `${one.limit.forHistory} ones` }}</small
              >
            </p>
            <UnitStrip :band="one.limit.band" :readings="row.readings" :weaker="i > 0" :quantity="row.quantity" />
            <p class="says">
              <strong>{{ gradeWords[one.limit.grade] }}</strong>
              {{ one.limit.stated === 'derived' ? 'at the weakest of its windings’ figures' : one.source?.title }}
            </p>
          </div>
          <p v-if="row.limits.length === 0" class="muted">no figure</p>
          <KnownGood :card="card" :check="row.id" :readings="row.readings" :quantity="row.quantity" :draft="draftOf" />
        </div>
      </div>
      <p v-for="relation in card.relations" :key="relation.id" class="relation">
        <strong>{{ relation.label }}</strong>
        <span class="muted">{{ card.sources.find((source) => source.id === relation.source)?.title }}</span>
      </p>
    </section>
    <footer class="history">
      <p class="strong">History</p>
      <p v-for="one in view?.revisions" :key="one.revision" :class="{ here: one.revision === card.revision }">
        revision <span class="n">{{ one.revision }}</span>{{ ' '
        }}<span class="muted"
          >{{ one.state }}, <span class="n">{{ one.hash.slice(0, 8) }}</span></span
        >
      </p>
      <p v-if="(view?.revisions.length ?? 0) > 1">
        <RouterLink class="link" :to="{ name: 'compare', params: { id: props.id } }">side by side</RouterLink>
      </p>
      <p class="muted">A run keeps the revision it was judged by.</p>
      <p class="gives">
        <a class="link" :href="`/api/v1/cards/export?ids=${props.id}`" download>as JSON</a>
        <a class="link" :href="`/api/v1/cards/figures.csv?ids=${props.id}`" download>figures as CSV</a>
      </p>
    </footer>
  </main>
  <main v-else class="empty">
    <h1>{{ problem ? 'This card cannot be shown.' : 'Opening the card …' }}</h1>
    <p>{{ problem }} <RouterLink to="/cards">All cards</RouterLink></p>
  </main>
</template>

<style scoped>
.card {
  display: grid;
  grid-template: 'unit unit' 52px 'left figures' minmax(0, 1fr) 'history history' auto / 320px 1fr;
  height: calc(100dvh - 48px);
}
.unit {
  grid-area: unit;
  display: flex;
  justify-content: space-between;
  align-items: center;
  background: var(--panel);
  border-bottom: 1px solid var(--hairline);
  padding: 0 20px;
}
.unit p {
  display: flex;
  gap: 14px;
  align-items: center;
}
.side-area {
  grid-area: left;
}
.figures {
  grid-area: figures;
  overflow: auto;
  padding: 14px 26px 20px;
  display: grid;
  gap: 8px;
  align-content: start;
}
h1 {
  font-size: 34px;
}
.key {
  display: flex;
  gap: 22px;
  flex-wrap: wrap;
  align-items: center;
}
.stroke {
  display: inline-block;
  width: 3px;
  height: 18px;
  background: var(--ink);
  vertical-align: middle;
  margin: 0 4px;
}
.stroke.back {
  background: var(--copper);
  width: 5px;
}
.stroke.fault {
  width: 8px;
  background: none;
  border: 1.5px solid var(--ink);
}
.drawn {
  max-width: 520px;
}
.check {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: 20px;
  border-top: 1px solid var(--hairline);
  padding: 8px 0;
}
.check small {
  display: block;
  color: var(--muted);
  font-size: 15px;
  line-height: 1.25;
}
.limits {
  display: grid;
  gap: 8px;
}
.limit {
  display: grid;
  grid-template-columns: 220px 1fr 210px;
  gap: 16px;
  align-items: center;
}
.band strong {
  font-size: 17px;
}
.says {
  font-size: 15px;
  line-height: 1.25;
}
.relation {
  border-top: 1px solid var(--hairline);
  padding-top: 8px;
}
.history {
  grid-area: history;
  display: flex;
  gap: 28px;
  padding: 12px 20px;
  border-top: 1px solid var(--ink);
  background: var(--panel);
  align-items: center;
  flex-wrap: wrap;
}
.back-words {
  font-weight: 700;
}
.gives {
  display: flex;
  gap: 16px;
  margin-left: auto;
}
.link {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
.history .here {
  background: var(--tint);
  padding: 6px 12px;
}
.empty {
  padding: 40px 20px;
}
@media (max-width: 1100px) {
  .limit {
    grid-template-columns: 190px 1fr;
  }
  .says {
    grid-column: 1 / -1;
  }
}
@media (max-width: 900px) {
  .card {
    grid-template: 'unit' auto 'left' auto 'figures' auto 'history' auto / 1fr;
    height: auto;
  }
  .unit {
    flex-direction: column;
    align-items: flex-start;
    padding-block: 6px;
  }
  .check,
  .limit {
    grid-template-columns: 1fr;
  }
}
</style>
