<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { computed } from 'vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { lookWords } from '../words/kinds'
import { looksOffered, type PlainStepActs } from './usePlainStep'

/** A look: what is seen by its digit, where and what in words. */
const props = defineProps<{ acts: PlainStepActs }>()
const seen = computed(() => props.acts.seen.value)
const isFault = computed(() => props.acts.isFault.value)
const words = computed({ get: () => props.acts.words.value, set: (text) => props.acts.write(text) })
const keepLabel = computed(() =>
  seen.value.length === 0 ? 'nothing to be seen' : `keep: ${seen.value.map((one) => lookWords[one]).join(', ')}`,
)
</script>

<template>
  <div class="choices">
    <ScreenKey
      v-for="(what, i) in looksOffered"
      :key="what"
      act="seen"
      :at="i"
      :label="lookWords[what]"
      :main="seen.includes(what)"
      :aria-pressed="seen.includes(what)"
    />
  </div>
  <p class="field-of">
    <label class="field-label" for="look-words">where and what, if anything</label
    ><InputText
      id="look-words"
      v-model="words"
      maxlength="2000"
      autocomplete="off"
      @keydown.enter.prevent="acts.keepLook()"
    />
  </p>
  <p class="keep">
    <ScreenKey main act="keepLook" :label="keepLabel" />
    <ScreenKey v-if="seen.length > 0" act="fault" :aria-pressed="isFault" :main="isFault" />
  </p>
</template>

<style scoped>
.keep {
  display: flex;
  gap: 12px;
}
.choices {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 10px;
}
.choices :deep(.key-button) {
  width: 100%;
  padding-inline: 8px;
  gap: 8px;
}
@media (max-width: 1100px) {
  .choices {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
</style>
