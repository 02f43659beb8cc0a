<script setup lang="ts">
import { entriesThatStand, type RunState } from '@sure-spool/core'
import { computed } from 'vue'
import ReadingRuler from '../drawings/ReadingRuler.vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { takenParts, useFigures } from '../words/figures'
import { lookWords } from '../words/kinds'
import PhotoStrip from '../photos/PhotoStrip.vue'
import { lookSaid, runPhotos } from '../words/looks'
import { lineGroups, onRuler, relationUnit, type FoundLine } from '../words/lines'
import { reasonLine } from '../words/reasons'

/** What was seen and read, a line each with its ruler; what holds between readings; what was read twice. */
const props = defineProps<{ state: RunState; lines: FoundLine[] }>()
const figures = useFigures()
/** What another meter read stands under the reading that is judged there. */
const pairedUp = (lines: FoundLine[]) =>
  lines.flatMap((line) =>
    line.aside
      ? []
      : [line, ...lines.filter(({ aside, evaluation }) => aside && evaluation.point === line.evaluation.point)],
  )
const groups = computed(() =>
  lineGroups
    .map((name) => ({
      name,
      lines: pairedUp(props.lines.filter((line) => line.group === name && line.gone === undefined)),
    }))
    .filter((group) => group.lines.length > 0),
)
const retaken = computed(() =>
  props.lines.filter((line) => line.gone === 'retaken' && line.evaluation.verdict === 'outside'),
)
const retakenBecause = (entry: string) => {
  const by = props.state.tape.gone.get(entry)?.by
  return (by?.kind === 'reading' && by.reading.reason) || 'taken again'
}
/** how it was taken, and what it did, behind its name */
const saidBeside = ({ under, evaluation }: FoundLine) =>
  [under, takenParts(evaluation, figures).moves ?? ''].map((one) => (one === '' ? '' : `, ${one}`)).join('')
const photos = computed(() => runPhotos(props.state))
/** what was seen last at each place: an earlier look there is superseded */
const looks = computed(() => [
  ...new Map(entriesThatStand(props.state.tape, 'look').map((look) => [look.place, look])).values(),
])
</script>

<template>
  <section class="lines" aria-label="What was read" tabindex="0">
    <p v-for="look in looks" :key="look.id" class="look row">
      <span class="group strong">Look</span
      ><VerdictMark :mark="look.what.includes('sound') ? 'done' : 'flagged'" /><span
        ><strong>{{ look.what.map((what) => lookWords[what]).join(', ') }}</strong
        ><small>{{ lookSaid(look) }}</small></span
      >
    </p>
    <PhotoStrip class="photos" :photos="photos" />
    <template v-for="group in groups" :key="group.name">
      <div v-for="(line, i) in group.lines" :key="line.key" class="row">
        <span class="group strong">{{ i === 0 ? group.name : '' }}</span>
        <VerdictMark :mark="line.held ? 'none' : line.evaluation.verdict" :side="line.side" />
        <span class="what"
          ><strong>{{ line.points }}</strong
          >{{ saidBeside(line)
          }}<small
            >{{ line.label }}; {{ reasonLine(line.evaluation, figures)
            }}<template v-if="line.held">; held</template></small
          ></span
        >
        <span class="fig n"
          >{{ takenParts(line.evaluation, figures).digits
          }}<small>{{ takenParts(line.evaluation, figures).unit }}</small></span
        >
        <ReadingRuler
          small
          v-bind="onRuler(line.evaluation)"
          :unit="takenParts(line.evaluation, figures).unit"
          :held="line.held"
        />
      </div>
    </template>
    <div
      v-for="relation in state.relations.filter((one) => one.value !== undefined)"
      :key="relation.relation.id"
      class="row"
    >
      <span class="group strong">Together</span>
      <VerdictMark :mark="relation.verdict" />
      <span class="what"
        ><strong>{{ relation.relation.label }}</strong
        ><small v-if="relation.sum">left over, allowed 2u + 1 % of the whole</small></span
      >
      <span class="fig n"
        >{{ relation.sum && (relation.value ?? 0) > 0 ? '+' : '' }}{{ figures.plain(relation.value ?? 0, 3)
        }}<small>{{ relationUnit(relation.relation) }}</small></span
      >
      <ReadingRuler
        small
        :value="relation.value"
        :u="relation.u"
        :min="relation.limits?.min"
        :max="relation.limits?.max"
        quantity="position"
        :verdict="relation.verdict"
      />
    </div>
    <div v-for="line in retaken" :key="line.key" class="row">
      <span class="group strong">Read twice</span>
      <VerdictMark mark="none" />
      <span class="what"
        ><strong>{{ line.points }}, before</strong>{{ saidBeside(line)
        }}<small>{{ reasonLine(line.evaluation, figures) }}; {{ retakenBecause(line.key) }}</small></span
      >
      <span class="fig n"
        ><span class="struck">{{ takenParts(line.evaluation, figures).digits }}</span
        ><small>{{ takenParts(line.evaluation, figures).unit }}</small></span
      >
      <ReadingRuler small held v-bind="onRuler(line.evaluation)" :unit="takenParts(line.evaluation, figures).unit" />
    </div>
  </section>
</template>

<style scoped>
.photos {
  padding: 10px 20px;
}
.lines {
  overflow: auto;
  border-right: 1px solid var(--hairline);
}
.row {
  display: grid;
  grid-template-columns: 92px 40px minmax(0, 1fr) auto 260px;
  gap: 12px;
  align-items: center;
  padding: 3px 20px;
  min-height: 48px;
  border-bottom: 1px dashed var(--hairline);
}
.row small {
  display: block;
  color: var(--muted);
  font-size: 15px;
  line-height: 1.25;
}
.look {
  grid-template-columns: 92px 40px minmax(0, 1fr);
}
.fig {
  font-size: 22px;
  font-weight: 600;
  text-align: right;
}
.fig small {
  display: inline;
  font-size: 16px;
  margin-left: 6px;
  font-weight: 400;
}
@media (max-width: 1100px) {
  .row {
    grid-template-columns: 84px 40px minmax(0, 1fr) auto;
  }
  .row :deep(.ruler) {
    grid-column: 3 / -1;
  }
}
@media (max-width: 900px) {
  .lines {
    overflow: visible;
  }
}
</style>
