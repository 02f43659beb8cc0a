<script setup lang="ts">
import type { Person, ShopView } from '@sure-spool/contract'
import Column from 'primevue/column'
import { ref, watch } from 'vue'
import TextField from '../fields/TextField.vue'
import KeyButton from '../keys/KeyButton.vue'
import { ask } from '../store/api'
import { newId } from '../store/newId'
import { plain } from '../store/plain'
import { useShop } from '../store/shop'
import RuledTable from '../tables/RuledTable.vue'

/** Who works here and does what; a name is kept when its field is left. */
const props = defineProps<{ kept: (answer: Promise<ShopView>) => Promise<void> }>()
const shop = useShop()
const people = ref<Person[]>(plain(shop.people))
watch(
  () => shop.known,
  () => (people.value = plain(shop.people)),
)
const isKept = ({ id }: Person) => shop.people.some((one) => one.id === id)
const isHere = ({ id }: Person) => shop.person?.id === id
async function keep(person: Person): Promise<void> {
  if (person.name.trim() === '') return
  await props.kept(
    ask<ShopView>(`/shop/people/${person.id}`, { method: 'PUT', body: { person, by: shop.person?.id ?? person.id } }),
  )
}
const add = () => people.value.push({ id: newId(), name: '', role: 'at the bench' })
</script>

<template>
  <RuledTable :rows="people" row-key="id" label="People">
    <Column header="name" style="width: 36%">
      <template #body="{ data }: { data: Person }"
        ><TextField v-model="data.name" label="name" hidden @change="keep(data)"
      /></template>
    </Column>
    <Column header="does" style="width: 36%">
      <template #body="{ data }: { data: Person }"
        ><TextField v-model="data.role" label="does" hidden @change="keep(data)"
      /></template>
    </Column>
    <Column header="at the bench">
      <template #body="{ data }: { data: Person }"
        ><KeyButton
          quiet
          :label="isHere(data) ? 'is at the bench' : 'goes to the bench'"
          :disabled="isHere(data) || !isKept(data)"
          @press="shop.choosePerson(data.id)"
      /></template>
    </Column>
  </RuledTable>
  <p><KeyButton label="another person" @press="add" /></p>
</template>
