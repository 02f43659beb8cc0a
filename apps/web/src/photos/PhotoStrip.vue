<script setup lang="ts">
import PhotoPicture from './PhotoPicture.vue'
import type { Shown } from '../words/photosOf'

/** Photos side by side, each with what was said of it. */
defineProps<{ photos: Shown[] }>()
</script>

<template>
  <ul v-if="photos.length > 0" class="strip">
    <li v-for="one in photos" :key="one.id">
      <PhotoPicture :photo="one.photo" :spot="one.spot" :words="one.words" />
      <span>{{ one.words }}</span>
    </li>
  </ul>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  --photo-height: 180px;
}
li {
  display: grid;
  gap: 2px;
  max-width: 320px;
  break-inside: avoid;
}
</style>
