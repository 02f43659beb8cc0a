<script setup lang="ts">
import type { Person, ShopSettings, ShopView } from '@sure-spool/contract'
import { plainDefaults, plainUnits } from '@sure-spool/core'
import { onBeforeUnmount, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import FigureField from '../fields/FigureField.vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import KeyButton from '../parts/KeyButton.vue'
import { isTaken, useKeys } from '../parts/keys'
import { ask } from '../store/api'
import { newId } from '../store/ids'
import { plain } from '../store/kept'
import { useShop } from '../store/shop'

/** The shop: its people and its habits, and everything of it as one file. What is changed here is kept at once. */
const shop = useShop()
const router = useRouter()
const habits = ref<ShopSettings>(plain(shop.settings))
const people = ref<Person[]>(plain(shop.people))
const problem = ref('')
const told = ref('')
let timer: ReturnType<typeof setTimeout> | undefined
watch(
  () => shop.known,
  () => {
    habits.value = plain(shop.settings)
    people.value = plain(shop.people)
  },
)

function set<K extends keyof ShopSettings>(key: K, value: ShopSettings[K]): void {
  habits.value = { ...habits.value, [key]: value }
  clearTimeout(timer)
  timer = setTimeout(keepNow, 500)
}
/** What waits for the typing to end is kept when the screen is left. */
function keepNow(): void {
  if (timer === undefined) return
  clearTimeout(timer)
  timer = undefined
  void keepHabits()
}
onBeforeUnmount(keepNow)
type Defaults = NonNullable<ShopSettings['defaults']>
const defaults = (): Defaults => habits.value.defaults ?? plainDefaults
const units = () => habits.value.units ?? plainUnits
const setDefault = (key: keyof Defaults, value: number | undefined) =>
  value !== undefined && value > 0 && set('defaults', { ...defaults(), [key]: value })
const setPct = (text: string) =>
  setDefault('tolerancePct', Number(text.replace(',', '.').replace('%', '')) || undefined)

async function keepHabits(): Promise<void> {
  if (habits.value.name.trim() === '') {
    problem.value = 'The shop needs a name.'
    return
  }
  await kept(ask<ShopView>('/shop/settings', { method: 'PUT', body: { settings: habits.value, by: shop.person?.id } }))
}
async function kept(answer: Promise<ShopView>): Promise<void> {
  try {
    await shop.take(await answer)
    problem.value = ''
    told.value = 'kept, in force at once'
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
    told.value = ''
  }
}
const keepPerson = async (person: Person): Promise<void> => {
  if (person.name.trim() === '') return
  await kept(
    ask<ShopView>(`/shop/people/${person.id}`, { method: 'PUT', body: { person, by: shop.person?.id ?? person.id } }),
  )
}
const addPerson = () => people.value.push({ id: newId(), name: '', role: 'at the bench' })

async function takeIn(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  if (file.size > 60_000_000) {
    problem.value = `${file.name} has ${Math.round(file.size / 1e6)} MB; at most 60 go at once. Nothing was taken in.`
    return
  }
  try {
    const body: unknown = JSON.parse(await file.text())
    const counts = await ask<Record<string, number>>('/shop/import', { method: 'POST', body })
    told.value = `taken in: ${Object.entries(counts)
      .map(([what, count]) => `${count} ${what}`)
      .join(', ')}`
    problem.value = ''
    await shop.load()
  } catch (error) {
    problem.value =
      error instanceof SyntaxError
        ? `${file.name} is not JSON. Nothing was taken in.`
        : String(error instanceof Error ? error.message : error)
  }
}
const rules = [
  { value: 'guarded' as const, label: 'guarded: the whole span ±2u inside' },
  { value: 'simple' as const, label: 'simple: the figure inside' },
]
const habitsOfRewind = [
  { value: 'failed-coil' as const, label: 'the failed coil' },
  { value: 'whole-core' as const, label: 'the whole core' },
]
const marks = [
  { value: 'point' as const, label: 'point: 36.5' },
  { value: 'comma' as const, label: 'comma: 36,5' },
]
const degrees = [
  { value: '°C' as const, label: '°C' },
  { value: '°F' as const, label: '°F' },
]
const lengths = [
  { value: 'm' as const, label: 'metres' },
  { value: 'in' as const, label: 'inches' },
]
const papers = [
  { value: 'A4' as const, label: 'A4' },
  { value: 'Letter' as const, label: 'Letter' },
]
useKeys((event) => {
  if (isTaken(event)) return false
  if (event.key === 'Escape') void router.push('/')
  else return false
  return true
})
</script>

<template>
  <main v-if="shop.known" class="shop">
    <header>
      <h1>Shop</h1>
      <p role="status" class="muted">{{ told }}</p>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </header>
    <section aria-labelledby="habits">
      <h2 id="habits">Habits</h2>
      <div class="fields">
        <TextField label="name of the shop" :model-value="habits.name" @update:model-value="set('name', $event)" />
        <TextField
          label="tags begin with"
          :model-value="habits.tagPrefix"
          @update:model-value="set('tagPrefix', $event.slice(0, 10))"
        />
        <PickField
          label="decimal mark"
          :model-value="habits.decimalComma ? 'comma' : 'point'"
          :options="marks"
          @update:model-value="set('decimalComma', $event === 'comma')"
        />
        <PickField
          label="temperatures in"
          :model-value="units().temperature"
          :options="degrees"
          @update:model-value="set('units', { ...units(), temperature: $event || '°C' })"
        />
        <PickField
          label="lengths in"
          :model-value="units().length"
          :options="lengths"
          @update:model-value="set('units', { ...units(), length: $event || 'm' })"
        />
        <PickField
          label="paper"
          :model-value="habits.paper"
          :options="papers"
          @update:model-value="set('paper', $event || 'A4')"
        />
        <PickField
          class="two"
          label="a reading is within, by the rule"
          :model-value="habits.rule"
          :options="rules"
          @update:model-value="set('rule', $event || 'guarded')"
        />
        <PickField
          class="two"
          label="a rewind takes"
          :model-value="habits.rewindHabit"
          :options="habitsOfRewind"
          @update:model-value="set('rewindHabit', $event || 'failed-coil')"
        />
      </div>
      <p class="muted">A run keeps the rule it was begun with.</p>
    </section>
    <section aria-labelledby="defaults">
      <h2 id="defaults">Where a new card says nothing else</h2>
      <div class="fields">
        <TextField label="tolerance, ± %" :model-value="String(defaults().tolerancePct)" @update:model-value="setPct" />
        <FigureField
          label="open is at least"
          quantity="resistance"
          :model-value="defaults().openOhms"
          @update:model-value="setDefault('openOhms', $event)"
        />
        <FigureField
          label="insulation at least"
          quantity="insulation"
          :model-value="defaults().insulationOhms"
          @update:model-value="setDefault('insulationOhms', $event)"
        />
        <FigureField
          label="test volts at most"
          quantity="voltage"
          :model-value="defaults().testVolts"
          @update:model-value="setDefault('testVolts', $event)"
        />
      </div>
    </section>
    <section aria-labelledby="people">
      <h2 id="people">People</h2>
      <div v-for="person in people" :key="person.id" class="person">
        <TextField v-model="person.name" label="name" @change="keepPerson(person)" />
        <TextField v-model="person.role" label="does" @change="keepPerson(person)" />
        <KeyButton
          quiet
          :label="shop.person?.id === person.id ? 'is at the bench' : 'goes to the bench'"
          :disabled="shop.person?.id === person.id || !shop.people.some(({ id }) => id === person.id)"
          @press="shop.choosePerson(person.id)"
        />
      </div>
      <p><KeyButton label="another person" @press="addPerson" /></p>
    </section>
    <section aria-labelledby="moving">
      <h2 id="moving">Moving house</h2>
      <p class="moving">
        <a class="link" href="/api/v1/shop/export" download="shop.json">everything of this shop as one file</a>
        <label class="link"
          >take a shop’s file in <input type="file" accept=".json,application/json" class="unseen" @change="takeIn"
        /></label>
        <RouterLink class="link" to="/cards/in">take in cards or figures</RouterLink>
      </p>
      <p class="muted">
        What is here already stays as it is; nothing is overwritten, and a file is taken in whole or not at all.
      </p>
    </section>
  </main>
</template>

<style scoped>
.shop {
  padding: 14px 20px 40px;
  display: grid;
  gap: 18px;
  align-content: start;
  max-width: 1100px;
}
header {
  display: flex;
  gap: 24px;
  align-items: baseline;
}
h1 {
  font-size: 34px;
}
section {
  border-top: 1px solid var(--ink);
  padding-top: 10px;
  display: grid;
  gap: 8px;
}
h2 {
  font-size: 19px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px 12px;
}
.two {
  grid-column: span 2;
}
.person {
  display: grid;
  grid-template-columns: 1fr 1fr 170px;
  gap: 8px 12px;
  align-items: end;
}
.moving {
  display: flex;
  gap: 24px;
  flex-wrap: wrap;
}
.link {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  text-decoration: underline;
  cursor: pointer;
}
.link:focus-within {
  outline: 3px solid var(--copper);
}
.problem {
  color: var(--outside);
  font-weight: 600;
}
@media (max-width: 900px) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
