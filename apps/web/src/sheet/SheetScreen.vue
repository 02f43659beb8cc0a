<script setup lang="ts">
import { coreVersion } from '@sure-spool/core'
import { computed, onMounted, watch } from 'vue'
import { useRouter } from 'vue-router'
import KeyButton from '../parts/KeyButton.vue'
import { isTaken, useKeys } from '../parts/keys'
import PlugFace from '../parts/PlugFace.vue'
import { heldWords, holdPlug } from '../parts/plugLayout'
import VerdictMark from '../parts/VerdictMark.vue'
import WindingLine from '../parts/WindingLine.vue'
import { useBench } from '../store/bench'
import { useShop } from '../store/shop'
import { takenText, useFigures } from '../words/figures'
import { clock, day } from '../words/times'
import { findingTitle, notProved, notTested, openWords, wouldSettle } from '../words/finding'
import {
  cautionFoot,
  complaintWords,
  decisionWords,
  familyWords,
  gradeWords,
  isolationWords,
  lookWords,
} from '../words/kinds'
import { remarkWords } from '../words/remarks'
import { cameBackWords, useRecord } from '../cards/useRecord'
import ReadingsTable from './ReadingsTable.vue'

/** The printed sheet: every reading with its arithmetic, so that a colleague or a customer can redo it by hand. */
const props = defineProps<{ run: string }>()
const bench = useBench()
const shop = useShop()
const router = useRouter()
const figures = useFigures()
watch(
  () => props.run,
  (id) => void bench.open(id),
  { immediate: true },
)
const state = computed(() => bench.state)
const document = computed(() => bench.run)
const record = useRecord(() => bench.run?.card.id)
const modelWords = computed(() => (record.value ? cameBackWords(record.value) : ''))
const title = computed(() => (state.value ? findingTitle(state.value) : { title: '', line: '' }))
const decisions = computed(() =>
  (state.value?.tape.entries ?? []).flatMap((entry) =>
    entry.kind === 'decision' && !state.value?.tape.takenBack.has(entry.id) ? [entry] : [],
  ),
)
const looks = computed(() =>
  (state.value?.tape.entries ?? []).flatMap((entry) =>
    entry.kind === 'look' && !state.value?.tape.takenBack.has(entry.id) ? [entry] : [],
  ),
)
const others = computed(() =>
  (state.value?.tape.entries ?? []).filter((entry) => ['note', 'work', 'skip', 'outcome'].includes(entry.kind)),
)
const remarks = computed(() =>
  (state.value?.remarks ?? []).map((one) => ({
    key: `${one.id}${one.entry ?? ''}`,
    severity: one.severity,
    at: at(one.entry),
    ...remarkWords(one, document.value!.card, figures),
    answer: one.answered
      ? (one.answered.reason ?? (one.answered.by === 'cleared' ? 'cleared by a later reading' : 'kept'))
      : one.severity === 'stop'
        ? 'not answered'
        : '',
  })),
)
const entryAt = (id: string | undefined) => document.value?.entries.find((entry) => entry.id === id)?.at
const at = (id: string | undefined) => clock(entryAt(id))
const person = (id: string) => shop.people.find((one) => one.id === id)?.name ?? id
const ended = computed(() => document.value?.entries.at(-1)?.at)
const by = computed(() => [...new Set((document.value?.entries ?? []).map((entry) => person(entry.by)))].join(', '))
const values = computed(() =>
  Object.fromEntries(
    (state.value?.checks ?? []).flatMap(({ check, points }) => {
      const one = points[0]?.evaluation
      const [winding] = [...check.touches]
      const ownOhms = check.kind === 'resistance' && check.touches.size === 1 && !check.toFrame
      return one && ownOhms && winding !== undefined ? [[winding, takenText(one, figures)]] : []
    }),
  ),
)
const meters = computed(() => {
  const used = new Set(
    (document.value?.entries ?? []).flatMap((entry) =>
      entry.kind === 'reading' && entry.reading.instrument ? [entry.reading.instrument] : [],
    ),
  )
  return (document.value?.instruments ?? [])
    .filter((one) => used.has(one.id))
    .map((one) => {
      const ohms = one.functions.find((each) => each.quantity === 'resistance')?.ranges[0]
      return `${one.name}, ${one.ranging === 'auto' ? 'ranges by itself' : 'ranged by hand'}${ohms?.percentOfReading === undefined ? '' : `, ${ohms.percentOfReading} % + ${ohms.counts ?? 0} steps on its lowest range`}`
    })
})
const isolation = computed(() => state.value?.tape.entries.findLast((entry) => entry.kind === 'isolation'))
const cautioned = computed(() => (document.value?.entries ?? []).filter((entry) => entry.kind === 'caution').length)

function save(name: string, type: string, text: string): void {
  const link = window.document.createElement('a')
  link.href = URL.createObjectURL(new Blob([text], { type }))
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
const saveJson = () =>
  document.value &&
  save(`${document.value.unit.tag}-run.json`, 'application/json', `${JSON.stringify(document.value, null, 2)}\n`)
const print = () => window.print()
const back = () => void router.push({ name: 'bench', params: { run: props.run } })

useKeys((event) => {
  if (isTaken(event)) return false
  if (event.key === 'p') print()
  else if (event.key === 'Escape') back()
  else return false
  return true
})
onMounted(() => {
  window.document.documentElement.style.setProperty('--paper-size', shop.settings.paper)
})
</script>

<template>
  <main class="sheet-screen">
    <nav class="acts" aria-label="The sheet">
      <KeyButton main cap="p" label="print" @press="print" />
      <KeyButton label="save the run as JSON" :disabled="!document" @press="saveJson" />
      <a class="csv" :href="`/api/v1/runs/${props.run}/readings.csv`" download>readings as CSV</a>
      <KeyButton quiet cap="Esc" label="back to the bench" @press="back" />
    </nav>
    <article v-if="document && state" class="sheet">
      <header>
        <p class="n tag">{{ document.unit.tag }}</p>
        <p>
          <strong class="model">{{ document.card.name.maker }} {{ document.card.name.model }}</strong
          >, {{ familyWords[document.card.family] }}, {{ document.unit.history
          }}<template v-if="document.unit.serial">, serial {{ document.unit.serial }}</template
          ><br />complaint: {{ document.unit.complaint.map((one) => complaintWords[one]).join(', ')
          }}<template v-if="document.unit.words">, “{{ document.unit.words }}”</template>
        </p>
        <p class="right">
          {{ shop.settings.name }}<br />{{ day(document.startedAt) }}, {{ clock(document.startedAt) }} to
          {{ clock(ended) }}
        </p>
      </header>
      <h1>{{ title.title }}</h1>
      <p class="lead">{{ title.line }}</p>
      <p v-for="one in decisions" :key="one.id" class="lead">
        <strong
          >Decided: {{ decisionWords[one.what]
          }}<template v-if="one.about?.length">
            ({{
              one.about
                .map((id) => document?.card.windings.find((winding) => winding.id === id)?.label ?? id)
                .join(', ')
            }})</template
          >.</strong
        >
        “{{ one.why }}” {{ person(one.by) }}, {{ clock(one.at) }}.
      </p>
      <p v-if="modelWords" class="lead">{{ modelWords }}</p>
      <p v-if="!state.closed" class="lead">The run stays open.</p>
      <div class="two">
        <section>
          <template v-for="plug in document.card.plugs" :key="plug.id">
            <h2>{{ plug.label }}: {{ heldWords(holdPlug(plug, false, 0)) }}</h2>
            <PlugFace print :card="document.card" :plug="plug" />
          </template>
          <WindingLine :card="document.card" :values="values" />
        </section>
        <section class="prove">
          <template v-if="state.finding.word !== 'fault-found'">
            <h2>What this does not prove</h2>
            <p v-for="one in notProved(state, figures)" :key="one.head">
              <strong>{{ one.head }}</strong> {{ one.text }}
            </p>
          </template>
          <template v-if="state.finding.open.length > 0"
            ><h2>Still open</h2>
            <p v-for="(one, i) in state.finding.open" :key="i">{{ openWords(state, one) }}</p></template
          >
          <h2>Not tested</h2>
          <p class="untested">
            <span v-for="one in notTested(state)" :key="one.what"
              ><VerdictMark mark="none" :size="11" /> {{ one.what
              }}<template v-if="one.why">, {{ one.why }}</template></span
            >
          </p>
          <h2>What would settle it</h2>
          <ol>
            <li v-for="(one, i) in wouldSettle(state, figures)" :key="i">
              <strong class="n">{{ i + 1 }}</strong> <strong>{{ one.head }}</strong> {{ one.text }}
            </li>
          </ol>
        </section>
      </div>
      <section>
        <h2>Seen</h2>
        <p v-for="look in looks" :key="look.id">
          {{ clock(look.at) }} {{ look.place }}:
          <strong>{{ look.what.map((what) => lookWords[what]).join(', ') }}</strong><template v-if="look.words"
            >, {{ look.words }}</template
          >
        </p>
        <p v-if="isolation?.kind === 'isolation'">
          {{ clock(isolation.at) }} {{ isolationWords[isolation.state] }}; {{ cautioned }} cautions acknowledged.
          {{ cautionFoot }}
        </p>
      </section>
      <section>
        <h2>Readings <span class="thin">in the order taken; brackets: limits; block: reading with ±2u</span></h2>
        <ReadingsTable :state="state" />
      </section>
      <section v-if="remarks.length > 0">
        <h2>Remarks, and the answers given</h2>
        <p v-for="one in remarks" :key="one.key" class="remark">
          <span class="n">{{ one.at }}</span><span>{{ one.severity }}</span
          ><span>{{ one.what }} {{ one.todo }}</span
          ><span>{{ one.answer }}</span>
        </p>
      </section>
      <section v-if="others.length > 0">
        <h2>Also on the tape</h2>
        <p v-for="one in others" :key="one.id" class="remark">
          <span class="n">{{ clock(one.at) }}</span><span>{{ one.kind }}</span
          ><span>{{
            one.kind === 'note'
              ? one.words
              : one.kind === 'skip'
                ? `${one.check}: ${one.reason}`
                : one.kind === 'work'
                  ? `${one.what}, ${one.place}. ${one.words ?? ''}`
                  : one.kind === 'outcome'
                    ? `${one.what}. ${one.words}`
                    : ''
          }}</span>
        </p>
      </section>
      <footer class="two">
        <section>
          <h2>To redo a line</h2>
          <p>
            Net: as taken less what the leads left in it. At reference: net × (234.5 + reference)/(234.5 + part °C),
            copper. u: meter (percent of reading + steps)/√3, digits step/√12, zero, temperature; squared, added,
            rooted. Within: the whole span ±2u inside the limits (guarded rule), unless the line says otherwise. A
            contact only adds, so a high reading stands only when read twice.
          </p>
        </section>
        <section>
          <h2>With what, and by whom</h2>
          <p>
            {{ meters.join('; ') }}. Card {{ document.card.name.maker }} {{ document.card.name.model }}, revision
            {{ document.card.revision }}.
            <template v-for="(one, i) in document.card.sources" :key="one.id"
              >S{{ i + 1 }} {{ one.title }} ({{ gradeWords[one.grade]
              }}{{ one.date ? `, ${day(one.date)}` : '' }}). </template
            >Taken by {{ by }}. Run <span class="n">{{ document.id }}</span>, core {{ coreVersion }}.
          </p>
        </section>
      </footer>
    </article>
    <p v-else class="sheet">{{ bench.missing || 'Opening the run …' }}</p>
  </main>
</template>

<style scoped>
.sheet-screen {
  padding: 0 0 40px;
}
.acts {
  display: flex;
  gap: 12px;
  padding: 12px 20px;
  align-items: center;
  border-bottom: 1px solid var(--hairline);
  background: var(--panel);
  flex-wrap: wrap;
}
.csv {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  padding: 0 16px;
  border: 1px solid var(--ink);
  border-radius: 2px;
  text-decoration: none;
  font-weight: 600;
}
.sheet {
  background: #fff;
  color: #000;
  max-width: 1000px;
  margin: 20px auto;
  padding: 34px 44px;
  font-size: 13px;
  line-height: 1.34;
  display: grid;
  gap: 10px;
  --paper: #fff;
  --panel: #fff;
  --ink: #000;
  --muted: #333;
  --hairline: #888;
  --copper: #000;
  --within: #000;
  --borderline: #000;
  --outside: #000;
  --wire-edge: #000;
}
header {
  display: grid;
  grid-template-columns: auto 1fr auto;
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
h1 {
  font-size: 32px;
  letter-spacing: -0.01em;
}
h2 {
  font-size: 13.5px;
  margin: 2px 0;
}
.lead {
  font-size: 15px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1.6fr;
  gap: 24px;
  border-top: 1.5px solid #000;
  padding-top: 8px;
}
footer.two {
  grid-template-columns: 1fr 1fr;
}
.prove {
  display: grid;
  gap: 3px;
  align-content: start;
}
.untested {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 14px;
}
.thin {
  font-weight: 400;
  margin-left: 8px;
}
.remark {
  display: grid;
  grid-template-columns: 46px 44px 1fr 200px;
  gap: 10px;
}
.sheet section {
  break-inside: auto;
}
@media (max-width: 900px) {
  .two,
  footer.two {
    grid-template-columns: 1fr;
  }
}
@media print {
  .acts {
    display: none;
  }
  .sheet-screen {
    padding: 0;
  }
  .sheet {
    margin: 0;
    padding: 0;
    max-width: none;
    font-size: 10.5px;
    gap: 7px;
  }
  h1 {
    font-size: 25px;
  }
  .lead {
    font-size: 12px;
  }
  h2 {
    font-size: 11.5px;
  }
  .two {
    grid-template-columns: 1fr 1.6fr;
  }
  footer.two {
    grid-template-columns: 1fr 1fr;
  }
}
@page {
  margin: 12mm;
}
</style>
