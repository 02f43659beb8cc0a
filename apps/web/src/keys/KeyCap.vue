<script setup lang="ts">
/**
 * A key as it stands on the keyboard; asleep while a line is open. It asks for itself whether it is awake: that changes with every figure
 * that is typed, and the button around it need not be drawn again for it.
 */
defineProps<{ cap: string; awake?: () => boolean }>()
</script>

<template>
  <kbd :class="{ asleep: awake !== undefined && !awake() }" aria-hidden="true">{{ cap }}</kbd>
</template>

<style scoped>
kbd {
  font: 500 15px/1 var(--figures);
  flex: none;
  min-width: 24px;
  padding: 4px 6px 5px;
  text-align: center;
  white-space: nowrap;
  color: inherit;
  border: 1px solid currentColor;
  border-bottom-width: 3px;
  border-radius: 2px;
}
.asleep {
  opacity: 0.35;
}
</style>
