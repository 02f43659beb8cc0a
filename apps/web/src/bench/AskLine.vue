<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { computed, onMounted, ref } from 'vue'
import { askKeys } from '../keys/askKeys'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'

/** A line that asks for words: offered ones by number, others typed. Enter keeps, and says so where words are needed; Esc leaves. */
const props = withDefaults(defineProps<{ question: string; offers?: string[]; need?: boolean }>(), {
  offers: () => [],
  need: true,
})
const emit = defineEmits<{ keep: [words: string]; leave: [] }>()
const words = ref('')
const wanted = ref(false)
const field = ref<{ $el: HTMLInputElement }>()
const focus = () => field.value?.$el.focus()
const offered = computed(() => props.offers.slice(0, askKeys.acts.offer.keys.length))
onMounted(focus)

function keep(): void {
  const text = words.value.trim()
  wanted.value = text === '' && props.need
  if (wanted.value) focus()
  else emit('keep', text)
}
/** @returns false where the digit is part of the words */
function offer(key: string): boolean {
  const one = words.value === '' ? offered.value[askKeys.acts.offer.keys.indexOf(key)] : undefined
  if (one === undefined) return false
  emit('keep', one)
  return true
}
const leave = () => emit('leave')
useScreenKeys(askKeys, () => 'asking', { offer, keep, leave })
</script>

<template>
  <form class="ask" @submit.prevent="keep" @keydown.esc.stop.prevent="leave">
    <label for="ask-words">{{ question }}</label>
    <p v-if="offered.length > 0" class="offers">
      <ScreenKey v-for="(one, i) in offered" :key="one" act="offer" :at="i" :label="one" />
    </p>
    <p class="typed">
      <InputText
        id="ask-words"
        ref="field"
        v-model="words"
        maxlength="2000"
        autocomplete="off"
        @keydown="offer($event.key) && $event.preventDefault()"
      />
      <ScreenKey main act="keep" />
      <ScreenKey act="leave" />
    </p>
    <p v-if="wanted && words === ''" role="alert">A word or two first.</p>
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
.typed > :first-child {
  flex: 1;
  min-width: 200px;
}
</style>
