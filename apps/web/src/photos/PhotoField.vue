<script setup lang="ts">
import type { Spot } from '@sure-spool/core'
import { ref, watch } from 'vue'
import FileField from '../fields/FileField.vue'
import { usePhotos } from '../store/photos'
import PhotoPicture from './PhotoPicture.vue'

/** A photo for what is said next: chosen or taken, then tapped where the place is. */
withDefaults(defineProps<{ cap?: string | undefined; label?: string; quiet?: boolean }>(), {
  cap: undefined,
  label: 'photo',
})
/** taken, or tapped: the words are next */
const emit = defineEmits<{ taken: [] }>()
const photos = usePhotos()
const refusal = ref('')
const field = ref<{ choose: () => void }>()
async function take(file: File): Promise<void> {
  refusal.value = ''
  try {
    await photos.take(file)
    emit('taken')
  } catch (error) {
    refusal.value = error instanceof Error ? error.message : String(error)
  }
}
function point(spot: Spot): void {
  photos.point(spot)
  emit('taken')
}
watch(
  () => photos.wanted,
  () => field.value?.choose(),
)
</script>

<template>
  <div class="photo-field">
    <div class="beside">
      <FileField
        ref="field"
        :label="photos.busy ? 'making it small …' : label"
        accept="image/*"
        :disabled="photos.busy"
        :cap="cap"
        :quiet="quiet"
        @chosen="take"
      />
      <template v-if="photos.pending">
        <p class="muted">
          {{ photos.pending.spot ? 'The place is marked.' : 'Tap the place, if it shows one.' }} It goes with what is
          said next.
        </p>
        <button class="plain leave" @click="photos.leave()">without it</button>
      </template>
      <p v-if="refusal" class="problem" role="alert">{{ refusal }}</p>
    </div>
    <PhotoPicture
      v-if="photos.pending"
      :photo="photos.pending.photo"
      :spot="photos.pending.spot"
      words="the photo that goes with what is said next"
      tappable
      @tap="point"
    />
  </div>
</template>

<style scoped>
.photo-field {
  display: flex;
  gap: 8px 20px;
  align-items: start;
}
.beside {
  display: grid;
  gap: 4px;
  justify-items: start;
  max-width: 210px;
}
.leave {
  min-height: 44px;
  text-decoration: underline;
}
</style>
