<script setup lang="ts">
import type { Card, Plug } from '@sure-spool/core'
import { computed, ref } from 'vue'
import KeyButton from '../keys/KeyButton.vue'
import { holdPlug } from '../drawings/plugLayout'
import { terminalLabel } from '../words/points'

/** Asks what sits where in the plug in hand, held another way than it is drawn; a wrong answer finds a drawing that is mirrored. */
const props = defineProps<{ card: Card; plug: Plug }>()
const emit = defineEmits<{ done: [] }>()
const corners = ['top left', 'bottom right'] as const
const at = ref(0)
const answer = ref<'right' | 'wrong' | ''>('')
const held = computed(() => holdPlug(props.plug, false, 2))
const wanted = computed(() => {
  const cells = held.value.cells
  const [rows, columns] = [held.value.rows - 1, held.value.columns - 1]
  const corner = corners[at.value % corners.length] ?? 'top left'
  const cell = cells.find(({ column, row }) =>
    corner === 'top left' ? column === 0 && row === 0 : column === columns && row === rows,
  )
  return { corner, terminal: cell?.terminal ?? null }
})
const how = computed(() => {
  const { kind, side } = held.value.key
  return kind === 'none'
    ? `turned half round, seen from its ${held.value.seen}`
    : `its ${kind} at the ${side}, seen from its ${held.value.seen}`
})
const choices = computed(() => [
  ...props.card.terminals
    .filter(({ id, part }) => id !== 'frame' && part !== 'joint')
    .map(({ id, label }) => ({ id: id as string | null, label })),
  { id: null, label: 'empty' },
])
const say = (id: string | null) => (answer.value = id === wanted.value.terminal ? 'right' : 'wrong')
function next(): void {
  answer.value = ''
  if (at.value + 1 < corners.length) at.value++
  else emit('done')
}
</script>

<template>
  <div class="asking" role="group" aria-label="Check the drawing">
    <p>
      Hold the plug with {{ how }}. <strong>What is {{ wanted.corner }}?</strong>
    </p>
    <p v-if="answer === ''" class="choices">
      <KeyButton v-for="one in choices" :key="one.id ?? ''" :label="one.label" @press="say(one.id)" />
    </p>
    <template v-else>
      <p role="status">
        <template v-if="answer === 'right'">That is what the drawing says.</template
        ><template v-else
          >The drawing has
          <strong>{{ wanted.terminal === null ? 'an empty place' : terminalLabel(card, wanted.terminal) }}</strong>
          there. If the plug in hand is right, the drawing is seen from the other side, or the key is at another
          side.</template
        >
      </p>
      <KeyButton :label="at + 1 < corners.length ? 'the next question' : 'done'" @press="next" />
    </template>
  </div>
</template>

<style scoped>
.asking {
  display: grid;
  gap: 8px;
  padding: 10px 14px;
  background: var(--tint);
  border-left: 4px solid var(--copper);
  justify-items: start;
}
.choices {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
</style>
