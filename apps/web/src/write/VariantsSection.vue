<script setup lang="ts">
import { freeId } from '@sure-spool/core'
import TextField from '../fields/TextField.vue'
import KeyButton from '../keys/KeyButton.vue'
import { useEdit, useWriting, withoutVariant } from './takeOff'

/** One model in several makes: another plug, another year. Plugs and checks may then be for some of them only. */
const { card, change } = useWriting()
const edit = useEdit('variants')
const add = () =>
  change(
    (one) => void one.variants.push({ id: freeId('v', one.variants), label: `variant ${one.variants.length + 1}` }),
  )
</script>

<template>
  <div class="rows">
    <div v-for="variant in card().variants" :key="variant.id" class="row variant">
      <TextField
        label="variant"
        :model-value="variant.label"
        @update:model-value="edit(variant.id, (one) => (one.label = $event), 'label')"
      />
      <KeyButton quiet label="take off" @press="change((one) => withoutVariant(one, variant.id))" />
    </div>
    <p class="adds">
      <KeyButton label="add a variant" @press="add" />
      <span v-if="card().variants.length === 0" class="muted">Most parts have none.</span>
    </p>
  </div>
</template>

<style scoped>
.variant {
  grid-template-columns: minmax(0, 420px) auto;
}
</style>
