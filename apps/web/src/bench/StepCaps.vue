<script setup lang="ts">
import KeyButton from '../parts/KeyButton.vue'

/** What can be done at any step besides the step itself. */
defineProps<{ asleep: boolean; muted: boolean }>()
defineEmits<{ note: []; skip: []; mute: [] }>()
</script>

<template>
  <div class="caps">
    <KeyButton quiet cap="n" label="note" :asleep="asleep" @press="$emit('note')" />
    <KeyButton quiet cap="s" label="skip" :asleep="asleep" @press="$emit('skip')" />
    <KeyButton quiet cap="m" :label="muted ? 'sound' : 'mute'" :asleep="asleep" @press="$emit('mute')" />
  </div>
</template>

<style scoped>
.caps {
  display: flex;
  gap: 4px;
  flex: none;
}
</style>
