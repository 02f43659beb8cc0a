<script setup lang="ts">
import type { Spot } from '@sure-spool/core'
import { ref, watch } from 'vue'
import { photoAddress } from '../store/photoCopies'

/** A photo with the place that was meant; tapped where it may be, it says where. */
const props = defineProps<{ photo: string; words: string; spot?: Spot | undefined; tappable?: boolean }>()
const emit = defineEmits<{ tap: [spot: Spot] }>()
const address = ref('')
const isMissing = ref(false)
watch(
  () => props.photo,
  async (id) => {
    isMissing.value = false
    address.value = ''
    const found = await photoAddress(id)
    if (props.photo === id) address.value = found
  },
  { immediate: true },
)
function tap(event: MouseEvent): void {
  if (!props.tappable) return
  const { left, top, width, height } = (event.currentTarget as HTMLElement).getBoundingClientRect()
  emit('tap', { x: (event.clientX - left) / width, y: (event.clientY - top) / height })
}
</script>

<template>
  <p v-if="isMissing" class="muted">
    The photo is not here yet: the bench that took it has not sent it, or the server is away.
  </p>
  <span v-else-if="address" class="photo" :class="{ tappable }" @click="tap">
    <img :src="address" :alt="words" @error="isMissing = true" />
    <svg
      v-if="spot"
      viewBox="-12 -12 24 24"
      :style="{ left: `${spot.x * 100}%`, top: `${spot.y * 100}%` }"
      aria-hidden="true"
    >
      <circle class="halo" r="8" />
      <circle r="8" />
      <path d="M-12 0h6m12 0h-6M0 -12v6m0 12v-6" />
    </svg>
  </span>
</template>

<style scoped>
.photo {
  position: relative;
  display: inline-block;
  line-height: 0;
  border: 1px solid var(--hairline);
}
.tappable {
  cursor: crosshair;
}
img {
  max-width: 100%;
  max-height: var(--photo-height, 260px);
}
svg {
  position: absolute;
  width: 30px;
  height: 30px;
  margin: -15px 0 0 -15px;
  pointer-events: none;
}
circle,
path {
  fill: none;
  stroke: var(--copper);
  stroke-width: 2.5;
}
.halo {
  stroke: #fff;
  stroke-width: 5;
}
</style>
