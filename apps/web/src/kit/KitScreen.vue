<script setup lang="ts">
import type { ShopView } from '@sure-spool/contract'
import type { Instrument } from '@sure-spool/core'
import Message from 'primevue/message'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import KeyButton from '../keys/KeyButton.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import '../look/controls/signs'
import { ask } from '../store/api'
import { newId } from '../store/newId'
import { plain } from '../store/plain'
import { useShop } from '../store/shop'
import { day } from '../words/times'
import { kitKeys } from './kitKeys'
import MeterForm from './MeterForm.vue'
import RangesTable from './RangesTable.vue'

/** The meters: their ranges and accuracy, how their leads are zeroed, when they are due. In force on the bench at once. */
const shop = useShop()
const router = useRouter()
const editing = ref<Instrument>()
const problem = ref('')
const retiring = ref('')
const today = new Date().toISOString().slice(0, 10)
const due = ({ dueOn }: Instrument) => (dueOn !== undefined && dueOn < today ? 'overdue' : 'due')
const zeroWords = { hardware: 'its own key zeroes the leads', subtract: 'leads are taken off by the bench' }
async function keep(instrument: Instrument): Promise<void> {
  await done(() =>
    ask<ShopView>(`/shop/instruments/${instrument.id}`, { method: 'PUT', body: { instrument, by: shop.person?.id } }),
  )
}
async function retire({ id }: Instrument): Promise<void> {
  if (retiring.value !== id) {
    retiring.value = id
    return
  }
  await done(() => ask<ShopView>(`/shop/instruments/${id}?by=${shop.person?.id ?? ''}`, { method: 'DELETE' }))
}
async function done(send: () => Promise<ShopView>): Promise<void> {
  try {
    await shop.take(await send())
    editing.value = undefined
    retiring.value = problem.value = ''
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
const fresh = (): Instrument => ({
  id: `m-${newId().slice(-8)}`,
  name: '',
  overSign: 'OL',
  ranging: 'auto',
  zero: 'hardware',
  functions: [
    { quantity: 'resistance', ranges: [{ fullScale: 600, resolution: 0.1, percentOfReading: 1, counts: 3 }] },
  ],
})
const meters = computed(() => shop.instruments)

useScreenKeys(kitKeys, () => (editing.value ? 'form' : 'list'), {
  another: () => void (editing.value = fresh()),
  change: (digit) => {
    const meter = meters.value[Number(digit) - 1]
    if (!meter) return false
    editing.value = plain(meter)
    return true
  },
  leave: () => void router.push('/'),
})
</script>

<template>
  <main class="kit">
    <header>
      <h1>Kit</h1>
      <p class="muted">A change is in force for the next run; a run keeps the meters it was made with.</p>
      <ScreenKey v-if="!editing" act="another" />
    </header>
    <Message v-if="problem" severity="error">{{ problem }}</Message>
    <MeterForm v-if="editing" :meter="editing" @keep="keep" @leave="editing = undefined" />
    <article v-for="(meter, i) in meters" v-else :key="meter.id" class="meter">
      <div class="head">
        <h2>{{ meter.name }}</h2>
        <p>
          {{ meter.ranging === 'auto' ? 'ranges by itself' : 'ranged by hand' }}, over range shows
          <strong class="n">{{ meter.overSign }}</strong><template v-if="meter.fourWire">, four wires</template
          ><template v-else>, {{ zeroWords[meter.zero ?? 'hardware'] }}</template>
        </p>
        <p v-if="meter.dueOn" :class="{ problem: due(meter) === 'overdue' }">
          calibration {{ due(meter) === 'overdue' ? 'was due' : 'due' }} {{ day(meter.dueOn) }}
        </p>
        <p v-else class="muted">no day due entered</p>
        <p class="acts">
          <KeyButton :cap="i < 9 ? String(i + 1) : ''" label="change" @press="editing = plain(meter)" />
          <KeyButton
            quiet
            :label="retiring === meter.id ? 'off the bench for good' : 'take off the bench'"
            @press="retire(meter)"
          />
        </p>
      </div>
      <RangesTable :meter="meter" />
    </article>
  </main>
</template>

<style scoped>
.kit {
  padding: 14px 20px;
  display: grid;
  gap: 14px;
  align-content: start;
}
header {
  display: flex;
  gap: 24px;
  align-items: center;
}
header :deep(.key-button) {
  margin-left: auto;
}
h1 {
  font-size: 34px;
}
h2 {
  font-size: 19px;
}
.problem {
  color: var(--outside);
  font-weight: 600;
}
.meter {
  display: grid;
  grid-template-columns: 340px minmax(0, 1fr);
  gap: 24px;
  border-top: 1px solid var(--ink);
  padding-top: 10px;
}
.head {
  display: grid;
  gap: 4px;
  align-content: start;
}
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
@media (max-width: 900px) {
  .meter {
    grid-template-columns: minmax(0, 1fr);
  }
  header {
    flex-wrap: wrap;
  }
}
</style>
