<script setup lang="ts">
import type { Person } from '@sure-spool/contract'
import Message from 'primevue/message'
import { ref } from 'vue'
import { useAsked } from '../door/useAsked'
import SecretField from '../fields/SecretField.vue'
import KeyButton from '../keys/KeyButton.vue'
import { ask } from '../store/api'
import { useShop } from '../store/shop'
import { secretWords } from '../words/audit'

/** A new PIN, a new password, or both, for one person. */
const props = defineProps<{ person: Person }>()
const emit = defineEmits<{ done: [words: string]; leave: [] }>()
const shop = useShop()
const { busy, problem, asked } = useAsked()
const pin = ref('')
const password = ref('')

async function keep(): Promise<void> {
  const fresh = { ...(pin.value ? { pin: pin.value } : {}), ...(password.value ? { password: password.value } : {}) }
  const body = { by: shop.person?.id, ...fresh }
  const kept = await asked(() => ask(`/shop/people/${props.person.id}/secrets`, { method: 'PUT', body }))
  if (!kept) return
  emit('done', `${props.person.name} comes in by the new ${secretWords(Object.keys(fresh))}`)
  emit('leave')
}
</script>

<template>
  <form class="secret" @submit.prevent="keep">
    <p class="whole">
      <strong>{{ person.name }}</strong>: what is left empty stays. Their other seats end with it.
    </p>
    <SecretField v-model="pin" pin first label="new PIN" hint="4 to 12 digits" />
    <SecretField v-model="password" label="new password" hint="at least 12 characters" />
    <p class="ways">
      <KeyButton main label="keep" :disabled="busy || (pin === '' && password === '')" submit />
      <KeyButton label="leave" @press="$emit('leave')" />
    </p>
    <Message v-if="problem" class="whole" severity="error" :closable="false">{{ problem }}</Message>
  </form>
</template>

<style scoped>
.secret {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 8px 16px;
  align-items: start;
}
.whole {
  grid-column: 1 / -1;
}
.ways {
  display: flex;
  gap: 8px;
  padding-top: 24px;
}
</style>
