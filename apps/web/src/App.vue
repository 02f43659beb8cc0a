<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, onErrorCaptured, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { everywhereKeys } from './keys/everywhereKeys'
import KeysHelp from './keys/KeysHelp.vue'
import { dispatchKey, screenChanged } from './keys/registry'
import { useScreenKeys } from './keys/useScreenKeys'
import { ScreenAway } from './screen/lazyScreen'
import { loadBench } from './screen/loadable'
import TopBar from './screen/TopBar.vue'
import { useDoor } from './store/door'
import { useOutbox } from './store/outbox'
import { useShop } from './store/shop'

const DoorPanel = defineAsyncComponent(() => import('./door/DoorPanel.vue'))
const shop = useShop()
const door = useDoor()
const outbox = useOutbox()
const router = useRouter()
const help = ref(false)
const broken = ref('')
const screenAway = ref('')
const benchLoaded = ref(false)

/** somebody was let in: from then on the screen stays, whoever comes and goes */
const passed = ref(false)
const shut = computed(() => door.need !== null || door.changing)
watch(
  () => door.seat?.id,
  (seat) => void (seat !== undefined && passed.value && shop.load()),
)

onMounted(async () => {
  await door.begin()
  if (door.need !== null)
    await new Promise<void>((done) =>
      watch(
        () => door.need,
        (need) => need ?? done(),
      ),
    )
  passed.value = true
  await Promise.all([
    outbox.begin(),
    shop.load().then(async () => {
      benchLoaded.value = await loadBench()
    }),
  ])
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
  nextPerson: () => (door.open ? shop.nextPerson() : door.change()),
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
  <div id="work" class="work" tabindex="-1"><RouterView v-if="passed" /></div>
  <DoorPanel v-if="shut" />
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
