import type { CardList, CardRow } from '@sure-spool/contract'
import { useTimeoutFn } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { ask, Away } from '../store/api'
import { keepCopy, readCopy } from '../store/browserDatabase'
import { useShop } from '../store/shop'

/** A pause in typing that is taken for the end of a word, milliseconds. */
const pause = 120

/** The cards that words or figures find, a page at a time; a question that is overtaken by the next is called off. */
export function useCardSearch() {
  const router = useRouter()
  const route = useRoute()
  const shop = useShop()
  const words = ref(String(route.query['find'] ?? ''))
  const read = ref(String(route.query['read'] ?? ''))
  const list = ref<CardList>({ cards: [] })
  const drafts = ref<CardRow[]>([])
  const known = ref(false)
  const byFigures = computed(() => read.value.trim() !== '')
  const question = computed(() =>
    byFigures.value
      ? `read=${encodeURIComponent(read.value)}&comma=${shop.settings.decimalComma}`
      : `find=${encodeURIComponent(words.value)}`,
  )
  let overtaken = new AbortController()

  async function load(more = false): Promise<void> {
    overtaken.abort()
    overtaken = new AbortController()
    const { signal } = overtaken
    const now = question.value
    const cursor = more && list.value.next !== undefined ? `&cursor=${encodeURIComponent(list.value.next)}` : ''
    const answer = await ask<CardList>(`/cards?limit=50&${now}${cursor}`, undefined, signal).catch((error: unknown) => {
      if (error instanceof Away || signal.aborted) return undefined
      throw error
    })
    if (signal.aborted) return
    if (answer && now === 'find=' && !more) await keepCopy('cards', answer)
    const shown = answer ?? (await readCopy<CardList>('cards')) ?? { cards: [] }
    list.value = more ? { ...shown, cards: [...list.value.cards, ...shown.cards] } : shown
    known.value = true
  }
  const loadMore = () => list.value.next !== undefined && void load(true)

  const typed = useTimeoutFn(() => void search(), pause, { immediate: false })
  let answering: Promise<void> = Promise.resolve()
  async function search(): Promise<void> {
    typed.stop()
    await router.replace({
      query: { ...(words.value ? { find: words.value } : {}), ...(read.value ? { read: read.value } : {}) },
    })
    answering = load()
    await answering
  }
  /** The first card of what stands typed, even where nobody paused for it; none where one typed on meanwhile. */
  async function first(): Promise<CardRow | undefined> {
    const now = question.value
    await (typed.isPending.value ? search() : answering)
    return now === question.value ? list.value.cards[0] : undefined
  }

  watch(question, () => typed.start())
  watch(words, (text) => text !== '' && (read.value = ''))
  watch(read, (text) => text !== '' && (words.value = ''))
  onMounted(async () => {
    answering = load()
    drafts.value = (await ask<CardList>('/cards?state=draft&limit=50').catch(() => ({ cards: [] }))).cards
  })

  /** What to do where nothing was found; empty while there is something, or nothing is known yet. */
  const nothing = computed(() => {
    if (!known.value || list.value.cards.length > 0 || drafts.value.length > 0) return ''
    return byFigures.value
      ? 'No card reads like that. Measure the part on a sketch first.'
      : 'No card fits. Try fewer words.'
  })
  return { words, read, list, drafts, byFigures, nothing, first, loadMore }
}
