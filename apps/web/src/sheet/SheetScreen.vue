<script setup lang="ts">
import { coreVersion, type Evaluation } from '@sure-spool/core'
import { computed, onMounted, watch } from 'vue'
import { useRouter } from 'vue-router'
import KeyButton from '../parts/KeyButton.vue'
import { isTaken, useKeys } from '../parts/keys'
import PlugFace from '../parts/PlugFace.vue'
import { heldWords, holdPlug } from '../parts/plugLayout'
import ReadingRuler from '../parts/ReadingRuler.vue'
import VerdictMark from '../parts/VerdictMark.vue'
import WindingLine from '../parts/WindingLine.vue'
import { useBench } from '../store/bench'
import { useShop } from '../store/shop'
import { takenText, useFigures } from '../words/figures'
import { findingTitle, notProved, notTested, openWords, wouldSettle } from '../words/finding'
import {
  cautionFoot,
  complaintWords,
  decisionWords,
  familyWords,
  gradeWords,
  isolationWords,
  lookWords,
  verdictWords,
} from '../words/kinds'
import { foundLines } from '../words/lines'
import { reasonLine } from '../words/reasons'
import { remarkWords } from '../words/remarks'

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
const run = computed(() => bench.run)
const title = computed(() => (state.value ? findingTitle(state.value) : { title: '', line: '' }))
const lines = computed(() => (state.value ? foundLines(state.value, true) : []))
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
    ...remarkWords(one, run.value!.card, figures),
    answer: one.answered
      ? (one.answered.reason ?? (one.answered.by === 'cleared' ? 'cleared by a later reading' : 'kept'))
      : one.severity === 'stop'
        ? 'not answered'
        : '',
  })),
)
const entryAt = (id: string | undefined) => run.value?.entries.find((entry) => entry.id === id)?.at
const at = (id: string | undefined) => clock(entryAt(id))
const clock = (time: string | undefined) =>
  time === undefined
    ? ''
    : new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' }).format(new Date(time))
const day = (time: string | undefined) =>
  time === undefined
    ? ''
    : new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' }).format(new Date(time))
const person = (id: string) => shop.people.find((one) => one.id === id)?.name ?? id
const ended = computed(() => run.value?.entries.at(-1)?.at)
const by = computed(() => [...new Set((run.value?.entries ?? []).map((entry) => person(entry.by)))].join(', '))
const values = computed(() =>
  Object.fromEntries(
    (state.value?.checks ?? []).flatMap(({ check, points }) => {
      const one = points[0]?.evaluation
      const [winding] = [...check.touches]
      return one && check.touches.size === 1 && !check.toFrame && winding !== undefined
        ? [[winding, takenText(one, figures)]]
        : []
    }),
  ),
)
const fine = (value: number | undefined, digits = 4) => (value === undefined ? '' : figures.plain(value, digits))
const source = (one: Evaluation) => run.value?.card.sources.find((each) => each.id === one.limit?.limit.source)
const sourceNumber = (one: Evaluation) =>
  (run.value?.card.sources.findIndex((each) => each.id === one.limit?.limit.source) ?? -1) + 1
const limitText = (one: Evaluation) =>
  one.limit ? (one.limit.limit.text ?? (one.limit.limit.limit === 'derived' ? 'from its windings' : '')) : 'no limit'
const howGone = { retaken: 'taken again', 'taken-back': 'taken back', mistyped: 'mistyped' } as const
function arithmetic(one: Evaluation): string[] {
  const { parts, temperatureU, range, resolution = 0, taken = 0, accuracyAssumed, u, judged } = one
  if (!parts || u === undefined || judged === undefined) return []
  const percent = range?.percentOfReading ?? (accuracyAssumed ? 1 : 0)
  const counts = range?.counts ?? (accuracyAssumed ? 3 : 0)
  return [
    `(${fine((percent / 100) * Math.abs(taken))} + ${fine(counts * resolution)})/√3 = ${fine(parts.accuracy)}`,
    `${fine(resolution)}/√12 = ${fine(parts.resolution, 3)}`,
    ...(parts.lead > 0 ? [`zero ${fine(parts.lead, 3)}`] : []),
    ...(temperatureU ? [`temp. ${fine(Math.hypot(temperatureU.part, temperatureU.reference))}`] : []),
    `u ${fine(u)}, ±2u ${fine(2 * u, 3)}`,
    `${fine(judged - 2 * u)} – ${fine(judged + 2 * u)}`,
  ]
}
const meters = computed(() => {
  const used = new Set(
    (run.value?.entries ?? []).flatMap((entry) =>
      entry.kind === 'reading' && entry.reading.instrument ? [entry.reading.instrument] : [],
    ),
  )
  return (run.value?.instruments ?? [])
    .filter((one) => used.has(one.id))
    .map((one) => {
      const ohms = one.functions.find((each) => each.quantity === 'resistance')?.ranges[0]
      return `${one.name}, ${one.ranging === 'auto' ? 'ranges by itself' : 'ranged by hand'}${ohms?.percentOfReading === undefined ? '' : `, ${ohms.percentOfReading} % + ${ohms.counts ?? 0} steps on its lowest range`}`
    })
})
const isolation = computed(() => state.value?.tape.entries.findLast((entry) => entry.kind === 'isolation'))
const cautioned = computed(() => (run.value?.entries ?? []).filter((entry) => entry.kind === 'caution').length)

function save(name: string, type: string, text: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([text], { type }))
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
const saveJson = () =>
  run.value && save(`${run.value.unit.tag}-run.json`, 'application/json', `${JSON.stringify(run.value, null, 2)}\n`)
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
  document.documentElement.style.setProperty('--paper-size', shop.settings.paper)
})
</script>

<template>
  <main class="sheet-screen">
    <nav class="acts" aria-label="The sheet">
      <KeyButton main cap="p" label="print" @press="print" />
      <KeyButton label="save the run as JSON" @press="saveJson" />
      <a class="csv" :href="`/api/v1/runs/${props.run}/readings.csv`" download>readings as CSV</a>
      <KeyButton quiet cap="Esc" label="back to the bench" @press="back" />
    </nav>
    <article v-if="run && state" class="sheet">
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
          }}<template v-if="one.about?.length">
            ({{
              one.about.map((id) => run?.card.windings.find((winding) => winding.id === id)?.label ?? id).join(', ')
            }})</template
          >.</strong
        >
        “{{ one.why }}” {{ person(one.by) }}, {{ clock(one.at) }}.
      </p>
      <p v-if="!state.closed" class="lead">The run stays open.</p>
      <div class="two">
        <section>
          <template v-for="plug in run.card.plugs" :key="plug.id">
            <h2>{{ plug.label }}: {{ heldWords(holdPlug(plug, false, 0)) }}</h2>
            <PlugFace print :card="run.card" :plug="plug" />
          </template>
          <WindingLine :card="run.card" :values="values" />
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
        <table>
          <thead>
            <tr>
              <th>time</th>
              <th>points</th>
              <th>as taken</th>
              <th>net</th>
              <th>at ref.</th>
              <th>limits, source</th>
              <th class="strip">ruler</th>
              <th>verdict</th>
            </tr>
          </thead>
          <tbody v-for="line in lines" :key="line.key" :class="{ gone: line.gone }">
            <tr>
              <td class="figure">{{ at(line.key) }}</td>
              <td>
                <strong>{{ line.points }}</strong><template v-if="line.evaluation.entry.reading.contact === 'clips'"
                  >, clips</template
                ><br />{{ line.label }}
              </td>
              <td class="figure">
                <span :class="{ struck: line.gone }">{{ takenText(line.evaluation, figures) }}</span>
              </td>
              <td class="figure">{{ fine(line.evaluation.net) }}</td>
              <td class="figure">{{ fine(line.evaluation.judged) }}</td>
              <td>
                {{ limitText(line.evaluation) }}<br /><template v-if="source(line.evaluation)"
                  >S{{ sourceNumber(line.evaluation) }}, {{ gradeWords[line.evaluation.limit!.grade] }}</template
                >
              </td>
              <td class="strip">
                <ReadingRuler
                  small
                  :value="line.evaluation.judged ?? line.evaluation.net"
                  :u="line.evaluation.u ?? line.evaluation.netU"
                  :bound="line.evaluation.bound"
                  :min="line.evaluation.limit?.band.min"
                  :max="line.evaluation.limit?.band.max"
                  :quantity="line.evaluation.quantity"
                  :verdict="line.evaluation.verdict"
                  :held="line.held || line.gone !== undefined"
                />
              </td>
              <td class="verdict">
                <VerdictMark
                  :mark="line.gone || line.held ? 'none' : line.evaluation.verdict"
                  :side="line.side"
                  :size="13"
                />
                <strong>{{
                  line.gone
                    ? howGone[line.gone]
                    : line.earlierStage
                      ? 'before the repair'
                      : verdictWords[line.evaluation.verdict]
                }}</strong><br />{{
                  line.gone ? (line.evaluation.entry.reading.reason ?? '') : line.held ? 'held' : ''
                }}
              </td>
            </tr>
            <tr v-if="!line.gone">
              <td></td>
              <td colspan="7" class="sum">
                <span v-for="part in arithmetic(line.evaluation)" :key="part">{{ part }}</span><span class="why">{{
                  reasonLine(line.evaluation, figures)
                }}</span>
              </td>
            </tr>
          </tbody>
          <tbody v-for="one in state.relations.filter((each) => each.value !== undefined)" :key="one.relation.id">
            <tr>
              <td></td>
              <td colspan="5">
                <strong>{{ one.relation.label }}</strong>&nbsp;
                <span class="figure"
                  >{{
                    one.members.map((member) => fine(member.net)).join(one.relation.kind === 'ratio' ? ' / ' : ', ')
                  }}
                  → {{ fine(one.value, 3) }}, u {{ fine(one.u, 3)
                  }}<template v-if="one.sum">, allowed 2u + 1 % = {{ fine(one.sum.allowed) }}</template></span
                >
              </td>
              <td class="strip">
                <ReadingRuler
                  small
                  :value="one.value"
                  :u="one.u"
                  :min="one.limits?.min"
                  :max="one.limits?.max"
                  quantity="position"
                  :verdict="one.verdict"
                />
              </td>
              <td class="verdict">
                <VerdictMark :mark="one.verdict" :size="13" /> <strong>{{ verdictWords[one.verdict] }}</strong>
              </td>
            </tr>
          </tbody>
        </table>
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
            {{ meters.join('; ') }}. Card {{ run.card.name.maker }} {{ run.card.name.model }}, revision
            {{ run.card.revision }}.
            <template v-for="(one, i) in run.card.sources" :key="one.id"
              >S{{ i + 1 }} {{ one.title }} ({{ gradeWords[one.grade]
              }}{{ one.date ? `, ${day(one.date)}` : '' }}). </template
            >Taken by {{ by }}. Run <span class="n">{{ run.id }}</span>, core {{ coreVersion }}.
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
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 400;
  color: #333;
}
td,
th {
  padding: 2px 8px 2px 0;
  vertical-align: top;
}
tbody {
  border-top: 1px solid #000;
  break-inside: avoid;
}
td.figure {
  white-space: nowrap;
  font-size: 12.5px;
}
.strip {
  width: 220px;
}
.strip :deep(text) {
  font-size: 12px;
}
.verdict {
  white-space: nowrap;
}
.sum {
  font-family: var(--figures);
  font-size: 11.5px;
}
.sum span {
  margin-right: 14px;
}
.sum .why {
  font-family: var(--text);
  font-size: 12.5px;
}
.gone td {
  color: #444;
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
  td.figure,
  .sum .why {
    font-size: 10px;
  }
  .sum {
    font-size: 9.5px;
  }
  .two {
    grid-template-columns: 1fr 1.6fr;
  }
  footer.two {
    grid-template-columns: 1fr 1fr;
  }
  .strip {
    width: 190px;
  }
}
@page {
  margin: 12mm;
}
</style>
