<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import Message from 'primevue/message'
import { computed, ref } from 'vue'
import SecretField from '../fields/SecretField.vue'
import KeyButton from '../keys/KeyButton.vue'
import '../look/controls/signs'
import { useDoor } from '../store/door'
import { useAsked } from './useAsked'

/** Who sits down here: by number, then the PIN; whoever sits here already goes on without it. */
const door = useDoor()
const { busy, problem, asked } = useAsked()
const chosen = ref<string>()
const pin = ref('')
const names = computed(() => door.people)
const one = computed(() => names.value.find(({ id }) => id === chosen.value))

function choose(id: string): void {
  problem.value = pin.value = ''
  if (!door.goOn(id)) chosen.value = id
}
async function sit(): Promise<void> {
  const { value: id } = chosen
  if (id === undefined) return
  if (!(await asked(() => door.sit(id, pin.value)))) pin.value = ''
}
/** A digit chooses while there are only names; then it belongs to the PIN. */
useEventListener(window, 'keydown', (event) => {
  const at = /^[1-9]$/.test(event.key) && !event.ctrlKey && !event.metaKey ? Number(event.key) - 1 : -1
  const person = one.value ? undefined : names.value[at]
  if (!person) return
  event.preventDefault()
  choose(person.id)
})
</script>

<template>
  <form v-if="one" class="door-form" @submit.prevent="sit">
    <SecretField :key="one.id" v-model="pin" pin first :label="`${one.name}: PIN`" />
    <Message v-if="problem" severity="error" :closable="false">{{ problem }}</Message>
    <p class="ways">
      <KeyButton main cap="Enter" label="sit down" :disabled="busy" submit />
      <KeyButton label="somebody else" @press="chosen = undefined" />
    </p>
    <p class="muted">A PIN that was forgotten is replaced by the owner, on the Shop screen.</p>
  </form>
  <div v-else class="door-form">
    <p class="muted">{{ door.door?.bench?.name }}</p>
    <ul class="names">
      <li v-for="(person, i) in names" :key="person.id">
        <KeyButton
          :cap="i < 9 ? String(i + 1) : ''"
          :label="person.name"
          :hint="person.sits ? 'sits here' : ''"
          @press="choose(person.id)"
        />
      </li>
    </ul>
    <p v-if="door.changing" class="ways">
      <KeyButton quiet label="leave the bench" hint="what was taken goes up all the same" @press="door.leave()" />
      <KeyButton
        quiet
        label="leave every bench"
        hint="in case of theft: what is not sent yet is refused"
        :disabled="busy"
        @press="asked(door.leaveEverywhere)"
      />
    </p>
    <Message v-if="problem" severity="error" :closable="false">{{ problem }}</Message>
  </div>
</template>

<style scoped>
.names {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 8px;
}
.ways {
  display: flex;
  gap: 12px;
}
</style>
