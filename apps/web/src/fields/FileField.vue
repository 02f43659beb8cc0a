<script setup lang="ts">
import FileUpload, { type FileUploadUploaderEvent } from 'primevue/fileupload'
import { ref } from 'vue'
import KeyCap from '../keys/KeyCap.vue'
import '../look/controls/signs'

/** A file to be read here; nothing is sent by choosing it. */
defineProps<{ label: string; accept: string; disabled?: boolean; cap?: string; quiet?: boolean }>()
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
    :choose-button-props="{ severity: 'secondary', variant: quiet ? 'text' : 'outlined' }"
    :disabled="disabled"
    :pt="{
      input: { 'aria-label': label },
      pcChooseButton: { root: { class: quiet ? 'file-button quiet' : 'file-button' } },
    }"
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
:deep(.file-button.quiet .p-button-label) {
  font-weight: 400;
}
:deep(.file-button.quiet) {
  background: none;
  font-weight: 400;
  padding-inline: 6px;
}
</style>
