<script setup lang="ts">
import type { FiguresPreview, ImportedCards, PathProblem } from '@sure-spool/contract'
import { compareCards, type Card } from '@sure-spool/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import KeyButton from '../parts/KeyButton.vue'
import { isTaken, useKeys } from '../parts/keys'
import { ask, Refused } from '../store/api'
import { useShop } from '../store/shop'
import FiguresTable from './FiguresTable.vue'
import { readFile } from './readFile'

/** Taking in cards or figures: first it is said what would happen, then it is done, whole or not at all. */
const shop = useShop()
const router = useRouter()
const name = ref('')
const problems = ref<PathProblem[]>([])
const told = ref('')
const cards = ref<Card[]>([])
const rows = ref<ImportedCards['rows']>([])
const resolve = ref<Record<string, 'keep' | 'next'>>({})
const ours = ref<Record<string, Card>>({})
const figures = ref<FiguresPreview>()
const bytes = ref<ArrayBuffer>()
const working = ref(false)
const field = ref<HTMLInputElement>()

const keyOf = ({ id, revision }: { id: string; revision: number }) => `${id}@${revision}`
const conflicts = computed(() => rows.value.filter((row) => row.what === 'conflict'))
const unresolved = computed(() => conflicts.value.filter((row) => resolve.value[keyOf(row)] === undefined).length)
const counted = computed(() => {
  const count = (what: string) => rows.value.filter((row) => row.what === what).length
  return { fresh: count('new') + count('revision'), same: count('same') }
})

async function take(file: File | undefined): Promise<void> {
  if (!file) return
  forget()
  name.value = file.name
  working.value = true
  if (!shop.person) await shop.load()
  const read = await readFile(file)
  if (read.kind === 'refused') problems.value = read.problems
  if (read.kind === 'cards') {
    cards.value = read.cards
    await sendCards(true)
  }
  if (read.kind === 'figures') {
    bytes.value = read.bytes
    await sendFigures(false)
  }
  working.value = false
}
function forget(): void {
  problems.value = []
  cards.value = []
  rows.value = []
  resolve.value = {}
  ours.value = {}
  figures.value = bytes.value = undefined
  told.value = name.value = ''
}

async function sendCards(preview: boolean): Promise<void> {
  const body = { cards: cards.value, by: shop.person?.id, preview, resolve: resolve.value }
  const answer = await attempt(ask<ImportedCards>('/cards/import', { method: 'POST', body }))
  if (!answer) return
  if (preview) {
    rows.value = answer.rows
    for (const row of conflicts.value) {
      const mine = await attempt(ask<Card>(`/cards/${row.id}/revisions/${row.revision}`))
      if (mine) ours.value[keyOf(row)] = mine
    }
    return
  }
  const next = answer.rows.filter((row) => row.what === 'next').length
  forget()
  told.value = `${answer.kept} ${answer.kept === 1 ? 'card' : 'cards'} taken in${next > 0 ? `, ${next} of them as a draft` : ''}.`
}
async function sendFigures(keep: boolean): Promise<void> {
  if (!bytes.value) return
  const answer = await attempt(
    ask<FiguresPreview>(`/cards/figures?by=${shop.person?.id ?? ''}&keep=${keep}`, {
      method: 'POST',
      file: { bytes: bytes.value, type: 'text/csv' },
    }),
  )
  if (!answer) return
  if (!keep) {
    figures.value = answer
    return
  }
  forget()
  told.value = `${answer.drafts.length} ${answer.drafts.length === 1 ? 'draft' : 'drafts'} written. Look at each and publish it.`
}
async function attempt<T>(answer: Promise<T>): Promise<T | undefined> {
  try {
    return await answer
  } catch (error) {
    problems.value =
      error instanceof Refused
        ? (error.problem.errors ?? [{ path: name.value, detail: error.message }])
        : [{ path: name.value, detail: 'was not taken in: the server is away. Nothing was kept; take it in again.' }]
    if (error instanceof Refused && !error.problem.errors?.length)
      problems.value = [{ path: '', detail: error.message }]
    return undefined
  }
}

const differing = (row: { id: string; revision: number }) => {
  const mine = ours.value[keyOf(row)]
  const theirs = cards.value.find((card) => keyOf(card) === keyOf(row))
  return mine && theirs ? compareCards(mine, theirs).slice(0, 6) : []
}
const ready = computed(() =>
  figures.value
    ? figures.value.drafts.length > 0
    : rows.value.length > 0 &&
      unresolved.value === 0 &&
      (counted.value.fresh > 0 || Object.values(resolve.value).includes('next')),
)
async function keep(): Promise<void> {
  if (!ready.value || working.value) return
  working.value = true
  await (figures.value ? sendFigures(true) : sendCards(false))
  working.value = false
}
const delimiters: Record<string, string> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs', '|': 'bars' }
const drop = (event: DragEvent) => void take(event.dataTransfer?.files[0])
const words: Record<ImportedCards['rows'][number]['what'], string> = {
  new: 'a new card',
  revision: 'a new revision',
  same: 'here already, the same',
  conflict: 'here already, and different',
  kept: 'yours stays',
  next: 'taken as the next draft',
}
useKeys((event) => {
  if (isTaken(event)) return false
  if (event.key === 'Enter') void keep()
  else if (event.key === 'u') field.value?.click()
  else if (event.key === 'Escape') void router.push({ name: 'cards' })
  else return false
  return true
})
</script>

<template>
  <main class="in" @dragover.prevent @drop.prevent="drop">
    <header>
      <h1>Take in cards or figures</h1>
      <p class="acts">
        <KeyButton cap="u" label="choose a file" :disabled="working" @press="field?.click()" />
        <KeyButton
          v-if="figures || rows.length > 0"
          main
          cap="Enter"
          label="take it in"
          :disabled="!ready || working"
          @press="keep"
        />
        <KeyButton quiet cap="Esc" label="cards" @press="router.push({ name: 'cards' })" />
      </p>
    </header>
    <label class="unseen" for="in-file">a file of cards (JSON) or of figures (CSV)</label>
    <input
      id="in-file"
      ref="field"
      class="unseen"
      type="file"
      accept=".json,.csv,.txt"
      @change="take(($event.target as HTMLInputElement).files?.[0])"
    />
    <p v-if="told" role="status" class="told">{{ told }} <RouterLink to="/cards">All cards</RouterLink></p>
    <div v-if="problems.length > 0" class="problems" role="alert">
      <p class="strong">Nothing was taken in.</p>
      <ul>
        <li v-for="one in problems" :key="one.path + one.detail">
          <strong>{{ one.path }}</strong> {{ one.detail }}
        </li>
      </ul>
    </div>
    <template v-if="figures">
      <p class="told">
        {{ name }}: {{ figures.rows.length }} rows, {{ figures.drafts.length }}
        {{ figures.drafts.length === 1 ? 'card gets a draft' : 'cards get a draft' }},
        {{ figures.rows.filter(({ what }) => what === 'refused').length }} rows are refused and stay out.
        <span class="muted"
          >Cells are parted by {{ delimiters[figures.delimiter] ?? figures.delimiter }}, the decimal mark is a
          {{ figures.decimalComma ? 'comma' : 'point' }}.</span
        >
      </p>
      <FiguresTable :rows="figures.rows" />
    </template>
    <template v-else-if="rows.length > 0">
      <p class="told">
        {{ name }}: {{ counted.fresh }} to take in, {{ counted.same }} here already<template v-if="conflicts.length > 0"
          >, {{ conflicts.length }} different under the same revision: say for each what is to happen</template
        >.
      </p>
      <ul class="rows">
        <li v-for="row in rows" :key="keyOf(row)" class="row">
          <span
            ><strong>{{ row.maker }}</strong> {{ row.model }}</span
          >
          <span
            >revision <span class="n">{{ row.revision }}</span>, {{ row.state }}</span
          >
          <span :class="{ strong: row.what === 'conflict' }">{{ words[row.what] }}</span>
          <div
            v-if="row.what === 'conflict'"
            class="conflict"
            role="group"
            :aria-label="`${row.maker} ${row.model}: what is to happen`"
          >
            <table class="ruled">
              <thead>
                <tr>
                  <th scope="col">differs in</th>
                  <th scope="col">yours</th>
                  <th scope="col">theirs</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="(one, i) in differing(row)" :key="i">
                  <th scope="row">{{ one.about }}</th>
                  <td>{{ one.before ?? 'not there' }}</td>
                  <td>{{ one.after ?? 'not there' }}</td>
                </tr>
              </tbody>
            </table>
            <label class="tick"
              ><input v-model="resolve[keyOf(row)]" type="radio" :name="keyOf(row)" value="keep" /> keep yours as it
              is</label
            >
            <label class="tick"
              ><input v-model="resolve[keyOf(row)]" type="radio" :name="keyOf(row)" value="next" /> take theirs as your
              next draft, to look at and publish</label
            >
          </div>
        </li>
      </ul>
    </template>
    <div v-else-if="problems.length === 0 && !told" class="help">
      <p>Drop a file here, or press <kbd>u</kbd>. Before anything is kept you see what would happen.</p>
      <p>
        <strong>JSON</strong>: one card, or several in one file. A card that is here under the same revision with
        another body is shown beside yours; nothing is overwritten.
      </p>
      <p>
        <strong>CSV</strong>: one row a limit. The first row names the columns:
        <span class="n">maker, model, check, from, to, limit (Ω)</span>, and if you have them kind, for, source, grade.
        Limits as people write them: <span class="n">318 ±10%</span>, <span class="n">0.66–0.90</span>,
        <span class="n">> 20M @ 500V</span>, <span class="n">open</span>. Every card it touches gets a draft; you
        publish it.
      </p>
      <p><a href="/api/v1/cards/figures.csv" download>Your own figures as CSV</a> show every column.</p>
    </div>
  </main>
</template>

<style scoped>
table {
  overflow-wrap: anywhere;
}
.in {
  padding: 14px 20px 40px;
  display: grid;
  gap: 12px;
  align-content: start;
  flex: 1;
}
header {
  display: flex;
  gap: 20px;
  align-items: center;
  justify-content: space-between;
  flex-wrap: wrap;
}
h1 {
  font-size: 30px;
}
.acts {
  display: flex;
  gap: 8px;
}
.told {
  font-size: 18px;
}
.problems {
  border-left: 5px solid var(--outside);
  background: var(--panel);
  padding: 12px 18px;
  display: grid;
  gap: 6px;
}
.problems .strong {
  font-size: 20px;
}
.row {
  display: grid;
  grid-template-columns: 1.4fr 0.8fr 1fr;
  gap: 4px 16px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hairline);
  font-size: 17px;
}
.conflict {
  grid-column: 1 / -1;
  border-left: 4px solid var(--copper);
  padding-left: 14px;
  display: grid;
  gap: 4px;
}
.tick {
  min-height: 44px;
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
.tick input {
  width: 20px;
  height: 20px;
  accent-color: var(--copper);
}
.help {
  display: grid;
  gap: 10px;
  max-width: 80ch;
  border: 2px dashed var(--hairline);
  padding: 24px;
  font-size: 17px;
}
kbd {
  font: 500 15px var(--figures);
  border: 1px solid currentColor;
  padding: 1px 6px;
}
</style>
