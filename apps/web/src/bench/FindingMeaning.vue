<script setup lang="ts">
import { itemFindings, stillOff, type RunState } from '@sure-spool/core'
import { computed } from 'vue'
import { recordWords, useRecord } from '../cards/useRecord'
import VerdictMark from '../drawings/VerdictMark.vue'
import { useFigures } from '../words/figures'
import { notProvedWords, notTestedWords, type Settling } from '../words/finding'
import { remarkWords } from '../words/remarks'
import { workPlace } from '../words/works'
import FaradsPanel from './FaradsPanel.vue'
import ItemPiles from './ItemPiles.vue'
import ThreePinsPicture from '../drawings/ThreePinsPicture.vue'
import RolesPanel from './RolesPanel.vue'
import SettlingPanel from './SettlingPanel.vue'
import TodayPanel from './TodayPanel.vue'
import { useToday } from './useToday'

/** What a finding means: what the model is known for, today's card, what was not tested, what a pass does not prove. */
const props = defineProps<{ state: RunState; settling: Settling[] }>()
const figures = useFigures()
/** what keeps it open goes before all else */
const undecided = computed(() => props.state.finding.word === 'undecided')
const remarks = computed(() =>
  props.state.remarks
    .filter((one) => one.entry === undefined && !one.answered)
    .map((one) => ({ id: one.id, severity: one.severity, ...remarkWords(one, props.state.run.card, figures) })),
)

const off = computed(() => stillOff(props.state.tape.works).map(({ place }) => workPlace(props.state.run.card, place)))
const record = useRecord(() => props.state.run.card.id)
const modelWords = computed(() => (record.value ? recordWords(record.value) : ''))
/** of a set some may be good though others are not */
const someGood = computed(() => itemFindings(props.state).some(({ finding }) => finding === 'no-fault-found'))
const today = useToday(
  () => props.state.run,
  () => props.state.closed,
)
</script>

<template>
  <aside class="aside" aria-label="What it means" tabindex="0">
    <SettlingPanel v-if="undecided" :settling="settling" :closed="state.closed" />
    <section v-if="modelWords">
      <h2 class="label">This model</h2>
      <p>
        <strong>{{ modelWords }}</strong>
      </p>
    </section>
    <TodayPanel v-if="today" :then="state" :today="today" />
    <ItemPiles :state="state" />
    <FaradsPanel :state="state" />
    <ThreePinsPicture :state="state" />
    <RolesPanel :roles="state.roles" :card="state.run.card" />
    <section v-if="remarks.length > 0 || off.length > 0">
      <h2 class="label">Before it is closed</h2>
      <p v-if="off.length > 0">
        <strong>Still off: {{ off.join(', ') }}.</strong> Refit it, the last first, or say that it stays off.
      </p>
      <p v-for="one in remarks" :key="one.id">
        <strong>{{ one.what }}</strong> {{ one.todo }}
      </p>
    </section>
    <section v-if="notTestedWords(state).length > 0">
      <h2 class="label">Not tested</h2>
      <p v-for="one in notTestedWords(state)" :key="one.what" class="untested">
        <VerdictMark mark="none" :size="13" /><span
          ><strong>{{ one.what }}</strong
          ><template v-if="one.why">, {{ one.why }}</template></span
        >
      </p>
    </section>
    <section v-if="state.finding.word !== 'fault-found' || someGood">
      <h2 class="label">What a pass does not prove</h2>
      <p v-for="one in notProvedWords(state, figures)" :key="one.head">
        <strong>{{ one.head }}</strong> {{ one.text }}
      </p>
    </section>
    <SettlingPanel v-if="!undecided" :settling="settling" :closed="state.closed" />
  </aside>
</template>

<style scoped>
.aside {
  overflow: auto;
  background: var(--panel);
  padding: 12px 20px;
  display: grid;
  align-content: start;
  gap: 12px;
}
.aside section {
  display: grid;
  gap: 4px;
  border-bottom: 1px solid var(--hairline);
  padding-bottom: 10px;
}
.untested {
  display: flex;
  gap: 10px;
  align-items: center;
}
@media (max-width: 900px) {
  .aside {
    overflow: visible;
  }
}
</style>
