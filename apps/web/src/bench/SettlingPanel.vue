<script setup lang="ts">
import ScreenKey from '../keys/ScreenKey.vue'
import type { Settling } from '../words/finding'

/** What would settle the finding, in the order in which to try it; each a key from the step that does it, while the run is open. */
defineProps<{ settling: Settling[]; closed: boolean }>()
</script>

<template>
  <section v-if="settling.length > 0">
    <h2 class="label">What would settle it</h2>
    <template v-for="(one, i) in settling" :key="i">
      <ScreenKey v-if="one.step && !closed" act="settle" :at="i" :label="one.head" :hint="one.text" />
      <p v-else>
        <strong>{{ one.head }}</strong> {{ one.text }}
      </p>
    </template>
  </section>
</template>
