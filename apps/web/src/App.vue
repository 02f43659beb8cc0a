<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { onErrorCaptured, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { everywhereKeys } from './keys/everywhereKeys'
import KeysHelp from './keys/KeysHelp.vue'
import { dispatchKey, screenChanged } from './keys/registry'
import { useScreenKeys } from './keys/useScreenKeys'
import { ScreenAway } from './screen/lazyScreen'
import { loadBench } from './screen/loadable'
import TopBar from './screen/TopBar.vue'
import { useOutbox } from './store/outbox'
import { useShop } from './store/shop'

const shop = useShop()
const outbox = useOutbox()
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
router.afterEach((to, from) => {
  screenAway.value = ''
  if (to.path !== from.path) screenChanged()
})
onErrorCaptured((error) => {
  broken.value = error instanceof Error ? error.message : String(error)
  return false
})

function reload(): void {
  broken.value = ''
  router.go(0)
}

useScreenKeys(everywhereKeys, () => 'everywhere', {
  help: () => (help.value = true),
  nextPerson: () => shop.nextPerson(),
})
useEventListener(window, 'keydown', (event) => {
  if (dispatchKey(event)) event.preventDefault()
})
</script>

<template>
  <a class="skip" href="#work">Skip to the work</a>
  <TopBar :bench-loaded="benchLoaded" @help="help = true" />
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
@media print {
  .skip {
    display: none;
  }
}
</style>
