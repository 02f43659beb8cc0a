<script setup lang="ts">
import { planSteps, prepareCard, type Card, type Step } from '@sure-spool/core'
import { computed } from 'vue'
import PlugFace from '../drawings/PlugFace.vue'
import { heldWords, holdPlug } from '../drawings/plugLayout'
import WindingLine from '../drawings/WindingLine.vue'
import { useFigures } from '../words/figures'
import { groupWords } from '../words/kinds'
import { placeLabel, plugLabel } from '../words/points'

/** The bench as this card will give it: the plug, the windings, and the path in working order. */
const props = defineProps<{ card: Card }>()
const figures = useFigures()
const steps = computed(() => planSteps(prepareCard(props.card)))
const words = (step: Step): string => {
  switch (step.kind) {
    case 'look':
      return `look: ${step.place}`
    case 'isolate':
      return 'make it safe'
    case 'temperature':
      return 'how warm is it'
    case 'leads':
      return 'zero the leads'
    case 'frame-proof':
      return 'prove the frame contact'
    case 'supply':
      return 'enter the supply'
    case 'reading':
      return placeLabel(props.card, step.check, step.point, figures)
    case 'answer':
      return props.card.checks.find((check) => check.id === step.check)?.label ?? step.check
    case 'finding':
      return 'the finding'
  }
}
const groups = computed(() => {
  const found: { group: Step['group']; lines: string[] }[] = []
  for (const step of steps.value) {
    const last = found.at(-1)
    if (last?.group === step.group) last.lines.push(words(step))
    else found.push({ group: step.group, lines: [words(step)] })
  }
  return found
})
const ohms = computed(() =>
  Object.fromEntries(
    props.card.windings.map((winding) => [winding.id, winding.ohms === undefined ? '' : figures.bound(winding.ohms)]),
  ),
)
</script>

<template>
  <section class="preview" aria-label="The bench as this card will give it">
    <template v-for="plug in card.plugs" :key="plug.id">
      <PlugFace :card="card" :plug="plug" />
      <p class="muted">{{ plugLabel(card, plug) }}: {{ heldWords(holdPlug(plug, false, 0)) }}</p>
    </template>
    <WindingLine v-if="card.windings.length > 0" :card="card" :values="ohms" />
    <ol>
      <li v-for="(one, i) in groups" :key="i">
        <strong>{{ groupWords[one.group] }}</strong> {{ one.lines.slice(0, 8).join('; ')
        }}<template v-if="one.lines.length > 8">; and {{ one.lines.length - 8 }} more</template>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.preview {
  display: grid;
  gap: 8px;
}
ol {
  display: grid;
  gap: 3px;
  font-size: 15px;
  line-height: 1.3;
}
</style>
