<script setup lang="ts">
import Message from 'primevue/message'
import { ref } from 'vue'
import SecretField from '../fields/SecretField.vue'
import TextField from '../fields/TextField.vue'
import KeyButton from '../keys/KeyButton.vue'
import '../look/controls/signs'
import { useDoor } from '../store/door'
import { useAsked } from './useAsked'

/** A browser that is no bench: the owner's code makes it one; without it a person signs in here with their password. */
const door = useDoor()
const { busy, problem, asked } = useAsked()
const code = ref('')
const bench = ref('')
const name = ref('')
const password = ref('')
const join = () => asked(() => door.join(code.value, bench.value))
const signIn = () => asked(() => door.signInAway(name.value, password.value))
</script>

<template>
  <div class="door-form">
    <Message v-if="problem" severity="error" :closable="false">{{ problem }}</Message>
    <form class="door-form" @submit.prevent="join">
      <p>On the Shop screen the owner gets a code that makes this browser a bench, where people sit down with a PIN.</p>
      <TextField v-model="code" label="code" placeholder="eight letters and digits" :longest="9" />
      <TextField v-model="bench" label="name of this bench" placeholder="window bench" :longest="200" />
      <p><KeyButton main cap="Enter" label="join" :disabled="busy" submit /></p>
    </form>
    <form class="door-form rule" @submit.prevent="signIn">
      <p>Or sign in for now, away from the benches. It ends when the browser is closed.</p>
      <TextField v-model="name" label="your name" :longest="200" />
      <SecretField v-model="password" label="your password" />
      <p><KeyButton cap="Enter" label="sign in" :disabled="busy" submit /></p>
    </form>
  </div>
</template>

<style scoped>
.rule {
  border-top: 1px solid var(--hairline);
  padding-top: 12px;
}
</style>
