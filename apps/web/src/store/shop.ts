import type { Person, ShopSettings, ShopView } from '@sure-spool/contract'
import { plainUnits, type Instrument } from '@sure-spool/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { ask } from './api'
import { keepCopy, readCopy } from './kept'

const personKey = 'spool.person'
const themeKey = 'spool.theme'
const unset: ShopSettings = {
  name: '',
  rule: 'guarded',
  rewindHabit: 'failed-coil',
  decimalComma: false,
  paper: 'A4',
  tagPrefix: 'U-',
}

/** The shop as every screen needs it: its habits, its people, its meters, and who is at the bench. */
export const useShop = defineStore('shop', () => {
  const settings = ref<ShopSettings>(unset)
  const people = ref<Person[]>([])
  const instruments = ref<Instrument[]>([])
  const nextTag = ref('')
  const personId = ref(localStorage.getItem(personKey) ?? '')
  const theme = ref<'light' | 'dark'>(startTheme())
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
    nextTag.value = view.nextTag
    known.value = true
  }

  /** The next person steps up to the bench. */
  function nextPerson(): void {
    const at = people.value.findIndex((one) => one.id === person.value?.id)
    const next = people.value[(at + 1) % Math.max(1, people.value.length)]
    if (next) choosePerson(next.id)
  }

  function choosePerson(id: string): void {
    personId.value = id
    localStorage.setItem(personKey, id)
  }

  function turnTheme(): void {
    theme.value = theme.value === 'light' ? 'dark' : 'light'
    localStorage.setItem(themeKey, theme.value)
    applyTheme()
  }

  function applyTheme(): void {
    document.documentElement.dataset['theme'] = theme.value
  }
  applyTheme()

  return {
    settings,
    people,
    instruments,
    nextTag,
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

function startTheme(): 'light' | 'dark' {
  const chosen = localStorage.getItem(themeKey)
  if (chosen === 'light' || chosen === 'dark') return chosen
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'
}
