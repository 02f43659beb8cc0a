<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { computed } from 'vue'
import { useDoor } from '../store/door'
import FirstRun from './FirstRun.vue'
import JoinBench from './JoinBench.vue'
import TakeSeat from './TakeSeat.vue'

/** Stands before the work until somebody belongs to it: the first run, a browser that is no bench yet, a bench at which nobody sits. */
const door = useDoor()
const heads = { first: 'A new shop', join: 'This browser is no bench yet', seat: 'Who is at the bench?' }
const need = computed(() => door.need ?? 'seat')
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="heads[need]"
    :closable="door.changing"
    :close-on-escape="door.changing"
    :style="{ width: '640px', maxWidth: '94vw' }"
    :pt="{ mask: { class: door.changing ? undefined : 'door-mask' } }"
    @update:visible="door.stay()"
  >
    <FirstRun v-if="need === 'first'" />
    <JoinBench v-else-if="need === 'join'" />
    <TakeSeat v-else />
  </Dialog>
</template>

<style>
.door-mask {
  background: var(--paper) !important;
}
</style>
