<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRouter } from 'vue-router'
import ScreenKey from '../keys/ScreenKey.vue'
import { useScreenKeys } from '../keys/useScreenKeys'
import '../sheet/sheet.css'
import { usePeople } from '../sheet/useSheet'
import { useRewind } from '../store/rewind'
import { useFigures } from '../words/figures'
import PhotoStrip from '../photos/PhotoStrip.vue'
import {
  jumperWords,
  originalLines,
  layWords,
  rewindEntryWords,
  rewindKindWords,
  rewindPhotos,
  wireWords,
} from '../words/rewind'
import { rewindRemarkWords } from '../words/rewindRemarks'
import { roomWords } from '../words/room'
import { clock, day } from '../words/times'
import BeforeAndAfter from './BeforeAndAfter.vue'
import PolesPicture from './PolesPicture.vue'
import { useBeforeAndAfter } from './useBeforeAndAfter'
import { winderSheetKeys } from './winderSheetKeys'

/** One page from which another person can wind the same coil again. */
const props = defineProps<{ id: string }>()
const store = useRewind()
const router = useRouter()
const figures = useFigures()
const nameOf = usePeople()
watch(
  () => props.id,
  (id) => void store.open(id),
  { immediate: true },
)
const state = computed(() => store.state)
const leaders = computed(() =>
  (state.value?.coils ?? []).filter(
    (one, i, all) => all.findIndex((each) => each.coil.winding === one.coil.winding) === i,
  ),
)
const ofWinding = (winding: string) => (state.value?.coils ?? []).filter((one) => one.coil.winding === winding)
const whole = (winding: string) => state.value?.wholes.find((one) => one.winding === winding)
const { before, after } = useBeforeAndAfter()
const ohms = (value: number) => figures.bound(Number(value.toPrecision(4)))
useScreenKeys(winderSheetKeys, () => 'sheet', {
  print: () => window.print(),
  back: () => router.push({ name: 'rewind', params: { id: props.id } }),
})
</script>

<template>
  <main class="winder-sheet">
    <nav class="acts" aria-label="The sheet"><ScreenKey main act="print" /><ScreenKey quiet act="back" /></nav>
    <article v-if="state" class="sheet">
      <h1>{{ store.unit?.tag }}, {{ store.unit?.model }}: how it is wound</h1>
      <p>{{ day(state.rewind.startedAt) }}, begun {{ clock(state.rewind.startedAt) }}</p>
      <section v-for="one in leaders" :key="one.coil.id" class="coil">
        <h2>
          {{
            ofWinding(one.coil.winding).length > 1
              ? `${ofWinding(one.coil.winding).length} coils like ${one.coil.label}`
              : one.coil.label
          }}
        </h2>
        <div class="two">
          <table>
            <tbody>
              <tr v-for="line in originalLines(one, figures)" :key="line.name">
                <th>{{ line.name }} before</th>
                <td>{{ line.text }}</td>
              </tr>
              <tr v-if="one.plan">
                <th>Planned</th>
                <td>
                  {{ Math.round(one.planned?.turns ?? one.plan.turns ?? 0) }} turns,
                  {{ wireWords(one.plan.wire ?? {}, figures) }}
                  <template v-if="one.plan.why">({{ one.plan.why }})</template>
                </td>
              </tr>
              <tr v-if="whole(one.coil.winding)">
                <th>Comes to</th>
                <td>
                  {{ ohms(whole(one.coil.winding)?.ohms20 ?? 0) }} at 20 °C ({{
                    ohms(whole(one.coil.winding)?.low ?? 0)
                  }}
                  to {{ ohms(whole(one.coil.winding)?.high ?? 0) }}),
                  {{ figures.plain(whole(one.coil.winding)?.metres ?? 0, 3) }} m,
                  {{ figures.plain(whole(one.coil.winding)?.grams ?? 0, 3) }} g
                </td>
              </tr>
              <tr v-if="one.plan && roomWords(one.plan, figures)">
                <th>Room</th>
                <td>{{ roomWords(one.plan, figures) }}</td>
              </tr>
              <tr v-for="each in ofWinding(one.coil.winding)" :key="each.coil.id">
                <th>{{ each.coil.label }}</th>
                <td>
                  <template v-if="each.wound"
                    >{{ each.wound.turns }} turns, {{ each.wound.lay ? layWords[each.wound.lay] : '' }}</template
                  ><template v-else>not wound</template>
                </td>
              </tr>
            </tbody>
          </table>
          <PolesPicture
            v-if="ofWinding(one.coil.winding).length > 1"
            :coils="ofWinding(one.coil.winding)"
            :here="undefined"
          />
        </div>
        <p v-if="jumperWords(state, ofWinding(one.coil.winding)).length > 0">
          Jumpers: {{ jumperWords(state, ofWinding(one.coil.winding)).join('; ') }}.
        </p>
        <BeforeAndAfter
          v-for="each in state.wholes.filter(({ winding }) => winding === one.coil.winding)"
          :key="each.winding"
          :winding="each.winding"
          :whole="each"
          :before="before"
          :after="after"
        />
      </section>
      <p v-if="state.direction">
        The machine {{ layWords[state.direction.machine] }} lays {{ layWords[state.direction.lay] }}, by one turn.
      </p>
      <PhotoStrip :photos="rewindPhotos(state, figures)" />
      <h2>All that was done</h2>
      <table class="all">
        <tbody>
          <tr v-for="entry in state.rewind.entries" :key="entry.id" :class="{ gone: state.takenBack.has(entry.id) }">
            <td>{{ clock(entry.at) }}</td>
            <td>{{ rewindKindWords[entry.kind] }}</td>
            <td>{{ rewindEntryWords(entry, state, figures) }}</td>
            <td>{{ nameOf(entry.by) }}</td>
          </tr>
        </tbody>
      </table>
      <template v-if="state.remarks.length > 0">
        <h2>Remarks</h2>
        <p v-for="one in state.remarks" :key="one.key">{{ rewindRemarkWords(one, state, figures).what }}</p>
      </template>
    </article>
    <p v-else class="sheet">{{ store.missing || 'Opening the rewind …' }}</p>
  </main>
</template>

<style scoped>
/* paper is white under either theme */
.sheet {
  --panel: #fff;
  --ink: #000;
  --tint: #e8e8e8;
  --copper: #000;
  --hairline: #bbb;
  --muted: #333;
}
.acts {
  display: flex;
  gap: 12px;
  padding: 12px 20px;
  border-bottom: 1px solid var(--hairline);
  background: var(--panel);
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 600;
  width: 160px;
}
td,
th {
  padding: 3px 10px 3px 0;
  vertical-align: top;
  border-bottom: 1px solid #bbb;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 240px;
  gap: 20px;
}
.gone td {
  text-decoration: line-through;
}
@media print {
  .acts {
    display: none;
  }
}
</style>
