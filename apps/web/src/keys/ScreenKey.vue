<script setup lang="ts">
import { computed } from 'vue'
import KeyButton from './KeyButton.vue'
import { capOf } from './statement'
import { useKeysOfScreen } from './useScreenKeys'

/** A button for one of the screen's acts: its key and words are stated once, with the screen's keys. */
const props = defineProps<{
  act: string
  /** which of the act’s keys, where each of them chooses another thing */
  at?: number
  label?: string
  hint?: string
  main?: boolean
  quiet?: boolean
  disabled?: boolean
}>()
const keys = useKeysOfScreen()
const stated = computed(() => keys.act(props.act))
const key = computed(() => (props.at === undefined ? undefined : (stated.value.keys[props.at] ?? '')))
const awake = () => keys.awake(props.act)
const cap = computed(() => (key.value === undefined ? capOf(stated.value) : key.value))
</script>

<template>
  <KeyButton
    :cap="cap"
    :label="label ?? stated.label"
    :hint="hint"
    :main="main"
    :quiet="quiet"
    :disabled="disabled"
    :awake="awake"
    @press="keys.press(act, key)"
  />
</template>
