<script setup lang="ts">
import type { Seal } from '@sure-spool/contract'
import type { Entry } from '@sure-spool/core'
import Message from 'primevue/message'
import { computed, onMounted, ref, watch } from 'vue'
import { useAsked } from '../door/useAsked'
import PickField from '../fields/PickField.vue'
import SecretField from '../fields/SecretField.vue'
import { askKeys } from '../keys/askKeys'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import '../look/controls/signs'
import { useDoor } from '../store/door'
import { useShop } from '../store/shop'

/** Who is learning decides with a second person: that one looks, says so, and gives their PIN at this bench. */
defineProps<{ what: string }>()
const emit = defineEmits<{ given: [second: string, word: ((entry: Entry) => Seal) | undefined]; leave: [] }>()
const shop = useShop()
const door = useDoor()
const { busy, problem, asked } = useAsked()
const who = ref('')
const pin = ref('')
const others = computed(() =>
  shop.people
    .filter(({ id, access }) => id !== shop.person?.id && access !== 'learner' && access !== 'reader')
    .map(({ id, name }) => ({ value: id, label: name })),
)
onMounted(() => (who.value = others.value[0]?.value ?? ''))
const form = ref<HTMLElement>()
// on a screen held upright the foot of the finding lies below its edge
watch(problem, () => form.value?.scrollIntoView({ block: 'end' }), { flush: 'post' })
onMounted(() => form.value?.scrollIntoView({ block: 'end' }))

async function keep(): Promise<void> {
  if (who.value === '' || busy.value) return
  if (door.open) {
    emit('given', who.value, undefined)
    return
  }
  await asked(async () => emit('given', who.value, await door.wordOf(who.value, pin.value)))
  pin.value = ''
}
const leave = () => emit('leave')
useScreenKeys(askKeys, () => 'asking', { offer: () => false, keep: () => void keep(), leave })
</script>

<template>
  <form ref="form" class="second" @submit.prevent="keep" @keydown.esc.stop.prevent="leave">
    <p>
      <strong>A second person looks at it first.</strong> You are learning: “{{ what }}” is kept with the word of
      somebody who stands for it.
    </p>
    <Message v-if="problem" severity="error" :closable="false">{{ problem }}</Message>
    <p class="fields">
      <PickField v-model="who" label="who stands for it" :options="others" />
      <SecretField v-if="!door.open" v-model="pin" pin first label="their PIN" />
      <ScreenKey main act="keep" />
      <ScreenKey act="leave" />
    </p>
  </form>
</template>

<style scoped>
.second {
  display: grid;
  gap: 8px;
  padding: 10px 28px 16px;
}
.fields {
  display: flex;
  gap: 12px;
  align-items: end;
  flex-wrap: wrap;
}
</style>
