<script setup lang="ts">
import ScreenKey from '../keys/ScreenKey.vue'
import { muted } from '../reading/verdictSound'

/** What can be done at any step besides the step itself. */
</script>

<template>
  <div class="caps">
    <ScreenKey quiet act="note" />
    <ScreenKey quiet act="skip" />
    <ScreenKey quiet act="mute" :label="muted === 'yes' ? 'sound' : 'mute'" />
  </div>
</template>

<style scoped>
.caps {
  display: flex;
  gap: 4px;
  flex: none;
}
</style>
