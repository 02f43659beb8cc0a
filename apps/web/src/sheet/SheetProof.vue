<script setup lang="ts">
import { plugsOf, type RunState } from '@sure-spool/core'
import { computed } from 'vue'
import ThreePinsPicture from '../drawings/ThreePinsPicture.vue'
import RolesPanel from '../bench/RolesPanel.vue'
import PlugFace from '../drawings/PlugFace.vue'
import { heldWords, holdPlug } from '../drawings/plugLayout'
import RingPicture from '../drawings/RingPicture.vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import WindingLine from '../drawings/WindingLine.vue'
import { useFigures } from '../words/figures'
import { notProvedWords, notTestedWords, wouldSettle } from '../words/finding'
import { openWords } from '../words/openWords'
import { windingFigures } from './useSheet'

/** The part as it is drawn, beside what this does not prove, what was not tested and what would settle it. */
const props = defineProps<{ state: RunState }>()
const plugs = computed(() =>
  plugsOf(props.state.run.card, props.state.run.unit.variant).filter(({ cavities }) => cavities.length > 0),
)
/** commutators of which something was read, one a method */
const rings = computed(() =>
  props.state.checks
    .filter(({ check, points }) => 'ring' in check.at && points.some(({ evaluation }) => evaluation))
    .map(({ check }) => check),
)
const figures = useFigures()
</script>

<template>
  <div class="two">
    <section>
      <template v-for="plug in plugs" :key="plug.id">
        <h2>{{ plug.label }}: {{ heldWords(holdPlug(plug, false, 0)) }}</h2>
        <PlugFace print :card="state.run.card" :plug="plug" />
      </template>
      <div v-if="rings.length > 0" class="rings">
        <section v-for="check in rings" :key="check.id">
          <h2>{{ check.label }}</h2>
          <RingPicture :state="state" :check="check" />
        </section>
      </div>
      <WindingLine :card="state.run.card" :values="windingFigures(state, figures)" />
    </section>
    <section class="prove">
      <ThreePinsPicture :state="state" />
      <RolesPanel :roles="state.roles" :card="state.run.card" />
      <template v-if="state.finding.word !== 'fault-found'">
        <h2>What this does not prove</h2>
        <p v-for="one in notProvedWords(state, figures)" :key="one.head">
          <strong>{{ one.head }}</strong> {{ one.text }}
        </p>
      </template>
      <template v-if="state.finding.open.length > 0"
        ><h2>Still open</h2>
        <p v-for="(one, i) in state.finding.open" :key="i">{{ openWords(state, one, figures) }}</p></template
      >
      <template v-if="notTestedWords(state).length > 0">
        <h2>Not tested</h2>
        <p class="untested">
          <span v-for="one in notTestedWords(state)" :key="one.what"
            ><VerdictMark mark="none" :size="11" /> {{ one.what
            }}<template v-if="one.why">, {{ one.why }}</template></span
          >
        </p>
      </template>
      <template v-if="wouldSettle(state, figures).length > 0">
        <h2>What would settle it</h2>
        <ol>
          <li v-for="(one, i) in wouldSettle(state, figures)" :key="i">
            <strong class="n">{{ i + 1 }}</strong> <strong>{{ one.head }}</strong> {{ one.text }}
          </li>
        </ol>
      </template>
    </section>
  </div>
</template>

<style scoped>
.prove {
  display: grid;
  gap: 3px;
  align-content: start;
}
.rings {
  display: flex;
  gap: 14px;
}
.rings > * {
  flex: 1 1 0;
  max-width: 210px;
}
.untested {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0 14px;
}
</style>
