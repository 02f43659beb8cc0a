<script setup lang="ts">
import type { ShopView } from '@sure-spool/contract'
import Message from 'primevue/message'
import Skeleton from 'primevue/skeleton'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useScreenKeys } from '../keys/useScreenKeys'
import '../look/controls/signs'
import { useDoor } from '../store/door'
import { useShop } from '../store/shop'
import AuditList from './AuditList.vue'
import BackupsTable from './BackupsTable.vue'
import BenchesTable from './BenchesTable.vue'
import HabitFields from './HabitFields.vue'
import MovingHouse from './MovingHouse.vue'
import PeopleTable from './PeopleTable.vue'
import { shopKeys } from './shopKeys'

/** The shop: its people and its habits, and everything of it as one file. What is changed here is kept at once. */
const shop = useShop()
const door = useDoor()
const isOwner = computed(() => shop.person?.access === 'owner')
const router = useRouter()
const problem = ref('')
const told = ref('')

async function kept(answer: Promise<ShopView>): Promise<void> {
  try {
    await shop.take(await answer)
    tell('kept, in force at once')
  } catch (error) {
    refuse(error instanceof Error ? error.message : String(error))
  }
}
function tell(words: string): void {
  told.value = words
  problem.value = ''
}
function refuse(sentence: string): void {
  problem.value = sentence
  told.value = ''
}
useScreenKeys(shopKeys, () => 'shop', { leave: () => void router.push('/') })
</script>

<template>
  <main class="shop">
    <header>
      <h1>Shop</h1>
      <p role="status" class="muted">{{ told }}</p>
    </header>
    <Message v-if="problem" severity="error">{{ problem }}</Message>
    <p v-if="shop.known && !isOwner" class="muted">Only an owner changes what stands here.</p>
    <Skeleton v-if="!shop.known" height="50vh" />
    <template v-else>
      <HabitFields :kept="kept" @refused="refuse" />
      <section aria-labelledby="people">
        <h2 id="people">People</h2>
        <PeopleTable :kept="kept" @told="tell" />
      </section>
      <section v-if="isOwner && !door.open" aria-labelledby="benches">
        <h2 id="benches">Benches</h2>
        <BenchesTable @told="tell" @refused="refuse" />
      </section>
      <section aria-labelledby="moving">
        <h2 id="moving">Moving house</h2>
        <MovingHouse @told="tell" @refused="refuse" />
      </section>
      <section v-if="isOwner" aria-labelledby="backups">
        <h2 id="backups">Backups</h2>
        <BackupsTable @refused="refuse" />
      </section>
      <section v-if="isOwner" aria-labelledby="changed">
        <h2 id="changed">What was changed</h2>
        <AuditList @refused="refuse" />
      </section>
    </template>
  </main>
</template>

<style scoped>
.shop {
  padding: 14px 20px 40px;
  display: grid;
  gap: 18px;
  align-content: start;
  max-width: 1100px;
}
header {
  display: flex;
  gap: 24px;
  align-items: baseline;
}
h1 {
  font-size: 34px;
}
.shop :deep(section) {
  border-top: 1px solid var(--ink);
  padding-top: 10px;
  display: grid;
  gap: 8px;
}
.shop :deep(h2) {
  font-size: 19px;
}
</style>
