<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { everywhereKeys } from '../keys/everywhereKeys'
import { capOf } from '../keys/statement'
import { useDoor } from '../store/door'
import { useQueue } from '../store/queue'
import { useShop } from '../store/shop'
import KeptLine from './KeptLine.vue'
import NewerVersion from './NewerVersion.vue'

/** The screens, what is kept, who is at the bench, the light, the keys. */
defineProps<{ benchLoaded: boolean }>()
defineEmits<{ help: [] }>()
const shop = useShop()
const door = useDoor()
const queue = useQueue()
const route = useRoute()
const benchTo = computed(() =>
  route.name === 'bench' || route.name === 'sheet'
    ? { name: 'bench', params: { run: route.params['run'] } }
    : queue.last?.standing
      ? { name: 'bench', params: { run: queue.last.standing.run } }
      : undefined,
)
const { help, nextPerson } = everywhereKeys.acts
</script>

<template>
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
    <NewerVersion />
    <KeptLine :bench-loaded="benchLoaded" />
    <button
      class="plain who"
      aria-keyshortcuts="Shift+W"
      :title="
        door.open
          ? `${capOf(nextPerson)}: the next person. A demo: nobody signs in here`
          : `${capOf(nextPerson)}: who is at the bench`
      "
      @click="door.open ? shop.nextPerson() : door.change()"
    >
      <span v-if="door.open" class="demo">demo<span class="shop">, no PINs</span></span
      ><span class="unseen">At the bench: </span>{{ shop.person?.name.split(' ')[0] ?? ''
      }}<span v-if="shop.settings.name" class="shop">, {{ shop.settings.name.replace(/ Bench$/, '') }}</span>
    </button>
    <button class="plain who" @click="shop.turnTheme()">{{ shop.theme === 'light' ? 'dark' : 'light' }}</button>
    <button class="plain who" :aria-keyshortcuts="capOf(help)" @click="$emit('help')">keys</button>
  </header>
</template>

<style scoped>
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
  white-space: nowrap;
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
.demo {
  margin-right: 10px;
  padding: 2px 6px;
  border: 1px solid var(--hairline);
  font-size: 14px;
  color: var(--muted);
}
.who {
  flex: none;
  min-width: 44px;
  white-space: nowrap;
}
@media (max-width: 1000px) {
  .top {
    gap: 14px;
    padding-inline: 14px;
  }
  nav a {
    padding-inline: 9px;
  }
  .shop {
    display: none;
  }
}
@media (max-width: 850px) {
  nav a {
    padding-inline: 5px;
  }
}
@media print {
  .top {
    display: none;
  }
}
</style>
