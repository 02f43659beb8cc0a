<script setup lang="ts">
import { useWriting } from './parts'

/** Which variants a plug or a check is for; all of them where none is named. */
const props = defineProps<{ only: string[] | undefined }>()
const emit = defineEmits<{ set: [only: string[] | undefined] }>()
const { card } = useWriting()
function toggle(id: string): void {
  const now = props.only ?? []
  const next = now.includes(id) ? now.filter((one) => one !== id) : [...now, id]
  emit('set', next.length > 0 ? next : undefined)
}
</script>

<template>
  <span v-if="card().variants.length > 0" class="only">
    <span class="muted">only for</span>
    <label v-for="variant in card().variants" :key="variant.id" class="tick"
      ><input type="checkbox" :checked="only?.includes(variant.id) ?? false" @change="toggle(variant.id)" />
      {{ variant.label }}</label
    >
  </span>
</template>

<style scoped>
.only {
  display: inline-flex;
  gap: 4px 14px;
  flex-wrap: wrap;
  align-items: center;
}
</style>
