<script setup lang="ts">
import Message from 'primevue/message'
import { reactive } from 'vue'
import SecretField from '../fields/SecretField.vue'
import TextField from '../fields/TextField.vue'
import KeyButton from '../keys/KeyButton.vue'
import '../look/controls/signs'
import { useDoor } from '../store/door'
import { useAsked } from './useAsked'

/** The first run of a shop: its owner, and this browser as its first bench. */
const door = useDoor()
const { busy, problem, asked } = useAsked()
const said = reactive({ code: '', shop: '', name: '', pin: '', password: '', bench: 'bench' })
const begin = () => asked(() => door.first({ ...said }))
</script>

<template>
  <form class="door-form two" @submit.prevent="begin">
    <p class="whole">
      The start command has printed a code. Whoever has it becomes the owner, and this browser the first bench.
    </p>
    <TextField v-model="said.code" class="whole" label="code" placeholder="eight letters and digits" :longest="9" />
    <TextField v-model="said.shop" label="name of the shop" :longest="200" />
    <TextField v-model="said.name" label="your name" :longest="200" />
    <SecretField v-model="said.pin" pin label="your PIN" hint="4 to 12 digits, for the benches of the shop" />
    <SecretField
      v-model="said.password"
      label="your password"
      hint="at least 12 characters, for other browsers; a few words are good"
    />
    <TextField v-model="said.bench" class="whole" label="name of this bench" :longest="200" />
    <Message v-if="problem" class="whole" severity="error" :closable="false">{{ problem }}</Message>
    <p><KeyButton main cap="Enter" label="begin" :disabled="busy" submit /></p>
  </form>
</template>

<style scoped>
.two {
  grid-template-columns: 1fr 1fr;
  align-items: start;
}
.whole {
  grid-column: 1 / -1;
}
@media (max-width: 600px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
