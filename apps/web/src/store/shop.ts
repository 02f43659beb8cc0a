import type { Person, ShopSettings, ShopView } from '@sure-spool/contract'
import { plainUnits, type Instrument } from '@sure-spool/core'
import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { ask } from './api'
import { keepCopy, readCopy } from './browserDatabase'
import { followingTag } from './followingTag'
import { tagNumbers } from './tagNumbers'

const unset: ShopSettings = {
  name: '',
  rule: 'guarded',
  rewindHabit: 'failed-coil',
  decimalComma: false,
  paper: 'A4',
  tagPrefix: 'U-',
}

/** Two tabs may serve two people, in two lights. */
const own = { listenToStorageChanges: false, writeDefaults: false }

/** The shop as every screen needs it: its habits, its people, its meters, and who is at the bench. */
export const useShop = defineStore('shop', () => {
  const settings = ref<ShopSettings>(unset)
  const people = ref<Person[]>([])
  const instruments = ref<Instrument[]>([])
  /** the next by what the server last said: another bench may give it too */
  const guessedTag = ref('')
  const numbers = tagNumbers(() => settings.value.tagPrefix)
  const nextTag = computed(() => numbers.next() ?? guessedTag.value)
  const personId = useLocalStorage('spool.person', '', own)
  /** until somebody here has chosen, the system's light is followed, at dusk too */
  const chosenTheme = useLocalStorage<'light' | 'dark' | ''>('spool.theme', '', own)
  const dusk = usePreferredDark({ window })
  const theme = computed(() => chosenTheme.value || (dusk.value ? 'dark' : 'light'))
  const known = ref(false)

  const units = computed(() => settings.value.units ?? plainUnits)
  const person = computed(() => people.value.find((one) => one.id === personId.value) ?? people.value[0])

  async function load(): Promise<void> {
    const copy = await readCopy<ShopView>('shop')
    if (copy) show(copy)
    const fresh = await ask<ShopView>('/shop').catch(() => undefined)
    if (!fresh) return
    show(fresh)
    await keepCopy('shop', fresh)
    await stockTags()
  }

  const stockTags = () => numbers.stock(person.value?.access === 'reader' ? undefined : person.value?.id)

  /** A part got this tag: the next one gets another. */
  function tagGiven(tag: string): void {
    const wasNext = tag === nextTag.value
    numbers.given(tag)
    if (wasNext && numbers.next() === undefined) guessedTag.value = followingTag(tag)
    void stockTags()
  }

  /** What the server answers to a change: in force in this browser at once. */
  async function take(view: ShopView): Promise<void> {
    show(view)
    await keepCopy('shop', view)
  }

  function show(view: ShopView): void {
    settings.value = view.settings
    people.value = view.people
    instruments.value = view.instruments
    guessedTag.value = view.nextTag
    known.value = true
  }

  /** The next person steps up to the bench. */
  function nextPerson(): void {
    const at = people.value.findIndex((one) => one.id === person.value?.id)
    const next = people.value[(at + 1) % Math.max(1, people.value.length)]
    if (next) choosePerson(next.id)
  }

  const choosePerson = (id: string): void => void (personId.value = id)

  const turnTheme = (): void => void (chosenTheme.value = theme.value === 'light' ? 'dark' : 'light')
  watch(theme, (name) => (document.documentElement.dataset['theme'] = name), { immediate: true })

  return {
    settings,
    people,
    instruments,
    nextTag,
    tagGiven,
    person,
    units,
    theme,
    known,
    load,
    take,
    nextPerson,
    choosePerson,
    turnTheme,
  }
})
