<script setup lang="ts">
import { gramsToHave, type RewindPhase, type RewindState } from '@sure-spool/core'
import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import { useFigures } from '../words/figures'
import PhotoStrip from '../photos/PhotoStrip.vue'
import { jumperWords, leftTellsWords, originalLines, rewindPhotos, wireWords } from '../words/rewind'
import { rewindRemarkWords } from '../words/rewindRemarks'
import { clock } from '../words/times'
import PolesPicture from './PolesPicture.vue'

/** What is known and what it comes to: remarks, the poles, the old coil, the plan, checks half way, what cures. */
const props = defineProps<{ state: RewindState; coil: string | undefined; phase: RewindPhase }>()
const figures = useFigures()
const now = useNow({ interval: 1000 })
const here = computed(() => props.state.coils.find((one) => one.coil.id === props.coil) ?? props.state.coils[0])
const sisters = computed(() => props.state.coils.filter((one) => one.coil.winding === here.value?.coil.winding))
const whole = computed(() => props.state.wholes.find((one) => one.winding === here.value?.coil.winding))
const jumpers = computed(() => jumperWords(props.state, sisters.value))
const photos = computed(() => rewindPhotos(props.state, figures))
const remarks = computed(() =>
  props.state.remarks
    .filter(({ answered }) => !answered)
    .map((one) => ({ key: one.key, severity: one.severity, ...rewindRemarkWords(one, props.state, figures) })),
)
/** what takes its time, and how much of it is left */
const timed = computed(() =>
  props.state.finished.flatMap(({ id, at, seconds, words }) => {
    if (seconds === undefined) return []
    const left = Math.ceil((Date.parse(at) + seconds * 1000 - now.value.getTime()) / 1000)
    const until = clock(new Date(Date.parse(at) + seconds * 1000).toISOString())
    return [{ id, words, left, said: left <= 0 ? `over since ${until}` : `until ${until}, ${span(left)} left` }]
  }),
)
const span = (s: number) => (s >= 3600 ? `${Math.ceil(s / 60)} min` : s >= 60 ? `${Math.ceil(s / 60)} min` : `${s} s`)
const ohms = (value: number) => figures.bound(Number(value.toPrecision(4)))
</script>

<template>
  <aside class="facts" aria-label="What is known" tabindex="0">
    <section
      v-for="one in remarks"
      :key="one.key"
      :class="one.severity"
      :role="one.severity === 'stop' ? 'alert' : 'note'"
    >
      <p>
        <strong>{{ one.what }}</strong> {{ one.todo }}
      </p>
    </section>
    <PolesPicture v-if="sisters.length > 1" :coils="sisters" :here="coil" />
    <section v-if="here && (originalLines(here, figures).length > 0 || photos.length > 0)">
      <h2 class="label">As it was</h2>
      <dl>
        <div v-for="one in originalLines(here, figures)" :key="one.name">
          <dt>{{ one.name }}</dt>
          <dd>{{ one.text }}</dd>
        </div>
      </dl>
      <p v-if="leftTellsWords(here.left, figures)" class="muted">That is {{ leftTellsWords(here.left, figures) }}.</p>
      <PhotoStrip :photos="photos" />
    </section>
    <section v-if="whole && here?.plan">
      <h2 class="label">Planned{{ whole.coils > 1 ? `, all ${whole.coils}` : '' }}</h2>
      <dl>
        <div>
          <dt>Turns</dt>
          <dd class="n">
            {{ Math.round(whole.turns) }}<template v-if="whole.wound > 0">, {{ whole.wound }} wound</template>
          </dd>
        </div>
        <div>
          <dt>Ohms at 20 °C</dt>
          <dd class="n">
            {{ ohms(whole.ohms20) }}
            <small
              >({{ ohms(Number(whole.low.toPrecision(3))) }} to {{ ohms(Number(whole.high.toPrecision(3))) }})</small
            >
          </dd>
        </div>
        <div v-if="whole.coils === 1 && here.henries !== undefined">
          <dt>Henries</dt>
          <dd class="n">{{ figures.bound(Number(here.henries.toPrecision(3)), 'inductance') }}</dd>
        </div>
        <div v-if="here.planned?.fill !== undefined">
          <dt>Window</dt>
          <dd class="n">{{ Math.round(100 * here.planned.fill) }}&#x2009;% full</dd>
        </div>
        <div>
          <dt>Wire</dt>
          <dd>
            {{ wireWords(here.plan.wire ?? {}, figures) }}, {{ figures.plain(whole.metres, 3) }} m,
            {{ figures.plain(whole.grams, 3) }} g; have {{ figures.plain(gramsToHave(whole.grams), 2) }} g
          </dd>
        </div>
      </dl>
    </section>
    <section v-for="one in here?.mid ?? []" :key="one.entry">
      <h2 class="label">At {{ one.turns }} turns</h2>
      <p>
        <strong class="n">{{ ohms(one.ohms20) }}</strong> at 20 °C<template v-if="one.assumedC"
          >, which nobody measured on it</template
        >, {{ figures.plain(one.ohmsPerTurn, 3) }} Ω a turn.
        <template v-if="one.projected"
          >{{ one.projected.turns }} turns end at
          <strong class="n">{{ figures.bound(Number(one.projected.ohms20.toPrecision(3))) }}</strong> ±{{
            figures.bound(Number(one.projected.u2.toPrecision(2)))
          }}.</template
        >
        <template v-if="one.stopAt">
          Planned ohms at {{ Math.round(one.stopAt.turns) }} turns ±{{ Math.ceil(one.stopAt.u2) }}.</template
        >
      </p>
    </section>
    <section v-if="phase === 'finish' && jumpers.length > 0">
      <h2 class="label">Jumpers</h2>
      <p v-for="one in jumpers" :key="one">{{ one }}</p>
    </section>
    <section v-for="one in timed" :key="one.id">
      <h2 class="label">{{ one.words }}</h2>
      <p role="timer">{{ one.said }}</p>
    </section>
    <section>
      <h2 class="label">Cautions</h2>
      <p>
        Sleeves, hair and fingers off the turning wire. Hot wax burns and catches fire: never over a flame. Varnish,
        solvent and epoxy want air and gloves; let them cure where nobody breathes them.
        <span class="muted">The maker’s sheet and local rules come first.</span>
      </p>
    </section>
  </aside>
</template>

<style scoped>
.facts {
  background: var(--panel);
  border-left: 1px solid var(--hairline);
  padding: 14px 20px;
  overflow: auto;
  display: grid;
  align-content: start;
  gap: 12px;
}
section {
  border-bottom: 1px solid var(--hairline);
  padding-bottom: 10px;
  display: grid;
  gap: 4px;
}
.stop {
  border-left: 5px solid var(--outside);
  padding-left: 10px;
}
.warn {
  border-left: 5px solid var(--borderline);
  padding-left: 10px;
}
dl {
  display: grid;
  gap: 3px;
  margin: 0;
}
dl > div {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  gap: 10px;
}
dt {
  color: var(--muted);
}
dd {
  margin: 0;
}
small {
  font-size: 15px;
}
</style>
