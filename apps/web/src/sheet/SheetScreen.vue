<script setup lang="ts">
import { useStyleTag } from '@vueuse/core'
import { computed, watch } from 'vue'
import { useRouter } from 'vue-router'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import { saveFile } from '../screen/saveFile'
import { useBench } from '../store/bench'
import { useShop } from '../store/shop'
import './sheet.css'
import SheetFoot from './SheetFoot.vue'
import SheetHead from './SheetHead.vue'
import { sheetKeys } from './sheetKeys'
import SheetProof from './SheetProof.vue'
import SheetTape from './SheetTape.vue'

/** The printed sheet: every reading with its arithmetic, so that a colleague or a customer can redo it by hand. */
const props = defineProps<{ run: string }>()
const bench = useBench()
const shop = useShop()
const router = useRouter()
watch(
  () => props.run,
  (id) => void bench.open(id),
  { immediate: true },
)

useScreenKeys(sheetKeys, () => 'sheet', {
  print: () => window.print(),
  save: () =>
    bench.run &&
    saveFile(`${bench.run.unit.tag}-run.json`, 'application/json', `${JSON.stringify(bench.run, null, 2)}\n`),
  back: () => router.push({ name: 'bench', params: { run: props.run } }),
})
// a page's size cannot be a custom property
useStyleTag(computed(() => `@page { size: ${shop.settings.paper}; margin: 12mm; }`))
</script>

<template>
  <main class="sheet-screen">
    <nav class="acts" aria-label="The sheet">
      <ScreenKey main act="print" />
      <ScreenKey act="save" :disabled="!bench.run" />
      <a class="csv" :href="`/api/v1/runs/${props.run}/readings.csv`" download>readings as CSV</a>
      <ScreenKey quiet act="back" />
    </nav>
    <article v-if="bench.state" class="sheet">
      <SheetHead :state="bench.state" />
      <SheetProof :state="bench.state" />
      <SheetTape :state="bench.state" />
      <SheetFoot :state="bench.state" />
    </article>
    <p v-else class="sheet">{{ bench.missing || 'Opening the run …' }}</p>
  </main>
</template>

<style scoped>
.sheet-screen {
  padding: 0 0 40px;
}
.acts {
  display: flex;
  gap: 12px;
  padding: 12px 20px;
  align-items: center;
  border-bottom: 1px solid var(--hairline);
  background: var(--panel);
  flex-wrap: wrap;
}
.csv {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  padding: 0 16px;
  border: 1px solid var(--ink);
  border-radius: 2px;
  text-decoration: none;
  font-weight: 600;
}
@media print {
  .acts {
    display: none;
  }
  .sheet-screen {
    padding: 0;
  }
}
</style>
