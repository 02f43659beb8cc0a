<script setup lang="ts">
import type { CardList, CardRow, CardView } from '@sure-spool/contract'
import { complaintIds, sketchCard, type Card, type ComplaintId, type History } from '@sure-spool/core'
import InputText from 'primevue/inputtext'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import KeyButton from '../parts/KeyButton.vue'
import { ask } from '../store/api'
import { keepCard } from '../store/cardCopies'
import { newId } from '../store/ids'
import { keepCopy, plain, readCopy } from '../store/kept'
import { useOutbox } from '../store/outbox'
import { useQueue } from '../store/queue'
import { useShop } from '../store/shop'
import { complaintWords, familyWords } from '../words/kinds'
import { terminalsOf, type Sketch } from './sketch'
import SketchFields from './SketchFields.vue'
import { followingTag } from './tags'

/** Takes a part in: card, tag, condition, complaint, words. Enter goes from one to the next and keeps at the end. */
const props = defineProps<{ startWith?: string }>()
const emit = defineEmits<{ done: [id: string | null, tray?: string] }>()
const shop = useShop()
const queue = useQueue()
const outbox = useOutbox()
const text = ref('')
const cards = ref<CardRow[]>([])
const chosenAt = ref(0)
const card = ref<CardRow>()
const tag = ref(shop.nextTag)
const serial = ref('')
const history = ref<History>('used')
const complaint = ref<ComplaintId>('none')
const words = ref('')
const problem = ref('')
/** a part without a card is measured first */
const sketch = ref<Sketch>()
const variants = ref<Card['variants']>([])
const variant = ref('')
const count = ref('1')
const cardField = ref<{ $el: HTMLInputElement }>()
const tagField = ref<{ $el: HTMLInputElement }>()

onMounted(async () => {
  cardField.value?.$el.focus()
  await find()
  if (props.startWith) await choose(cards.value.find((one) => one.id === props.startWith))
})
watch(text, () => void find())
watch(
  () => shop.nextTag,
  (next) => (tag.value ||= next),
)

async function find(): Promise<void> {
  const wanted = text.value
  const list = await ask<CardList>(`/cards?limit=50&find=${encodeURIComponent(wanted)}`).catch(() => undefined)
  if (list && wanted === '') await keepCopy('cards', list)
  const shown = list ?? matching(await readCopy<CardList>('cards'), wanted)
  if (wanted !== text.value) return
  cards.value = shown.cards
  chosenAt.value = 0
}

function matching(list: CardList | undefined, wanted: string): CardList {
  const needed = wanted.toLowerCase().split(/\s+/)
  const fits = (row: CardRow) =>
    needed.every((word) => `${row.maker} ${row.model} ${row.family}`.toLowerCase().includes(word))
  return { cards: (list?.cards ?? []).filter(fits) }
}

async function choose(row: CardRow | undefined): Promise<void> {
  if (!row) {
    problem.value = 'No card fits these words. Try fewer of them.'
    return
  }
  problem.value = ''
  card.value = row
  variant.value = ''
  await nextTick()
  tagField.value?.$el.focus()
  tagField.value?.$el.select()
  const view = await ask<CardView>(`/cards/${row.id}`).catch(() => undefined)
  if (!view) return
  variants.value = view.card.variants
  await keepCard(view.card)
}

const ready = computed(
  () => (card.value ?? sketch.value) !== undefined && tag.value.trim() !== '' && shop.person !== undefined,
)

/** No card is no obstacle: the part is sketched, measured, and becomes a card afterwards. */
async function measureFirst(): Promise<void> {
  sketch.value = { family: 'other', model: text.value, points: '', framed: true }
  problem.value = ''
  await nextTick()
  document.querySelector<HTMLInputElement>('[data-sketch] input')?.select()
}

/** @returns the card the part is taken in on, made and sent ahead of it where it is a sketch */
function cardOf(): CardRow | string {
  if (!sketch.value) return card.value ?? 'Choose the card first.'
  const { family, model, points, framed } = sketch.value
  const terminals = terminalsOf(points)
  if (model.trim() === '') return 'Give the part a name, so that it can be told from others.'
  if (terminals.length < 2 && !(framed && terminals.length === 1))
    return 'Name two points at least, with a comma between.'
  const made = sketchCard(newId(), family, model.trim().slice(0, 200), terminals, framed)
  outbox.put({ id: made.id, kind: 'card', body: { card: plain(made), by: shop.person?.id ?? '' } })
  void keepCard(made)
  return { id: made.id, revision: 1, family, maker: '', model: made.name.model, partNumbers: [], units: 0 }
}

const mostAtOnce = 60
function keep(): void {
  const many = Number(count.value)
  if (tag.value.trim() === '') problem.value = 'A part needs a tag.'
  else if (!Number.isInteger(many) || many < 1 || many > mostAtOnce)
    problem.value = `From 1 to ${mostAtOnce} parts go onto one tray.`
  else takeInAll(many)
}
function takeInAll(many: number): void {
  const on = cardOf()
  if (typeof on === 'string' || !shop.person) {
    problem.value = typeof on === 'string' ? on : 'Choose who is at the bench first.'
    return
  }
  const tray = many > 1 ? newId() : undefined
  const ids = Array.from({ length: many }, () => newId())
  let next = tag.value.trim()
  for (const id of ids) {
    queue.takeIn(
      {
        id,
        tag: next,
        ...(serial.value.trim() === '' || many > 1 ? {} : { serial: serial.value.trim() }),
        ...(variant.value === '' ? {} : { variant: variant.value }),
        history: history.value,
        complaint: [complaint.value],
        words: words.value.trim(),
        card: { id: on.id, revision: on.revision },
        ...(tray === undefined ? {} : { tray }),
        takenInAt: new Date().toISOString(),
        takenInBy: shop.person.id,
      },
      on,
    )
    next = followingTag(next)
  }
  emit('done', ids[0] ?? null, tray)
}

function step(event: KeyboardEvent): void {
  if (event.key === 'Escape') emit('done', null)
  if (event.key !== 'Enter' || event.target instanceof HTMLButtonElement) return
  event.preventDefault()
  const fields = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('[data-field]')]
  const at = fields.indexOf(event.target as HTMLElement)
  const next = fields[at + 1]
  if (next && at >= 0) next.focus()
  else keep()
}

function pick(event: KeyboardEvent): void {
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
  if (by !== 0) {
    event.preventDefault()
    chosenAt.value = Math.min(shownCards.value.length, Math.max(0, chosenAt.value + by))
  } else if (event.key === 'Enter') {
    event.preventDefault()
    event.stopPropagation()
    void (chosenAt.value < shownCards.value.length ? choose(shownCards.value[chosenAt.value]) : measureFirst())
  }
}
const shownCards = computed(() => cards.value.slice(0, 6))
const histories: History[] = ['used', 'new', 'rewound']
</script>

<template>
  <section class="take-in" aria-label="Take in a part" @keydown="step">
    <div class="who">
      <h2>Take in a part</h2>
      <label for="in-card">model, maker or kind</label>
      <InputText
        id="in-card"
        ref="cardField"
        v-model="text"
        data-field
        role="combobox"
        aria-controls="in-cards"
        :aria-expanded="!card"
        autocomplete="off"
        @keydown="pick"
        @focus="card = sketch = undefined"
      />
      <SketchFields v-if="sketch" v-model="sketch" />
      <ul v-else-if="!card" id="in-cards" class="choices" role="listbox" aria-label="Cards that fit">
        <li v-for="(row, i) in shownCards" :key="row.id" role="option" :aria-selected="i === chosenAt">
          <button class="plain" tabindex="-1" @click="choose(row)">
            <strong>{{ row.maker }} {{ row.model }}</strong>
            <span class="muted">{{ familyWords[row.family as keyof typeof familyWords] }}</span>
          </button>
        </li>
        <li role="option" :aria-selected="chosenAt === shownCards.length">
          <button class="plain" tabindex="-1" @click="measureFirst">
            <strong>No card of it</strong> <span class="muted">measure first</span>
          </button>
        </li>
      </ul>
      <p v-else class="chosen">
        <strong>{{ card.maker }} {{ card.model }}</strong
        >, {{ familyWords[card.family as keyof typeof familyWords] }}
      </p>
    </div>
    <div class="rest">
      <p>
        <label for="in-tag">tag</label
        ><InputText id="in-tag" ref="tagField" v-model="tag" data-field autocomplete="off" />
      </p>
      <p>
        <label for="in-serial">serial, if it has one</label
        ><InputText id="in-serial" v-model="serial" data-field autocomplete="off" />
      </p>
      <p>
        <label for="in-history">condition</label>
        <select id="in-history" v-model="history" class="field" data-field>
          <option v-for="one in histories" :key="one" :value="one">{{ one }}</option>
        </select>
      </p>
      <p>
        <label for="in-complaint">complaint</label>
        <select id="in-complaint" v-model="complaint" class="field" data-field>
          <option v-for="one in complaintIds" :key="one" :value="one">{{ complaintWords[one] }}</option>
        </select>
      </p>
      <p v-if="variants.length > 0 && card">
        <label for="in-variant">which of them</label>
        <select id="in-variant" v-model="variant" class="field" data-field>
          <option value="">not said</option>
          <option v-for="one in variants" :key="one.id" :value="one.id">{{ one.label }}</option>
        </select>
      </p>
      <p>
        <label for="in-count">how many alike</label
        ><InputText id="in-count" v-model="count" autocomplete="off" inputmode="numeric" />
      </p>
      <p class="wide">
        <label for="in-words">in their own words</label
        ><InputText id="in-words" v-model="words" data-field autocomplete="off" maxlength="2000" />
      </p>
    </div>
    <div class="act">
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <KeyButton main cap="Enter" label="take in" :disabled="!ready" @press="keep" />
      <KeyButton cap="Esc" label="leave" @press="emit('done', null)" />
    </div>
  </section>
</template>

<style scoped>
.take-in {
  display: grid;
  grid-template-columns: 300px 1fr auto;
  gap: 24px;
  padding: 14px 20px;
  background: var(--tint);
  border-top: 3px solid var(--copper);
}
label {
  display: block;
  color: var(--muted);
  font-size: 15px;
  margin-bottom: 2px;
}
.rest {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr 1.3fr;
  gap: 8px 16px;
  align-content: start;
}
.rest .wide {
  grid-column: 1 / -1;
}
.rest :deep(input),
.who :deep(input:not([type='checkbox'])) {
  width: 100%;
  min-height: 44px;
}
.choices {
  margin-top: 4px;
  background: var(--panel);
  border: 1px solid var(--hairline);
}
.choices li[aria-selected='true'] {
  background: var(--paper);
  box-shadow: inset 4px 0 var(--copper);
}
.choices .muted {
  margin-left: 6px;
}
.choices button {
  display: block;
  width: 100%;
  padding: 6px 12px;
  min-height: 36px;
}
.chosen {
  padding: 8px 0;
}
.act {
  display: flex;
  flex-direction: column;
  gap: 8px;
  justify-content: flex-end;
  max-width: 220px;
}
.problem {
  color: var(--outside);
  font-weight: 600;
}
@media (max-width: 900px) {
  .take-in {
    grid-template-columns: 1fr;
    gap: 12px;
  }
  .rest {
    grid-template-columns: 1fr 1fr;
  }
  .act {
    max-width: none;
    flex-direction: row;
  }
}
</style>
