<script setup lang="ts">
import type { Imported } from '@sure-spool/contract'
import ProgressBar from 'primevue/progressbar'
import { computed, ref } from 'vue'
import FileField from '../fields/FileField.vue'
import KeyButton from '../keys/KeyButton.vue'
import '../look/controls/signs'
import { Away } from '../store/api'
import { follow } from '../store/follow'
import { useShop } from '../store/shop'

/** Everything of the shop as one file, and a shop's file taken in: whole or not at all, with its progress, and called off at will. */
const emit = defineEmits<{ told: [words: string]; refused: [sentence: string] }>()
const shop = useShop()
const mostBytes = 60e6
const progress = ref<{ done: number; of: number }>()
const percent = computed(() => Math.round((100 * (progress.value?.done ?? 0)) / Math.max(1, progress.value?.of ?? 1)))
let calledOff = new AbortController()

async function takeIn(file: File): Promise<void> {
  const lines = file.name.endsWith('.ndjson')
  if (!lines && file.size > mostBytes) {
    const size = Math.round(file.size / 1e6)
    emit(
      'refused',
      `${file.name} has ${size} MB; at most ${mostBytes / 1e6} go at once. Nothing was taken in: give it out for a large shop, a record a line.`,
    )
    return
  }
  calledOff = new AbortController()
  progress.value = { done: 0, of: 1 }
  try {
    const counts = await follow<Imported>(
      '/shop/import',
      { method: 'POST', file: { bytes: file, type: lines ? 'application/x-ndjson' : 'application/json' } },
      { told: (done, of) => (progress.value = { done, of }), signal: calledOff.signal },
    )
    const said = Object.entries(counts).map(([what, count]) => `${count} ${what}`)
    emit('told', `taken in: ${said.join(', ')}`)
    await shop.load()
  } catch (error) {
    emit('refused', refusal(error, file.name))
  } finally {
    progress.value = undefined
  }
}

function refusal(error: unknown, name: string): string {
  if (calledOff.signal.aborted) return `${name} was called off. Nothing was taken in.`
  if (error instanceof Away) return `${name} was not taken in: the server is away. Take it in again when it is back.`
  return error instanceof Error ? error.message : String(error)
}
</script>

<template>
  <div class="moving">
    <a class="link" href="/api/v1/shop/export" download="shop.json">everything of this shop as one file</a>
    <a class="link" href="/api/v1/shop/export?form=lines" download="shop.ndjson">for a large shop, a record a line</a>
    <FileField
      label="take a shop’s file in"
      accept=".json,.ndjson,application/json,application/x-ndjson"
      :disabled="progress !== undefined"
      @chosen="takeIn"
    />
    <RouterLink class="link" to="/cards/in">take in cards or figures</RouterLink>
  </div>
  <div v-if="progress" class="progress">
    <ProgressBar :value="percent" :aria-label="`taking the shop in, ${percent} percent`" />
    <KeyButton label="call it off" @press="calledOff.abort()" />
  </div>
  <p class="muted">
    What is here already stays as it is; nothing is overwritten, and a file is taken in whole or not at all.
  </p>
</template>

<style scoped>
.moving {
  display: flex;
  gap: 8px 24px;
  flex-wrap: wrap;
  align-items: center;
}
.link {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
.progress {
  display: grid;
  grid-template-columns: minmax(0, 420px) auto;
  gap: 16px;
  align-items: center;
}
</style>
