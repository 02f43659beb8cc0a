<script setup lang="ts">
import type { Access, Person, ShopView } from '@sure-spool/contract'
import Column from 'primevue/column'
import { computed, ref, watch } from 'vue'
import PickField from '../fields/PickField.vue'
import TextField from '../fields/TextField.vue'
import KeyButton from '../keys/KeyButton.vue'
import { ask } from '../store/api'
import { useDoor } from '../store/door'
import { newId } from '../store/newId'
import { plain } from '../store/plain'
import { useShop } from '../store/shop'
import RuledTable from '../tables/RuledTable.vue'
import NewSecret from './NewSecret.vue'

/** Who works here, does what and may do what; a name is kept when its field is left. */
const props = defineProps<{ kept: (answer: Promise<ShopView>) => Promise<void> }>()
const emit = defineEmits<{ told: [words: string] }>()
const door = useDoor()
const shop = useShop()
/** whose PIN or password is being changed */
const secretOf = ref<Person>()
const mayChange = computed(() => shop.person?.access === 'owner')
const accesses = [
  { value: 'owner' as const, label: 'everything' },
  { value: 'technician' as const, label: 'all the work' },
  { value: 'learner' as const, label: 'learns' },
  { value: 'reader' as const, label: 'reads' },
]
const people = ref<Person[]>(plain(shop.people))
watch(
  () => shop.people.map(({ id }) => id).join(),
  () => (people.value = [...plain(shop.people), ...people.value.filter((one) => !isKept(one))]),
)
const isKept = ({ id }: Person) => shop.people.some((one) => one.id === id)
const isHere = ({ id }: Person) => shop.person?.id === id
async function keep(person: Person): Promise<void> {
  if (person.name.trim() === '') return
  await props.kept(
    ask<ShopView>(`/shop/people/${person.id}`, { method: 'PUT', body: { person, by: shop.person?.id ?? person.id } }),
  )
}
function setAccess(person: Person, access: Access | ''): void {
  if (access === '') return
  person.access = access
  void keep(person)
}
const add = () => people.value.push({ id: newId(), name: '', role: 'at the bench', access: 'technician' })
</script>

<template>
  <RuledTable :rows="people" row-key="id" label="People">
    <Column header="name" style="width: 26%">
      <template #body="{ data }: { data: Person }"
        ><TextField v-model="data.name" label="name" hidden @change="keep(data)"
      /></template>
    </Column>
    <Column header="does" style="width: 26%">
      <template #body="{ data }: { data: Person }"
        ><TextField v-model="data.role" label="does" hidden @change="keep(data)"
      /></template>
    </Column>
    <Column header="may do" style="width: 22%">
      <template #body="{ data }: { data: Person }"
        ><PickField
          label="may do"
          hidden
          :model-value="data.access ?? 'technician'"
          :options="accesses"
          @update:model-value="setAccess(data, $event)"
      /></template>
    </Column>
    <Column :header="door.open ? 'at the bench' : 'comes in by'">
      <template #body="{ data }: { data: Person }"
        ><KeyButton
          v-if="!door.open"
          quiet
          label="new PIN or password"
          :disabled="!isKept(data) || (!mayChange && !isHere(data))"
          @press="secretOf = data" /><KeyButton
          v-else
          quiet
          :label="isHere(data) ? 'is at the bench' : 'goes to the bench'"
          :disabled="isHere(data) || !isKept(data)"
          @press="shop.choosePerson(data.id)"
      /></template>
    </Column>
  </RuledTable>
  <NewSecret v-if="secretOf" :person="secretOf" @done="emit('told', $event)" @leave="secretOf = undefined" />
  <p><KeyButton label="another person" :disabled="!mayChange" @press="add" /></p>
</template>
