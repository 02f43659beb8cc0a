<script setup lang="ts">
import type { Bench, JoinCode } from '@sure-spool/contract'
import Column from 'primevue/column'
import { onMounted, ref } from 'vue'
import KeyButton from '../keys/KeyButton.vue'
import { ask } from '../store/api'
import { useDoor } from '../store/door'
import RuledTable from '../tables/RuledTable.vue'
import { clock, day } from '../words/times'

/** The browsers that are benches of the shop, and those in which somebody is signed in away from it. */
const emit = defineEmits<{ told: [words: string]; refused: [sentence: string] }>()
const door = useDoor()
const benches = ref<Bench[]>([])
const code = ref<JoinCode>()
/** the one that is to be ended, once that is said again */
const ending = ref<Bench>()

/** @returns whether it was done */
async function asked(work: () => Promise<unknown>): Promise<boolean> {
  try {
    await work()
    return true
  } catch (error) {
    emit('refused', error instanceof Error ? error.message : String(error))
    return false
  }
}
const load = () => asked(async () => (benches.value = (await ask<{ benches: Bench[] }>('/shop/benches')).benches))
const give = () => asked(async () => (code.value = await ask<JoinCode>('/shop/benches/code', { method: 'POST' })))
async function end({ id, name }: Bench): Promise<void> {
  ending.value = undefined
  if (await asked(() => ask(`/shop/benches/${id}`, { method: 'DELETE' })))
    emit('told', `${name} opens nothing any more`)
  await load()
}
onMounted(load)
</script>

<template>
  <RuledTable :rows="benches" row-key="id" label="Benches">
    <Column field="name" header="bench" style="width: 40%" />
    <Column header="joined">
      <template #body="{ data }: { data: Bench }">{{ day(data.joinedAt) }}</template>
    </Column>
    <Column header="last seen">
      <template #body="{ data }: { data: Bench }">{{ day(data.seenAt) }}, {{ clock(data.seenAt) }}</template>
    </Column>
    <Column header="">
      <template #body="{ data }: { data: Bench }"
        ><span v-if="data.id === door.door?.bench?.id" class="muted">this browser</span
        ><KeyButton v-else quiet label="end it" @press="ending = data"
      /></template>
    </Column>
  </RuledTable>
  <p v-if="ending" class="ways">
    <span>What {{ ending.name }} has not sent yet is refused, and nobody sits there any more.</span>
    <KeyButton main :label="`end ${ending.name}`" @press="end(ending)" />
    <KeyButton label="leave it" @press="ending = undefined" />
  </p>
  <p v-if="code" role="status" class="code">
    <strong>{{ code.code }}</strong> makes one browser a bench, until {{ clock(code.endsAt) }}. It is not shown again.
  </p>
  <p><KeyButton label="a code for another bench" @press="give" /></p>
</template>

<style scoped>
.ways {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
}
.code strong {
  font: 600 24px var(--figures);
  letter-spacing: 0.08em;
}
</style>
