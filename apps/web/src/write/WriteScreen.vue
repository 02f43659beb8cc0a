<script setup lang="ts">
import type { Card } from '@sure-spool/core'
import { computed, onMounted, provide, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import KeyButton from '../keys/KeyButton.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import { sections, toMend } from './sections'
import { writingKey } from './takeOff'
import { useDraft } from './useDraft'
import WriteForm from './WriteForm.vue'
import { writeKeys } from './writeKeys'
import WritePreview from './WritePreview.vue'

/** Writing a card: its sections down the middle, the bench it will give and what is missing beside them. */
const props = defineProps<{ id: string; revision: string }>()
const route = useRoute()
const router = useRouter()
const draft = useDraft(props.id, Number(props.revision))
const { card, standing, told, problems, canUndo, canRedo } = draft
const dropping = ref(false)
const form = ref<InstanceType<typeof WriteForm>>()
provide(writingKey, { card: () => card.value as Card, change: draft.change })
onMounted(() => draft.open(route.query))

const standingWords = {
  opening: 'opening …',
  begun: 'nothing written yet',
  kept: 'kept',
  sending: 'keeping …',
  away: 'kept in this browser, the server is away',
  'not-yet': 'kept in this browser; not whole yet',
  refused: 'kept in this browser; not taken',
  missing: 'not here',
}
const list = computed(() => (card.value ? toMend(card.value, problems.value) : []))
const title = computed(() => {
  const { maker = '', model = '' } = card.value?.name ?? {}
  return `${maker} ${model}`.trim() || 'A new card'
})

async function publish(): Promise<void> {
  if (await draft.publish()) await router.replace({ name: 'card', params: { id: props.id } })
}
async function drop(): Promise<void> {
  if (!dropping.value) dropping.value = true
  else if (await draft.drop()) await router.replace({ name: 'cards' })
}
const leave = () => router.push(Number(props.revision) > 1 ? { name: 'card', params: { id: props.id } } : '/cards')

useScreenKeys(writeKeys, () => 'writing', {
  undo: draft.undo,
  redo: draft.redo,
  publish,
  nextSection: () => form.value?.stride(1),
  sectionBefore: () => form.value?.stride(-1),
})
</script>

<template>
  <main v-if="card" class="write">
    <header>
      <div>
        <h1>{{ title }}</h1>
        <p class="muted">
          draft of revision <span class="n">{{ revision }}</span>,
          <span role="status">{{ standingWords[standing] }}</span>
        </p>
      </div>
      <p class="acts">
        <ScreenKey quiet act="undo" :disabled="!canUndo" />
        <ScreenKey quiet act="redo" :disabled="!canRedo" />
        <KeyButton quiet :label="dropping ? 'throw it away for good' : 'throw away'" @press="drop" />
        <KeyButton label="leave it a draft" @press="leave" />
        <ScreenKey main act="publish" :disabled="problems.length > 0" />
      </p>
    </header>
    <p v-if="told" class="told" role="alert">{{ told }}</p>
    <nav aria-label="Sections of the card">
      <button v-for="one in sections" :key="one.id" class="plain" @click="form?.goTo(one.id)">
        {{ one.label }}
        <span
          v-if="list.some(({ section, wrong }) => section === one.id && wrong)"
          class="wrong"
          title="something is wrong here"
          >!</span
        >
      </button>
      <p class="muted">Ctrl and an arrow go from section to section.</p>
    </nav>
    <WriteForm ref="form" class="form-area" />
    <aside tabindex="0" aria-label="What it will give, and what is missing">
      <h2 class="label">Missing or in contradiction</h2>
      <ul class="list">
        <li v-for="one in list" :key="one.key">
          <button class="plain" :class="{ wrong: one.wrong }" @click="form?.goTo(one.section)">{{ one.words }}</button>
        </li>
        <li v-if="list.length === 0" class="muted">Nothing.</li>
      </ul>
      <h2 class="label">On the bench</h2>
      <WritePreview :card="card" />
    </aside>
  </main>
  <main v-else class="empty">
    <h1>{{ standing === 'missing' ? 'This draft cannot be opened.' : 'Opening the draft …' }}</h1>
    <p>{{ told }} <RouterLink to="/cards">All cards</RouterLink></p>
  </main>
</template>

<style scoped>
.write {
  display: grid;
  grid-template:
    'head head head' auto 'told told told' auto 'nav form side' minmax(0, 1fr) / 150px minmax(0, 1fr)
    320px;
  height: calc(100dvh - 48px);
}
header {
  grid-area: head;
  display: flex;
  gap: 6px 20px;
  align-items: center;
  flex-wrap: wrap;
  padding: 4px 20px;
  background: var(--panel);
  border-bottom: 1px solid var(--ink);
}
h1 {
  font-size: 24px;
}
.acts {
  display: flex;
  gap: 6px;
  margin-left: auto;
  flex-wrap: wrap;
}
.told {
  grid-area: told;
  padding: 8px 20px;
  background: var(--tint);
  font-weight: 600;
}
nav {
  grid-area: nav;
  padding: 12px 8px 12px 20px;
  display: grid;
  align-content: start;
  border-right: 1px solid var(--hairline);
}
nav button {
  min-height: 44px;
  padding-block: 4px;
  line-height: 1.2;
}
nav p {
  font-size: 15px;
  margin-top: 8px;
}
.wrong {
  color: var(--outside);
  font-weight: 700;
}
.form-area {
  grid-area: form;
}
aside {
  grid-area: side;
  overflow: auto;
  padding: 12px 18px;
  background: var(--panel);
  border-left: 1px solid var(--hairline);
  display: grid;
  gap: 8px;
  align-content: start;
}
.list button {
  min-height: 44px;
  padding: 3px 0;
  line-height: 1.3;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
.empty {
  padding: 40px 20px;
}
@media (max-width: 1100px) {
  .write {
    grid-template: 'head head' auto 'told told' auto 'form side' minmax(0, 1fr) / minmax(0, 1fr) 270px;
  }
  nav {
    display: none;
  }
}
@media (max-width: 900px) {
  .write {
    grid-template: 'head' auto 'told' auto 'form' auto 'side' auto / minmax(0, 1fr);
    height: auto;
  }
}
</style>
