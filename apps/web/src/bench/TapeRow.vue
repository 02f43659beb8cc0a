<script setup lang="ts">
import { quantityOf, sideOf, type Comparison, type Entry } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import ScreenKey from '../keys/ScreenKey.vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { afterPaint } from '../store/afterPaint'
import { useAfterPaint } from '../screen/useAfterPaint'
import { useBench } from '../store/bench'
import { takenParts, useFigures } from '../words/figures'
import { decisionWords, goneWords, isolationWords, lookWords, outcomeWords, placeWords } from '../words/kinds'
import { takenAt } from '../words/points'
import { takenUnder } from '../words/takenUnder'
import { clock } from '../words/times'
import { workDone } from '../words/works'

/** The tape: everything in order, superseded readings struck with how. */
const bench = useBench()
useAfterPaint(() => bench.state)
const figures = useFigures()
const strip = ref<HTMLElement | null>(null)
const hidden = new Set(['take-back', 'caution'])

interface Slip {
  id: string
  head: string
  figure: string
  unit: string
  foot: string
  mark: 'within' | 'borderline' | 'outside' | 'none' | 'done' | 'flagged' | 'skipped' | undefined
  side: 'high' | 'low' | 'other'
  struck: boolean
}

const slips = computed<Slip[]>(() => {
  const { state } = bench
  if (!state) return []
  return state.tape.entries.filter((entry) => !hidden.has(entry.kind)).map((entry) => slipOf(entry))
})

function slipOf(entry: Entry): Slip {
  const { tape, run } = bench.state ?? {}
  const gone = tape?.gone.get(entry.id)
  const base = {
    id: entry.id,
    figure: '',
    unit: '',
    foot: clock(entry.at),
    mark: undefined,
    side: 'other' as const,
    struck: gone !== undefined,
  }
  const how = gone ? goneSaid(gone) : ''
  switch (entry.kind) {
    case 'reading': {
      const evaluation = bench.evaluationOf(entry.id)
      if (!evaluation || !run) return { ...base, head: entry.check }
      const held =
        bench.state?.checks.some((check) =>
          check.points.some((point) => point.held && point.evaluation?.entry.id === entry.id),
        ) ?? false
      const { digits, unit, moves = '' } = takenParts(evaluation, figures)
      return {
        ...base,
        head: takenAt(run.card, evaluation, figures),
        figure: digits,
        unit,
        mark: gone ? undefined : held ? 'none' : evaluation.verdict,
        side: sideOf(evaluation),
        foot: `${[clock(entry.at), moves, takenUnder(run.card, evaluation, figures)].filter((one) => one !== '').join(' ')} ${how || (held ? 'held' : evaluation.verdict === 'within' ? '' : evaluation.verdict === 'none' ? 'not judged' : evaluation.verdict)}`,
      }
    }
    case 'lead-check':
      return {
        ...base,
        head: 'leads together',
        figure: entry.text,
        unit: 'Ω',
        mark: 'done',
        foot: `${clock(entry.at)} ${entry.how === 'hardware' ? 'zeroed' : entry.how === 'carried' ? 'from before' : 'taken off'}${entry.from ? `, serves the tray since ${clock(entry.from.at)}` : ''} ${how}`,
      }
    case 'temperature':
      return {
        ...base,
        head: entry.part === 'room' ? 'room' : 'part',
        figure: figures.temperature(entry.partC ?? entry.roomC ?? 0),
        unit: '',
      }
    case 'proof':
      return { ...base, head: 'same metal', figure: entry.text ?? '', unit: entry.text ? 'Ω' : '', mark: 'done' }
    case 'supply':
      return {
        ...base,
        head: entry.while === 'on' ? 'volts, loaded' : 'volts, unloaded',
        figure: entry.text,
        unit: 'V',
        mark: 'done',
      }
    case 'isolation':
      return {
        ...base,
        head: 'isolated',
        figure: '',
        foot: `${clock(entry.at)} ${isolationWords[entry.state]}`,
        mark: 'done',
      }
    case 'look':
      return {
        ...base,
        head: entry.what.map((what) => lookWords[what]).join(', '),
        mark: entry.what.every((what) => what === 'sound') ? 'done' : 'flagged',
        foot: `${clock(entry.at)} ${entry.words ?? ''}`,
      }
    case 'point':
      return { ...base, head: `new point: ${entry.terminal.label}`, foot: `${clock(entry.at)} ${how}` }
    case 'compare':
      return {
        ...base,
        head: `beside: ${entry.with.tag}`,
        figure: comparedWith(entry.with),
        foot: `${clock(entry.at)} ${how}`,
      }
    case 'work':
      return { ...base, head: run ? workDone(run.card, entry) : entry.what, mark: 'done' }
    case 'place':
      return { ...base, head: placeWords[entry.where] }
    case 'outcome':
      return { ...base, head: outcomeWords[entry.what], foot: `${clock(entry.at)} ${entry.words}` }
    case 'skip':
      return { ...base, head: 'skipped', mark: 'skipped', foot: `${clock(entry.at)} ${entry.reason}` }
    case 'answer':
      return { ...base, head: 'kept, because', foot: `${clock(entry.at)} ${entry.reason}` }
    case 'note':
      return { ...base, head: 'note', foot: `${clock(entry.at)} ${entry.words}` }
    case 'decision':
      return { ...base, head: `decided: ${decisionWords[entry.what]}`, foot: `${clock(entry.at)} ${entry.why}` }
    default:
      return { ...base, head: entry.kind }
  }
}

/** Why it is out of use; what was entered again says it better than that it was mistyped. */
function goneSaid({ how, by }: { how: keyof typeof goneWords; by: Entry }): string {
  if (by.kind === 'take-back') return `${goneWords[how]}: ${by.reason}`
  return (how === 'mistyped' && by.kind === 'reading' && by.reading.reason) || goneWords[how]
}

/** The figures of a reference, as many as fit on a slip. */
const comparedWith = ({ figures: read }: Comparison): string =>
  read
    .map(({ check, value }) => figures.bound(value, quantityOf(bench.state?.prepared.checks.get(check) ?? ohms)))
    .join(', ')
const ohms = { kind: 'resistance' } as const

watch(
  () => slips.value.length,
  () => afterPaint(() => strip.value?.scrollTo({ left: strip.value.scrollWidth })),
  { immediate: true },
)
const counts = computed(() => {
  const all = slips.value.filter((one) => !one.struck)
  return (['within', 'borderline', 'outside', 'none'] as const).map((mark) => ({
    mark,
    count: all.filter((one) => one.mark === mark).length,
  }))
})
</script>

<template>
  <footer class="tape">
    <div class="head">
      <p class="strong">
        Tape
        <span class="counts"
          ><template v-for="one in counts" :key="one.mark"
            ><VerdictMark :mark="one.mark" :size="11" /><span class="n">{{ one.count }}</span></template
          ></span
        >
      </p>
      <ScreenKey quiet act="undo" />
    </div>
    <ol ref="strip" class="strip" tabindex="0" aria-label="Tape, oldest first">
      <li v-for="(slip, i) in slips" :key="slip.id" :class="{ last: i === slips.length - 1 }">
        <p class="what">{{ slip.head }}</p>
        <p class="fig">
          <VerdictMark v-if="slip.mark" :mark="slip.mark" :side="slip.side" :size="15" /><span
            class="n"
            :class="{ struck: slip.struck }"
            >{{ slip.figure }}<small v-if="slip.unit"> {{ slip.unit }}</small></span
          >
        </p>
        <p class="foot">{{ slip.foot }}</p>
      </li>
    </ol>
  </footer>
</template>

<style scoped>
.tape {
  contain: layout paint style;
  grid-area: tape;
  display: flex;
  border-top: 1px solid var(--ink);
  background: var(--panel);
  min-width: 0;
  height: 104px;
}
.head {
  flex: none;
  width: 236px;
  padding: 8px 12px 0 20px;
  border-right: 1px solid var(--hairline);
  display: grid;
  align-content: start;
}
.counts {
  display: inline-flex;
  gap: 3px;
  align-items: center;
  font-weight: 400;
  margin-left: 6px;
  font-size: 15px;
}
.strip {
  display: flex;
  overflow-x: auto;
  flex: 1;
  min-width: 0;
}
.strip li {
  flex: 0 0 auto;
  width: 180px;
  padding: 9px 14px;
  border-right: 1px dashed var(--hairline);
  min-width: 0;
}
.strip li.last {
  background: var(--tint);
}
.strip p {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.fig {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 31px;
}
.fig .n {
  font-size: 22px;
  font-weight: 600;
}
small {
  margin-left: 4px;
  font-size: 16px;
  font-weight: 400;
}
.foot {
  color: var(--muted);
  font-size: 15px;
}
</style>
