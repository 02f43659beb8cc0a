<script setup lang="ts">
import { computed, onErrorCaptured, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import KeysHelp from './parts/KeysHelp.vue'
import { isTaken, useKeys } from './parts/keys'
import { ScreenAway } from './parts/screen'
import { useOutbox } from './store/outbox'
import { useQueue } from './store/queue'
import { loadBench } from './router'
import { useShop } from './store/shop'

const shop = useShop()
const outbox = useOutbox()
const queue = useQueue()
const route = useRoute()
const router = useRouter()
const help = ref(false)
const broken = ref('')
const screenAway = ref('')
const benchLoaded = ref(false)

onMounted(async () => {
  await shop.load()
  await outbox.begin()
  benchLoaded.value = await loadBench()
})
router.onError((error: unknown) => {
  if (error instanceof ScreenAway) screenAway.value = error.message
})
router.afterEach(() => (screenAway.value = ''))
onErrorCaptured((error) => {
  broken.value = error instanceof Error ? error.message : String(error)
  return false
})

const keptWords = computed(() => {
  const parts = [outbox.waiting === 0 ? 'everything kept' : `everything kept, ${outbox.waiting} waiting to go up`]
  if (outbox.aside.length > 0) parts.push(`${outbox.aside.length} set aside`)
  return parts.join(', ')
})
const awayWords = computed(() =>
  benchLoaded.value && queue.cardsKept ? 'Every part that waits can be begun without the server.' : undefined,
)
const benchTo = computed(() =>
  route.name === 'bench' || route.name === 'sheet'
    ? { name: 'bench', params: { run: route.params['run'] } }
    : queue.last?.standing
      ? { name: 'bench', params: { run: queue.last.standing.run } }
      : undefined,
)

function reload(): void {
  broken.value = ''
  router.go(0)
}

function exportAside(): void {
  const text = JSON.stringify(outbox.aside, null, 2)
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([text], { type: 'application/json' }))
  link.download = 'set-aside.json'
  link.click()
  URL.revokeObjectURL(link.href)
}

useKeys((event) => {
  if (isTaken(event)) return false
  if (event.key === '?') help.value = true
  else if (event.key === 'w' && route.name !== 'sheet') shop.nextPerson()
  else return false
  return true
})
</script>

<template>
  <a class="skip" href="#work">Skip to the work</a>
  <header class="top">
    <RouterLink class="name" to="/">Sure Spool</RouterLink>
    <nav aria-label="Screens">
      <RouterLink to="/" :class="{ here: route.name === 'queue' }">Queue</RouterLink>
      <RouterLink v-if="benchTo" :to="benchTo" :class="{ here: route.name === 'bench' || route.name === 'sheet' }"
        >Bench</RouterLink
      >
      <RouterLink to="/cards" :class="{ here: route.path.startsWith('/cards') }">Cards</RouterLink>
      <RouterLink to="/kit" :class="{ here: route.name === 'kit' }">Kit</RouterLink>
      <RouterLink to="/shop" :class="{ here: route.name === 'shop' }">Shop</RouterLink>
    </nav>
    <p class="kept" role="status" :title="awayWords">
      <button
        v-if="outbox.aside.length > 0"
        class="plain aside"
        :title="outbox.aside.map((item) => item.aside?.detail).join('\n')"
        @click="exportAside"
      >
        {{ keptWords }}: export
      </button>
      <template v-else>{{ keptWords }}</template>
      <span v-if="outbox.away">, the server is away</span>
    </p>
    <button class="plain who" aria-keyshortcuts="w" :title="'Press w for the next person'" @click="shop.nextPerson()">
      <span class="unseen">At the bench: </span>{{ shop.person?.name.split(' ')[0] ?? ''
      }}<span v-if="shop.settings.name">, {{ shop.settings.name.replace(/ Bench$/, '') }}</span>
    </button>
    <button class="plain who" @click="shop.turnTheme()">{{ shop.theme === 'light' ? 'dark' : 'light' }}</button>
    <button class="plain who" aria-keyshortcuts="?" @click="help = true">keys</button>
  </header>
  <div v-if="broken" class="broken" role="alert">
    <p>
      <strong>This screen made a mistake:</strong> {{ broken }} Every reading you took is kept. Reload the page and go
      on.
    </p>
    <button class="plain" @click="reload">reload</button>
  </div>
  <p v-if="screenAway" class="broken" role="alert">
    {{ screenAway }} Everything you took is kept. Open it again when the server is back.
  </p>
  <div id="work" class="work" tabindex="-1"><RouterView /></div>
  <KeysHelp v-if="help" @close="help = false" />
</template>

<style scoped>
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  z-index: 9;
  background: var(--panel);
  padding: 8px;
}
.top {
  display: flex;
  align-items: stretch;
  gap: 26px;
  height: 48px;
  padding: 0 20px;
  border-bottom: 1px solid var(--hairline);
  background: var(--paper);
}
.top > * {
  display: flex;
  align-items: center;
}
.name {
  font-weight: 800;
  text-decoration: none;
  font-size: 17px;
}
nav {
  gap: 4px;
  flex: 1;
}
nav a {
  height: 48px;
  min-width: 44px;
  padding: 3px 12px 0;
  display: flex;
  align-items: center;
  text-decoration: none;
  color: var(--muted);
  border-bottom: 4px solid transparent;
}
nav a.here {
  color: var(--ink);
  font-weight: 650;
  border-color: var(--copper);
}
.kept {
  color: var(--muted);
}
.aside {
  color: var(--outside);
  text-decoration: underline;
  min-height: 44px;
}
.who {
  min-width: 44px;
}
.broken {
  display: flex;
  gap: 20px;
  padding: 12px 20px;
  background: var(--tint);
  border-bottom: 2px solid var(--outside);
}
.broken button {
  text-decoration: underline;
}
.work {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 0;
  outline: none;
}
@media (max-width: 1000px) {
  .top {
    gap: 14px;
  }
}
@media print {
  .top,
  .skip {
    display: none;
  }
}
</style>
