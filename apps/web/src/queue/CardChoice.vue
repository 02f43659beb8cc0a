<script setup lang="ts">
import type { CardRow } from '@sure-spool/contract'
import AutoComplete from 'primevue/autocomplete'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { findParts } from '../look/controls/lists'
import { familySaid } from './said'
import { useCardFinding } from './useCardFinding'

/** The card of a part by model, maker or kind. Enter takes the first that fits, or the one that arrows have reached; the last of the list is no card. */
const props = defineProps<{ startWith?: string }>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ choose: [row: CardRow]; none: []; unchoose: []; nothing: [] }>()
interface Offer {
  key: string
  label: string
  row?: CardRow
}
const { cards, foundBy, find, callOff } = useCardFinding()
const control = ref<{ $el: HTMLElement; hide: () => void }>()
const offers = computed<Offer[]>(() => [
  ...cards.value.map((row) => ({ key: row.id, label: `${row.maker} ${row.model}`, row })),
  { key: 'none', label: 'No card of it' },
])
const suggestions = ref<Offer[]>([])
watch(offers, (now) => (suggestions.value = now))
const pause = 120
/** an Enter that waits for the list: for what comes first, or for “No card of it” where that was all that stood there */
let wanted: 'first' | 'none' | undefined
const field = () => control.value?.$el.querySelector('input')

onMounted(async () => {
  field()?.focus()
  if (!props.startWith) return
  await find('')
  take(cards.value.find((row) => row.id === props.startWith))
})

async function complete(query: string): Promise<void> {
  // asked before a card was chosen, heard after it
  if (query !== '' && query !== text.value) return
  await find(query)
  // the list opens on a new array, even where the same cards fit
  suggestions.value = [...offers.value]
  await nextTick()
  if (wanted && foundBy.value === text.value) takeFirst()
}

function typed(value: unknown): void {
  if (typeof value !== 'string' && value !== null) return
  text.value = typeof value === 'string' ? value : ''
  wanted = undefined
  emit('unchoose')
}

/** A list that opens late would lie over the fields that follow. */
function close(): void {
  callOff()
  setTimeout(() => control.value?.hide())
}
function none(): void {
  close()
  emit('none')
}
function take(row: CardRow | undefined): void {
  if (!row) return
  close()
  text.value = `${row.maker} ${row.model}`
  emit('choose', row)
}
function takeFirst(): void {
  const [first] = cards.value
  if (first) take(first)
  else if (wanted === 'none') none()
  else emit('nothing')
  wanted = undefined
}
const chosen = ({ row }: Offer) => (row ? take(row) : none())

/** An Enter that comes before the list does is kept for when it is there: hands are faster than the search. */
function enter(event: KeyboardEvent): void {
  const isOpen = field()?.getAttribute('aria-expanded') === 'true'
  const isKnown = foundBy.value === text.value
  const isOnOne = field()?.hasAttribute('aria-activedescendant') === true
  if (event.key !== 'Enter' || (isOpen && isKnown && isOnOne)) return
  event.preventDefault()
  event.stopPropagation()
  wanted = isOpen && suggestions.value.every(({ row }) => !row) ? 'none' : 'first'
  if (isKnown) takeFirst()
}
</script>

<template>
  <span class="field-of" @keydown.capture="enter">
    <label class="field-label" for="in-card">model, maker or kind</label>
    <AutoComplete
      ref="control"
      input-id="in-card"
      :model-value="text"
      :suggestions="suggestions"
      option-label="label"
      data-key="key"
      :delay="pause"
      :min-length="0"
      complete-on-focus
      auto-option-focus
      dropdown
      scroll-height="320px"
      :pt="findParts"
      @update:model-value="typed"
      @complete="complete($event.query)"
      @option-select="chosen($event.value)"
    >
      <template #option="{ option }">
        <strong>{{ option.label }}</strong>
        <span class="kind muted">{{ option.row ? familySaid(option.row) : 'measure first' }}</span>
      </template>
    </AutoComplete>
  </span>
</template>

<style scoped>
.kind {
  margin-left: 8px;
}
</style>
