<script setup lang="ts">
import type { QueueUnit } from '@sure-spool/contract'
import InputText from 'primevue/inputtext'
import { onMounted, ref } from 'vue'
import ScreenKey from '../keys/ScreenKey.vue'

/** What a part waits for, in words. */
defineProps<{ unit: QueueUnit }>()
const emit = defineEmits<{ keep: [words: string]; leave: [] }>()
const words = ref('')
const field = ref<{ $el: HTMLInputElement }>()
onMounted(() => field.value?.$el.focus())
const keep = () => words.value.trim() !== '' && emit('keep', words.value.trim())
defineExpose({ keep })
</script>

<template>
  <form class="asking" @submit.prevent="keep" @keydown.esc="emit('leave')">
    <label for="block-words">What does {{ unit.tag }} wait for?</label>
    <InputText id="block-words" ref="field" v-model="words" maxlength="200" autocomplete="off" />
    <ScreenKey main act="keepAside" />
    <ScreenKey act="leave" />
  </form>
</template>

<style scoped>
.asking {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto auto;
  gap: 14px;
  align-items: center;
  padding: 14px 20px;
  background: var(--tint);
  border-top: 3px solid var(--copper);
}
.asking :deep(input) {
  min-height: 44px;
}
</style>
