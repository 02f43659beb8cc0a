<script setup lang="ts">
import FileUpload, { type FileUploadUploaderEvent } from 'primevue/fileupload'
import { ref } from 'vue'
import KeyCap from '../keys/KeyCap.vue'
import '../look/controls/signs'

/** A file to be read here; nothing is sent by choosing it. */
defineProps<{ label: string; accept: string; disabled?: boolean; cap?: string }>()
const emit = defineEmits<{ chosen: [file: File] }>()
const control = ref<{ choose: () => void; clear: () => void }>()
function take({ files }: Pick<FileUploadUploaderEvent, 'files'>): void {
  const file = Array.isArray(files) ? files[0] : files
  control.value?.clear()
  if (file) emit('chosen', file)
}
defineExpose({ choose: () => control.value?.choose() })
</script>

<template>
  <FileUpload
    ref="control"
    mode="basic"
    auto
    custom-upload
    :accept="accept"
    :choose-label="label"
    :choose-button-props="{ severity: 'secondary', variant: 'outlined' }"
    :disabled="disabled"
    :pt="{ input: { 'aria-label': label }, pcChooseButton: { root: { class: 'file-button' } } }"
    @uploader="take"
  >
    <template #chooseicon>
      <KeyCap v-if="cap" :cap="cap" />
    </template>
  </FileUpload>
</template>

<style scoped>
:deep(.file-button) {
  min-height: 44px;
  gap: 10px;
  font: 600 16px/1.15 var(--text);
  background: var(--panel);
}
</style>
