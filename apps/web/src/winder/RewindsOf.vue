<script setup lang="ts">
import type { RewindList } from '@sure-spool/contract'
import { ref, watch } from 'vue'
import { ask } from '../store/api'
import { day } from '../words/times'

/** What was rewound of a unit, or of a model: each leads to how it was wound. Nothing where there is none, or the server is away. */
const props = defineProps<{ of: 'units' | 'cards'; id: string }>()
const rewinds = ref<RewindList['rewinds']>([])
watch(
  () => props.id,
  async (id) => {
    // a list that is not there is left out: it is at hand again when the server is
    const list = await ask<RewindList>(`/${props.of}/${id}/rewinds`).catch(() => undefined)
    rewinds.value = list?.rewinds ?? []
  },
  { immediate: true },
)
</script>

<template>
  <section v-if="rewinds.length > 0" class="rewinds">
    <h2>Rewound</h2>
    <ul>
      <li v-for="one in rewinds" :key="one.id">
        <RouterLink :to="{ name: 'rewind', params: { id: one.id } }"
          >{{ of === 'cards' ? `${one.tag}, ` : '' }}{{ day(one.startedAt) }}, {{ one.coils }}
          {{ one.coils === 1 ? 'coil' : 'coils' }}</RouterLink
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.rewinds {
  display: grid;
  gap: 4px;
}
h2 {
  font-size: 19px;
}
a {
  display: inline-flex;
  min-height: 44px;
  align-items: center;
}
</style>
