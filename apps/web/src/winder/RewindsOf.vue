<script setup lang="ts">
import type { ListedRewind } from '@sure-spool/contract'
import { useFigures } from '../words/figures'
import { day } from '../words/times'
import { woundWords } from './planWords'
import { useRewindList } from './useWoundAlike'

/** What was rewound of a unit, or of a model: how each winding was wound and what became of it; each leads to its rewind. */
const props = defineProps<{ of: 'units' | 'cards'; id: string }>()
const figures = useFigures()
const rewinds = useRewindList(() => ({ of: props.of, id: props.id }))
const woundOf = ({ wound, after, tag, id }: ListedRewind): string =>
  wound
    .map((one) => {
      const which = one.coils > 1 ? `${one.coils} coils like ${one.label}` : one.label
      return `${which}: ${woundWords({ ...one, id, tag, ...(after ? { after } : {}) }, figures)}`
    })
    .join('; ')
</script>

<template>
  <section v-if="rewinds.length > 0" class="rewinds">
    <h2>Rewound</h2>
    <ul>
      <li v-for="one in rewinds" :key="one.id">
        <RouterLink :to="{ name: 'rewind', params: { id: one.id } }"
          >{{ of === 'cards' ? `${one.tag}, ` : '' }}{{ day(one.startedAt) }}</RouterLink
        ><span>{{ woundOf(one) || `${one.coils} ${one.coils === 1 ? 'coil' : 'coils'}, in work` }}</span>
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
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: baseline;
}
a {
  display: inline-flex;
  min-height: 44px;
  align-items: center;
}
</style>
