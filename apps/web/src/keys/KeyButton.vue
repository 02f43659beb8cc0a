<script setup lang="ts">
import Button from 'primevue/button'
import KeyCap from './KeyCap.vue'

/** A control that shows its key. The key sleeps while a line is open, and the cap shows it. */
withDefaults(
  defineProps<{
    cap?: string
    label: string
    hint?: string
    main?: boolean
    quiet?: boolean
    awake?: () => boolean
    disabled?: boolean
    /** sends the form it stands in, as Enter in one of its fields does */
    submit?: boolean
  }>(),
  { cap: '', hint: '' },
)
defineEmits<{ press: [] }>()
</script>

<template>
  <Button
    class="key-button"
    :class="{ quiet, main, tall: hint !== '' }"
    :severity="main ? undefined : 'secondary'"
    :variant="quiet ? 'text' : main ? undefined : 'outlined'"
    :disabled="disabled"
    :type="submit ? 'submit' : 'button'"
    :aria-keyshortcuts="cap || undefined"
    @click="$emit('press')"
  >
    <KeyCap v-if="cap" :cap="cap" :awake="awake" />
    <span class="words"
      ><span class="name">{{ label }}</span
      ><small v-if="hint">{{ hint }}</small></span
    >
  </Button>
</template>

<style scoped>
.key-button {
  flex-shrink: 0;
  max-width: 100%;
  min-height: 44px;
  justify-content: flex-start;
  gap: 10px;
  font: 600 16px/1.15 var(--text);
  text-align: left;
  background: var(--panel);
}
.key-button.main {
  background: var(--button);
}
.key-button.quiet {
  background: none;
  font-weight: 400;
  padding-inline: 6px;
}
.words {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
small {
  font-weight: 400;
  font-size: 15px;
  color: var(--muted);
}
.main small {
  color: inherit;
}
</style>
