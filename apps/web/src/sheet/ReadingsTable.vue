<script setup lang="ts">
import { lastPlace, type Evaluation, type RunState } from '@sure-spool/core'
import { computed } from 'vue'
import ReadingRuler from '../drawings/ReadingRuler.vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { takenText, useFigures } from '../words/figures'
import { goneWords, gradeWords, verdictWords } from '../words/kinds'
import { limitSaid } from '../words/limits'
import { foundLines, onRuler, relationUnit } from '../words/lines'
import { reasonLine } from '../words/reasons'
import { clock } from '../words/times'

/** Every reading with the arithmetic of its verdict on a line below, and the checks between readings. */
const props = defineProps<{ state: RunState }>()
const figures = useFigures()
const lines = computed(() => foundLines(props.state, true, figures))
const fine = (value: number | undefined, digits = 4) => (value === undefined ? '' : figures.plain(value, digits))
const source = (one: Evaluation) => props.state.run.card.sources.find((each) => each.id === one.limit?.source)
const sourceNumber = (one: Evaluation) =>
  props.state.run.card.sources.findIndex((each) => each.id === one.limit?.source) + 1
const limitText = (one: Evaluation) => (one.limit ? limitSaid(one.limit) : 'no limit')
/** what the same point read in this unit's last run, at 20 °C */
const earlier = computed(() => props.state.run.compare?.find((one) => one.as === 'earlier'))
const before = ({ check, pair, entry }: Evaluation) =>
  earlier.value?.figures.find(
    (one) =>
      one.check === check.id &&
      one.index === entry.reading.index &&
      (!one.pair || !pair || one.pair.every((id) => pair.includes(id))),
  )
function arithmetic(one: Evaluation): string[] {
  const { parts, temperatureU, range, resolution = 0, taken = 0, accuracyAssumed, u, judged } = one
  if (!parts || u === undefined || judged === undefined) return []
  const worth = [`u ${fine(u)}, ±2u ${fine(2 * u, 3)}`, `${fine(judged - 2 * u)} – ${fine(judged + 2 * u)}`]
  if (one.entry.reading.method === 'volts-over-amps')
    return [`meters ${fine(parts.accuracy)}`, `digits ${fine(parts.resolution, 3)}`, ...worth]
  const percent = range?.percentOfReading ?? (accuracyAssumed ? 1 : 0)
  const counts = range?.counts ?? (accuracyAssumed ? 3 : 0)
  return [
    `(${fine((percent / 100) * Math.abs(taken))} + ${fine(counts * resolution)})/√3 = ${fine(parts.accuracy)}`,
    `${fine(lastPlace(one))}/√12 = ${fine(parts.resolution, 3)}`,
    ...(parts.lead > 0 ? [`zero ${fine(parts.lead, 3)}`] : []),
    ...(temperatureU ? [`temp. ${fine(Math.hypot(temperatureU.part, temperatureU.reference))}`] : []),
    ...worth,
  ]
}
/** leads and temperature move ohms alone; what else was read stands as taken */
const inOhms = ({ quantity }: Evaluation) => quantity === 'resistance'
</script>

<template>
  <table>
    <thead>
      <tr>
        <th>time</th>
        <th>points</th>
        <th>as taken</th>
        <th>net</th>
        <th>at ref.</th>
        <th v-if="earlier">last run</th>
        <th>limits, source</th>
        <th class="strip">ruler</th>
        <th>verdict</th>
      </tr>
    </thead>
    <tbody v-for="line in lines" :key="line.key" :class="{ gone: line.gone }">
      <tr>
        <td class="figure">{{ clock(line.evaluation.entry.at) }}</td>
        <td>
          <strong>{{ line.points }}</strong><template v-if="line.evaluation.entry.reading.contact === 'clips'"
            >, clips</template
          ><template v-if="line.under">, {{ line.under }}</template
          ><br />{{ line.label }}
        </td>
        <td class="figure">
          <span :class="{ struck: line.gone }">{{ takenText(line.evaluation, figures) }}</span>
        </td>
        <td class="figure">{{ inOhms(line.evaluation) ? fine(line.evaluation.net) : '' }}</td>
        <td class="figure">{{ inOhms(line.evaluation) ? fine(line.evaluation.judged) : '' }}</td>
        <td v-if="earlier" class="figure">{{ fine(before(line.evaluation)?.value) }}</td>
        <td>
          {{ limitText(line.evaluation) }}<br /><template v-if="source(line.evaluation)"
            >S{{ sourceNumber(line.evaluation) }}, {{ gradeWords[line.evaluation.limit!.grade] }}</template
          >
        </td>
        <td class="strip">
          <ReadingRuler small v-bind="onRuler(line.evaluation)" :held="line.held || line.gone !== undefined" />
        </td>
        <td class="verdict">
          <VerdictMark :mark="line.gone || line.held ? 'none' : line.evaluation.verdict" :side="line.side" :size="13" />
          <strong>{{
            line.gone
              ? goneWords[line.gone]
              : line.aside === 'earlier'
                ? 'before the repair'
                : line.aside === 'again'
                  ? 'read again'
                  : verdictWords[line.evaluation.verdict]
          }}</strong><br />{{ line.gone ? (line.evaluation.entry.reading.reason ?? '') : line.held ? 'held' : '' }}
        </td>
      </tr>
      <tr v-if="!line.gone">
        <td></td>
        <td :colspan="earlier ? 8 : 7" class="sum">
          <span v-for="part in arithmetic(line.evaluation)" :key="part">{{ part }}</span><span
            v-if="line.evaluation.verdict !== 'within' || line.evaluation.bound !== undefined"
            class="why"
            >{{ reasonLine(line.evaluation, figures) }}</span
          >
        </td>
      </tr>
    </tbody>
    <tbody v-for="one in state.relations.filter((each) => each.value !== undefined)" :key="one.relation.id">
      <tr>
        <td></td>
        <td :colspan="earlier ? 6 : 5">
          <strong>{{ one.relation.label }}</strong>&nbsp;
          <span class="figure"
            >{{ one.members.map((member) => fine(member.net)).join(one.relation.kind === 'ratio' ? ' / ' : ', ') }} →
            {{ [fine(one.value, 3), relationUnit(one.relation)].join(' ').trim() }}, u {{ fine(one.u, 3)
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
</template>

<style scoped>
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
.verdict :deep(.mark) {
  margin-right: 5px;
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
@media print {
  td.figure,
  .sum .why {
    font-size: 10px;
  }
  .sum {
    font-size: 9.5px;
  }
  .strip {
    width: 190px;
  }
}
</style>
