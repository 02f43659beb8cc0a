<script setup lang="ts">
import { onMounted, ref } from 'vue'
import KeyButton from '../parts/KeyButton.vue'

/** A line that asks for words: offered ones by number, others typed. Enter keeps, Esc leaves. */
const props = withDefaults(defineProps<{ question: string; offers?: string[]; start?: string; need?: boolean }>(), {
  offers: () => [],
  start: '',
  need: true,
})
const emit = defineEmits<{ keep: [words: string]; leave: [] }>()
const words = ref(props.start)
const field = ref<HTMLInputElement>()
onMounted(() => field.value?.focus())

function keep(): void {
  const text = words.value.trim()
  if (text === '' && props.need) field.value?.focus()
  else emit('keep', text)
}

function number(event: KeyboardEvent): void {
  const offer = /^[1-9]$/.test(event.key) && words.value === '' ? props.offers[Number(event.key) - 1] : undefined
  if (offer === undefined) return
  event.preventDefault()
  emit('keep', offer)
}
</script>

<template>
  <form class="ask" @submit.prevent="keep" @keydown.esc.stop.prevent="$emit('leave')">
    <label for="ask-words">{{ question }}</label>
    <p v-if="offers.length > 0" class="offers">
      <KeyButton
        v-for="(offer, i) in offers"
        :key="offer"
        :cap="String(i + 1)"
        :label="offer"
        @press="$emit('keep', offer)"
      />
    </p>
    <p class="typed">
      <input
        id="ask-words"
        ref="field"
        v-model="words"
        class="field"
        maxlength="2000"
        autocomplete="off"
        @keydown="number"
      />
      <KeyButton main cap="Enter" label="keep" @press="keep" />
      <KeyButton cap="Esc" label="leave" @press="$emit('leave')" />
    </p>
  </form>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 8px;
  padding: 12px 28px;
  background: var(--tint);
  border-top: 3px solid var(--copper);
}
label {
  font-weight: 650;
  font-size: 18px;
}
.offers,
.typed {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
}
.typed .field {
  flex: 1;
  min-width: 200px;
}
</style>
