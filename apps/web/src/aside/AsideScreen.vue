<script setup lang="ts">
import type { Queue } from '@sure-spool/contract'
import type { Run } from '@sure-spool/core'
import Column from 'primevue/column'
import Message from 'primevue/message'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import AskLine from '../bench/AskLine.vue'
import FileField from '../fields/FileField.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { capOf } from '../keys/statement'
import { useScreenKeys } from '../keys/useScreenKeys'
import '../look/controls/signs'
import { saveFile } from '../screen/saveFile'
import { ask } from '../store/api'
import { asFiled } from '../store/asideItems'
import { readRunCopy } from '../store/browserDatabase'
import { useOutbox } from '../store/outbox'
import { useShop } from '../store/shop'
import RuledTable from '../tables/RuledTable.vue'
import { asideKeys } from './asideKeys'
import { asideWords } from './asideWords'
import { itemsIn } from './itemsIn'

/** What the server would not take, each with its reason and the ways out: nothing of it is lost, and the rest has gone on. */
const outbox = useOutbox()
const shop = useShop()
const router = useRouter()
const chosen = ref(0)
const asking = ref<'why' | 'part'>()
const told = ref('')
const problem = ref('')
const file = ref<InstanceType<typeof FileField>>()
const runs = ref<Record<string, Run>>({})

watch(
  () => outbox.aside,
  async (items) => {
    const ids = [...new Set(items.flatMap((item) => (item.kind === 'entry' ? [item.run] : [])))]
    const found = await Promise.all(ids.map(readRunCopy))
    runs.value = Object.fromEntries(found.flatMap((run) => (run ? [[run.id, run]] : [])))
    chosen.value = Math.min(chosen.value, Math.max(0, items.length - 1))
  },
  { immediate: true },
)
const rows = computed(() =>
  outbox.aside.map((item, at) => {
    const run = item.kind === 'entry' ? runs.value[item.run] : undefined
    return {
      id: item.id,
      at,
      tag: run?.unit.tag ?? (item.kind === 'unit' ? item.body.tag : ''),
      ...asideWords(item, run?.card),
      why: item.aside?.detail ?? '',
    }
  }),
)
const one = computed(() => rows.value[chosen.value])

async function again(): Promise<void> {
  const row = one.value
  if (!row) return
  await outbox.sendAgain(row.id)
  told.value = outbox.aside.some(({ id }) => id === row.id)
    ? 'The server would not take it this time either.'
    : outbox.waiting > 0
      ? 'It waits for the server, and goes up by itself.'
      : 'Sent.'
}

async function throwAway(reason: string): Promise<void> {
  asking.value = undefined
  const row = one.value
  if (!row) return
  await outbox.throwAway(row.id, reason)
  told.value = 'Thrown away. What it was, and why, stays in this browser.'
}

/** A run whose part the server does not know, or that was made on the wrong one, goes up as that of the part with this tag. */
async function give(tag: string): Promise<void> {
  asking.value = undefined
  problem.value = told.value = ''
  const row = one.value
  const by = shop.person?.id
  if (!row || by === undefined) return
  try {
    const { units } = await ask<Queue>(`/units?tag=${encodeURIComponent(tag.trim())}`)
    const [unit] = units
    problem.value = unit
      ? await outbox.attach(row.id, unit, by)
      : `No part here is called ${tag.trim()}. Nothing was given away.`
    if (unit && problem.value === '') told.value = `It is ${unit.tag}’s now.`
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}

const save = async () =>
  saveFile('set-aside.json', 'application/json', JSON.stringify(await asFiled(outbox.aside), null, 2))

/** A file that was saved here, or on another bench of this shop. */
async function takeIn(file: File): Promise<void> {
  problem.value = told.value = ''
  const items = itemsIn(await file.text())
  if (!items) problem.value = `Nothing was taken in: ${file.name} is not a file of what was set aside.`
  else told.value = `${await outbox.takeInAgain(items)} of ${items.length} were not here yet; they go up now.`
}

function move(by: number): void {
  chosen.value = Math.min(rows.value.length - 1, Math.max(0, chosen.value + by))
}

useScreenKeys(asideKeys, () => (asking.value ? 'asking' : rows.value.length > 0 ? 'list' : 'empty'), {
  up: () => move(-1),
  down: () => move(1),
  again: () => void again(),
  save,
  saved: () => file.value?.choose(),
  give: () => void (asking.value = 'part'),
  away: () => void (asking.value = 'why'),
  leave: () => void router.push('/'),
})
</script>

<template>
  <main class="aside-screen">
    <header>
      <h1>Set aside</h1>
      <p class="muted">
        The server would not take these. They stay in this browser until you say what becomes of them.
      </p>
    </header>
    <p v-if="rows.length === 0">Nothing is set aside.</p>
    <RuledTable
      v-else
      :rows="rows"
      row-key="id"
      label="What was set aside"
      :row-class="(row) => (row.at === chosen ? 'here' : undefined)"
      @open="chosen = $event.at"
    >
      <Column field="tag" header="part" class="whole" />
      <Column field="what" header="what" class="whole" />
      <Column field="of" header="of" />
      <Column field="why" header="why" />
    </RuledTable>
    <Message v-if="problem" severity="error" :closable="false">{{ problem }}</Message>
    <p v-if="told" role="status">{{ told }}</p>
    <AskLine
      v-if="asking && one"
      :key="asking"
      :question="asking === 'part' ? 'Which part is it of? Its tag' : `Throw away “${one.what}”: why?`"
      @keep="asking === 'part' ? give($event) : throwAway($event)"
      @leave="asking = undefined"
    />
    <p class="ways">
      <template v-if="rows.length > 0 && !asking">
        <ScreenKey main act="again" />
        <ScreenKey act="save" />
        <ScreenKey act="give" />
        <ScreenKey act="away" />
      </template>
      <FileField
        ref="file"
        :label="asideKeys.acts.saved.label"
        :cap="capOf(asideKeys.acts.saved)"
        accept=".json,application/json"
        @chosen="takeIn"
      />
    </p>
  </main>
</template>

<style scoped>
.aside-screen {
  padding: 16px 20px;
  display: grid;
  align-content: start;
  gap: 14px;
  overflow: auto;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.aside-screen :deep(tr.here) {
  background: var(--tint);
}
.aside-screen :deep(.whole) {
  white-space: nowrap;
}
.aside-screen :deep(td:first-child),
.aside-screen :deep(th:first-child) {
  padding-left: 10px;
}
</style>
