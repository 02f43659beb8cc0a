<script setup lang="ts">
import { until } from '@vueuse/core'
import { ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useOutbox } from '../store/outbox'
import { newer, takeOver, workHere } from '../store/version'

/** Says that a newer version is here. It takes over as somebody leaves their work, or when they say so; never while they are at it. */
const route = useRoute()
const outbox = useOutbox()
const elsewhere = ref(false)

async function take(): Promise<void> {
  await until(() => outbox.keeping).toBe(0)
  if (!route.meta['work']) elsewhere.value = !(await takeOver())
}
watch(
  () => Boolean(route.meta['work']),
  (works, worked) => {
    workHere(works)
    if (newer.value && worked && !works) void take()
  },
  { immediate: true, flush: 'post' },
)
</script>

<template>
  <span v-if="newer && route.meta['work']" class="newer"
    ><span class="more">a </span>newer version<span class="more"> is here, for afterwards</span></span
  >
  <span v-else-if="newer && elsewhere" class="newer"
    ><span class="more">a </span>newer version<span class="more"> waits for another tab</span>
    <button class="plain" @click="take">take it now</button></span
  >
  <button v-else-if="newer" class="plain newer" @click="take"><span class="more">take the </span>newer version</button>
</template>

<style scoped>
.newer {
  display: block;
  flex: 0 1 auto;
  min-width: 0;
  max-width: 24ch;
  line-height: 1.2;
}
@media (max-width: 1000px) {
  .more {
    display: none;
  }
  .newer {
    max-width: 9ch;
    font-size: 15px;
  }
}
button {
  min-height: 44px;
  text-decoration: underline;
}
</style>
