<script setup lang="ts">
import PhotoField from '../photos/PhotoField.vue'
import AskLine from './AskLine.vue'
import type { Question } from './useQuestions'

/** What the bench asks in words, with a photo where one may go with the answer. */
defineProps<{ question: Question }>()
defineEmits<{ keep: [words: string]; leave: [] }>()
const backToWords = () => document.getElementById('ask-words')?.focus()
</script>

<template>
  <div class="asked">
    <PhotoField v-if="question.photo" class="photo" @taken="backToWords" />
    <AskLine
      :key="question.question"
      :question="question.question"
      :offers="question.offers"
      :need="!question.free"
      @keep="$emit('keep', $event)"
      @leave="$emit('leave')"
    />
  </div>
</template>

<style scoped>
.photo {
  padding: 10px 28px;
  background: var(--tint);
  --photo-height: 200px;
}
</style>
