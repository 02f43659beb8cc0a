import type { CardRow, CardView } from '@sure-spool/contract'
import { sketchCard, type Card, type ComplaintId, type History } from '@sure-spool/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { rightNow } from '../store/clock'
import { ask } from '../store/api'
import { keepCard } from '../store/cardCopies'
import { followingTag } from '../store/followingTag'
import { newId } from '../store/newId'
import { useOutbox } from '../store/outbox'
import { plain } from '../store/plain'
import { useQueue } from '../store/queue'
import { useShop } from '../store/shop'
import { terminalsOf, type Sketch } from './sketch'

/** As many items as one part has: the leads of a set. */
export const mostItems = 200
const isItems = (many: number | undefined): boolean => many !== undefined && many >= 1 && many <= mostItems

/** As many parts alike as go onto one tray. */
export const mostAtOnce = 60

/** A part as it is taken in: its card or sketch, tag, condition, complaint; several alike at once, on a tray. */
export function useTakingIn(done: (id: string, tray?: string) => void) {
  const shop = useShop()
  const queue = useQueue()
  const outbox = useOutbox()
  const card = shallowRef<CardRow>()
  /** a part without a card is measured first */
  const sketch = ref<Sketch>()
  const variants = ref<Card['variants']>([])
  /** as many items as the card says: leads of a set */
  const cardItems = ref<number>()
  const items = ref<number>()
  const typedItems = ref<number>()
  const tag = ref(shop.nextTag)
  const serial = ref('')
  const variant = ref('')
  const history = ref<History>('used')
  const complaint = ref<ComplaintId>('none')
  const words = ref('')
  const count = ref<number | undefined>(1)
  /** as it stands in the field, within bounds or not */
  const typedCount = ref<number | undefined>(1)
  const problem = ref('')
  /** the tray that the next goes onto as well, with the tags of what lies on it */
  const tray = ref<{ id: string; tags: string[] }>()
  // another tab of this browser may give it first
  watch(
    () => shop.nextTag,
    (next, before) => {
      if (tag.value === '' || tag.value === before) tag.value = next
    },
  )
  const ready = computed(
    () => (card.value ?? sketch.value) !== undefined && tag.value.trim() !== '' && shop.person !== undefined,
  )

  async function choose(row: CardRow): Promise<void> {
    problem.value = ''
    card.value = row
    sketch.value = undefined
    variant.value = ''
    variants.value = []
    cardItems.value = items.value = typedItems.value = undefined
    const view = await ask<CardView>(`/cards/${row.id}`).catch(() => undefined)
    if (!view || card.value?.id !== row.id) return
    variants.value = view.card.variants
    cardItems.value =
      items.value =
      typedItems.value =
        view.card.checks.find((check) => check.items !== undefined)?.items
    await keepCard(view.card)
  }

  function unchoose(): void {
    card.value = sketch.value = cardItems.value = undefined
    variants.value = []
  }

  /** No card is no obstacle: the part is sketched, measured, and becomes a card afterwards. */
  function measureFirst(model: string): void {
    unchoose()
    sketch.value = { family: 'other', model, points: '', framed: true }
    problem.value = ''
  }

  /** @returns the card the part is taken in on, made and sent ahead of it where it is a sketch; or what is missing */
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

  /** Takes in what the fields say. @returns whether they said all that is needed */
  function take(moreCome: boolean): boolean {
    const many = typedCount.value
    const by = shop.person?.id
    if (tag.value.trim() === '') problem.value = 'A part needs a tag.'
    else if (many === undefined || many < 1 || many > mostAtOnce)
      problem.value = `From 1 to ${mostAtOnce} parts go onto one tray.`
    else if (cardItems.value !== undefined && !isItems(typedItems.value))
      problem.value = `From 1 to ${mostItems} items are read of one part.`
    else if (by === undefined) problem.value = 'Choose who is at the bench first.'
    else {
      const on = cardOf()
      if (typeof on === 'string') problem.value = on
      else return takeIn(on, many, by, moreCome)
    }
    return false
  }

  function keep(): void {
    take(false)
  }

  /** Takes it in, and asks for the next that lies on the same tray: of another kind, perhaps, with the same words. */
  function keepAndMore(): boolean {
    if (!take(true)) return false
    unchoose()
    serial.value = variant.value = ''
    count.value = typedCount.value = 1
    return true
  }

  function takeIn(on: CardRow, many: number, by: string, moreCome: boolean): boolean {
    const onto = tray.value?.id ?? (many > 1 || moreCome ? newId() : undefined)
    const ids = Array.from({ length: many }, () => newId())
    let next = tag.value.trim()
    for (const id of ids) {
      const isNext = next === shop.nextTag
      queue.takeIn(
        {
          id,
          tag: next,
          ...(serial.value.trim() === '' || many > 1 ? {} : { serial: serial.value.trim() }),
          ...(variant.value === '' ? {} : { variant: variant.value }),
          ...(cardItems.value === undefined || typedItems.value === cardItems.value ? {} : { items: typedItems.value }),
          history: history.value,
          complaint: [complaint.value],
          words: words.value.trim(),
          card: { id: on.id, revision: on.revision },
          ...(onto === undefined ? {} : { tray: onto }),
          takenInAt: rightNow().toISOString(),
          takenInBy: by,
        },
        on,
      )
      if (onto !== undefined) tray.value = { id: onto, tags: [...(tray.value?.tags ?? []), next] }
      next = isNext ? shop.nextTag : followingTag(next)
    }
    tag.value = next
    if (!moreCome) done(ids[0] ?? '', onto)
    return true
  }

  return {
    card,
    sketch,
    variants,
    cardItems,
    items,
    typedItems,
    tag,
    serial,
    variant,
    history,
    complaint,
    words,
    count,
    typedCount,
    problem,
    ready,
    tray,
    choose,
    unchoose,
    measureFirst,
    keep,
    keepAndMore,
  }
}
