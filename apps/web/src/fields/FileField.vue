<script setup lang="ts">
import FileUpload, { type FileUploadUploaderEvent } from 'primevue/fileupload'
import { ref } from 'vue'
import '../look/controls/signs'

/** A file to be read here; nothing is sent by choosing it. */
defineProps<{ label: string; accept: string; disabled?: boolean }>()
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
    :disabled="disabled"
    :pt="{ input: { 'aria-label': label }, pcChooseButton: { root: { class: 'key-button file-button' } } }"
    @uploader="take"
  />
</template>
