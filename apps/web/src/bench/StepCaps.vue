<script setup lang="ts">
import ScreenKey from '../keys/ScreenKey.vue'
import { muted } from '../reading/verdictSound'

/**
 * What can be done at any step besides the step itself; beside a long title there is no room for all of it.
 * `beside`: only a neighbour could judge what is read here
 */
defineProps<{ points?: boolean; beside?: boolean }>()
</script>

<template>
  <div class="caps">
    <ScreenKey quiet act="note" />
    <ScreenKey quiet act="skip" />
    <ScreenKey v-if="points" quiet act="points" />
    <ScreenKey v-if="beside" quiet act="compare" label="neighbour" />
    <ScreenKey v-else quiet act="mute" :label="muted === 'yes' ? 'sound' : 'mute'" />
  </div>
</template>

<style scoped>
.caps {
  display: flex;
  gap: 4px;
  flex: none;
}
</style>
