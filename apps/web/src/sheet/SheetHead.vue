<script setup lang="ts">
import type { RunState } from '@sure-spool/core'
import { computed } from 'vue'
import { recordWords, useRecord } from '../cards/useRecord'
import { useShop } from '../store/shop'
import { useFigures } from '../words/figures'
import { findingTitle } from '../words/finding'
import { complaintWords, decisionWords, familyWords } from '../words/kinds'
import { clock, day } from '../words/times'
import { standingOf, usePeople } from './useSheet'

/** Which part, what was found, what was decided and why. */
const props = defineProps<{ state: RunState }>()
const shop = useShop()
const person = usePeople()
const run = computed(() => props.state.run)
const figures = useFigures()
const title = computed(() => findingTitle(props.state, figures))
const decisions = computed(() => standingOf(props.state, 'decision'))
const record = useRecord(() => run.value.card.id)
const modelWords = computed(() => (record.value ? recordWords(record.value) : ''))
const ended = computed(() => run.value.entries.at(-1)?.at)
const windingNames = (about: (string | number)[]) =>
  about.map((id) => run.value.card.windings.find((winding) => winding.id === id)?.label ?? id).join(', ')
</script>

<template>
  <header>
    <p class="n tag">{{ run.unit.tag }}</p>
    <p>
      <strong class="model">{{ run.card.name.maker }} {{ run.card.name.model }}</strong
      >, {{ familyWords[run.card.family] }}, {{ run.unit.history
      }}<template v-if="run.unit.serial">, serial {{ run.unit.serial }}</template
      ><br />complaint: {{ run.unit.complaint.map((one) => complaintWords[one]).join(', ')
      }}<template v-if="run.unit.words">, “{{ run.unit.words }}”</template>
    </p>
    <p class="right">
      {{ shop.settings.name }}<br />{{ day(run.startedAt) }}, {{ clock(run.startedAt) }} to {{ clock(ended) }}
    </p>
  </header>
  <h1>{{ title.title }}</h1>
  <p class="lead">{{ title.line }}</p>
  <p v-for="one in decisions" :key="one.id" class="lead">
    <strong
      >Decided: {{ decisionWords[one.what]
      }}<template v-if="one.about?.length"> ({{ windingNames(one.about) }})</template>.</strong
    >
    “{{ one.why }}” {{ person(one.by) }}, {{ clock(one.at) }}.<template v-if="one.second"
      >{{ ' ' }}{{ person(one.second) }} stands for it.</template
    >
  </p>
  <p v-if="modelWords" class="lead">{{ modelWords }}</p>
  <p v-if="!state.closed" class="lead">The run stays open.</p>
</template>

<style scoped>
header {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 20px;
  align-items: start;
  font-size: 14px;
}
.tag {
  font-size: 24px;
  line-height: 1;
}
.model {
  font-size: 17px;
}
.right {
  text-align: right;
}
</style>
