<script setup lang="ts">
import Message from 'primevue/message'
import ProgressBar from 'primevue/progressbar'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import FileField from '../fields/FileField.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import '../look/controls/signs'
import CardsInHelp from './CardsInHelp.vue'
import { capOf } from '../keys/statement'
import { cardsInKeys } from './cardsInKeys'
import CardsPreviewTable from './CardsPreviewTable.vue'
import ConflictChoice from './ConflictChoice.vue'
import FiguresTable from './FiguresTable.vue'
import { rowKey, useCardFile } from './useCardFile'

/** Taking in cards or figures: first it is said what would happen, then it is done, whole or not at all. */
const router = useRouter()
const taking = useCardFile()
const { name, problems, told, rows, conflicts, differences, resolve, figures, progress, working, ready } = taking
const field = ref<InstanceType<typeof FileField>>()
const shown = computed(() => figures.value !== undefined || rows.value.length > 0)
const counted = computed(() => {
  const same = rows.value.filter((row) => row.what === 'same').length
  return { same, fresh: rows.value.length - same - conflicts.value.length }
})
const percent = computed(() => {
  const { done, of } = progress.value ?? { done: 0, of: 1 }
  return Math.round((100 * done) / Math.max(1, of))
})
const delimiters: Record<string, string> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs', '|': 'bars' }
function drop(event: DragEvent): void {
  const [file] = event.dataTransfer?.files ?? []
  if (file && !working.value) void taking.show(file)
}

useScreenKeys(cardsInKeys, () => (working.value ? 'working' : shown.value ? 'shown' : 'choose'), {
  choose: () => field.value?.choose(),
  keep: () => ready.value && void taking.keep(),
  callOff: taking.callOff,
  leave: () => void router.push({ name: 'cards' }),
})
</script>

<template>
  <main class="in" @dragover.prevent @drop.prevent="drop">
    <header>
      <h1>Take in cards or figures</h1>
      <p class="acts">
        <FileField
          ref="field"
          :label="cardsInKeys.acts.choose.label"
          :cap="capOf(cardsInKeys.acts.choose)"
          accept=".json,.csv,.txt"
          :disabled="working"
          @chosen="taking.show"
        />
        <ScreenKey v-if="shown" main act="keep" :disabled="!ready" />
        <ScreenKey v-if="working" act="callOff" />
        <ScreenKey quiet act="leave" />
      </p>
    </header>
    <div v-if="working" class="progress">
      <p>{{ name }}</p>
      <ProgressBar :value="percent" :aria-label="`${name}, ${percent} percent`" />
    </div>
    <p v-if="told" role="status" class="told">{{ told }} <RouterLink to="/cards">All cards</RouterLink></p>
    <Message v-if="problems.length > 0" severity="error" class="problems">
      <strong>Nothing was taken in.</strong>
      <ul>
        <li v-for="one in problems" :key="one.path + one.detail">
          <strong>{{ one.path }}</strong> {{ one.detail }}
        </li>
      </ul>
    </Message>
    <template v-if="figures">
      <p class="told">
        {{ name }}: {{ figures.rows.length }} rows, {{ figures.drafts.length }}
        {{ figures.drafts.length === 1 ? 'card gets a draft' : 'cards get a draft' }},
        {{ figures.rows.filter(({ what }) => what === 'refused').length }} rows are refused and stay out.
        <span class="muted"
          >Cells are parted by {{ delimiters[figures.delimiter] ?? figures.delimiter }}, the decimal mark is a
          {{ figures.decimalComma ? 'comma' : 'point' }}.</span
        >
      </p>
      <FiguresTable :rows="figures.rows" />
    </template>
    <template v-else-if="rows.length > 0">
      <p class="told">
        {{ name }}: {{ counted.fresh }} to take in, {{ counted.same }} here already<template v-if="conflicts.length > 0"
          >, {{ conflicts.length }} different under the same revision: say for each what is to happen</template
        >.
      </p>
      <ConflictChoice
        v-for="row in conflicts"
        :key="rowKey(row)"
        :row="row"
        :differences="differences[rowKey(row)] ?? []"
        :model-value="resolve[rowKey(row)]"
        @update:model-value="resolve[rowKey(row)] = $event"
      />
      <CardsPreviewTable :rows="rows" />
    </template>
    <CardsInHelp v-else-if="problems.length === 0 && !told && !working" />
  </main>
</template>

<style scoped>
.in {
  padding: 14px 20px 20px;
  display: flex;
  flex-direction: column;
  gap: 12px;
  height: calc(100dvh - 48px);
  overflow: auto;
}
header {
  display: flex;
  gap: 20px;
  align-items: center;
  justify-content: space-between;
  flex-wrap: wrap;
}
h1 {
  font-size: 30px;
}
.acts {
  display: flex;
  gap: 8px;
}
.told {
  font-size: 18px;
}
.progress {
  display: grid;
  gap: 6px;
  max-width: 600px;
}
.problems ul {
  display: grid;
  gap: 4px;
  margin-top: 4px;
}
</style>
