<script setup lang="ts">
import { runState, sideOf, unitSign, type Evaluation } from '@sure-spool/core'
import { computed } from 'vue'
import KeyButton from '../parts/KeyButton.vue'
import PlugFace from '../parts/PlugFace.vue'
import ReadingRuler from '../parts/ReadingRuler.vue'
import { heldWords, holdPlug } from '../parts/plugLayout'
import { useHold } from '../parts/useHold'
import VerdictMark from '../parts/VerdictMark.vue'
import { useBench } from '../store/bench'
import { conditionWords } from '../words/conditions'
import { takenParts, useFigures } from '../words/figures'
import { verdictWords } from '../words/kinds'
import { placeQuantity, takenAt } from '../words/points'
import { reasonLine } from '../words/reasons'
import { isBare, keptText, type Line } from './line'
import SetPicture from './SetPicture.vue'

/** A pair to touch: the plug as it is held, the figure, its ruler and its reason; live while a number is typed. */
const props = defineProps<{ line: Line | null; problem: string; asleep: boolean }>()
const emit = defineEmits<{ type: [text: string] }>()
const bench = useBench()
const figures = useFigures()
const step = computed(() => (bench.current?.step.kind === 'reading' ? bench.current.step : undefined))
const pair = computed(() => step.value?.point.pair)

const plugs = computed(() => {
  const all = (bench.run?.card.plugs ?? []).filter((plug) => plug.cavities.length > 0)
  const touched = all.filter((plug) =>
    plug.cavities.some((cavity) => cavity.terminal !== null && pair.value?.includes(cavity.terminal)),
  )
  return touched.length > 0 ? touched : all.slice(0, 1)
})
/** one of several that are looked at together: bars, leads, places on a curve */
const inSet = computed(() => step.value?.point.index !== undefined || step.value?.point.x !== undefined)
const { hold, flip, turn } = useHold(() => `${bench.run?.card.id ?? ''}.${plugs.value[0]?.id ?? ''}`)
const seen = computed(() =>
  plugs.value
    .map((plug) => {
      const held = heldWords(holdPlug(plug, hold.value.flipped, hold.value.turns))
      return plug.adaptor === undefined ? held : `${held}. ${plug.adaptor}`
    })
    .join('; '),
)
defineExpose({ flip, turn })

/** The typed number judged as if it were kept: the same core, a tape one entry longer. */
const live = computed<Evaluation | undefined>(() => {
  const { run, check } = bench
  if (!props.line || !run || !check || !step.value) return undefined
  const made = bench.readingOf(keptText(props.line))
  if ('problem' in made || (made.reading.kind !== 'value' && made.reading.kind !== 'spread')) return undefined
  const n = Math.max(0, ...run.entries.map((entry) => entry.n)) + 1
  const entry = {
    id: 'live',
    run: run.id,
    n,
    at: new Date().toISOString(),
    by: '',
    kind: 'reading' as const,
    check: check.id,
    reading: made.reading,
  }
  return runState({ ...run, entries: [...run.entries, entry] }).evaluations.get('live')
})
const retaking = computed(() => bench.doing !== null)
const own = computed(() => (retaking.value ? undefined : bench.evaluationOf(bench.current?.entry)))
const shown = computed(() =>
  props.line ? live.value : (own.value ?? (retaking.value ? undefined : bench.lastReading)),
)
const isOther = computed(() => props.line === null && shown.value !== undefined && shown.value !== own.value)
const heldIds = computed(
  () =>
    new Set(
      (bench.state?.checks ?? []).flatMap((one) =>
        one.points.flatMap((point) => (point.held && point.evaluation ? [point.evaluation.entry.id] : [])),
      ),
    ),
)
const held = computed(() => shown.value !== undefined && heldIds.value.has(shown.value.entry.id))

const digits = computed(() => {
  if (props.line) return props.line.text === '' ? ' ' : props.line.text
  return shown.value ? takenParts(shown.value, figures).digits : '–'
})
const unit = computed(() => {
  if (props.line) return isBare(props.line.text) ? `${props.line.prefix}${unitSign(bench.quantity)}` : ''
  return shown.value ? takenParts(shown.value, figures).unit : ''
})
const prefixNames: Record<string, string> = { k: 'kilo', M: 'mega', G: 'giga', m: 'milli' }
const prefixName = computed(() =>
  props.line && isBare(props.line.text) && bench.limit?.expectOpen
    ? (prefixNames[props.line.prefix] ?? 'plain ohms')
    : '',
)
const rulerOf = computed(() => shown.value ?? undefined)
const band = computed(() => (rulerOf.value ? (rulerOf.value.limit?.band ?? {}) : (bench.limit?.band ?? {})))
const past = computed(() => {
  const here = shown.value
  const { tape } = bench.state ?? {}
  if (!here || !tape) return []
  const { index } = here.entry.reading
  const others = (bench.run?.compare ?? []).flatMap(({ as, tag, figures: all }) =>
    all
      .filter((one) => one.check === here.check.id && one.index === index && samePair(one.pair, here.pair))
      .map(({ value }) => ({ value, label: as === 'earlier' ? 'last run' : tag })),
  )
  const before = [...(bench.state?.evaluations.values() ?? [])]
    .filter(
      (one) =>
        one.point === here.point && one.entry.id !== here.entry.id && tape.gone.get(one.entry.id)?.how === 'retaken',
    )
    .flatMap((one) =>
      one.judged === undefined && one.net === undefined ? [] : [{ value: one.judged ?? one.net ?? 0, label: 'before' }],
    )
  return [...before, ...others]
})
const samePair = (a: [string, string] | undefined, b: [string, string] | undefined): boolean =>
  a === undefined || b === undefined || (b.includes(a[0]) && b.includes(a[1]))
const aim = computed(() => {
  const sum = bench.state?.relations.find(
    (one) => one.relation.kind === 'sum' && one.verdict === 'outside' && one.members.at(-1) === shown.value,
  )
  if (!sum?.sum) return undefined
  return { value: sum.sum.impliedWhole, label: `parts add to ${figures.plain(sum.sum.impliedWhole)}` }
})
const verdictLine = computed(() => {
  const one = shown.value
  if (!one) return ''
  const verdict = held.value ? `${verdictWords[one.verdict]}, but held` : verdictWords[one.verdict]
  const reason = reasonLine(one, figures)
  return reason === '' ? verdict : `${verdict}: ${reason}`
})
const conditionsLine = computed(() => {
  const one = shown.value
  if (!one || one.u === undefined) return ''
  const parts = [`±${figures.expanded(one.u, one.quantity)}`]
  if (one.leads) parts.push(one.leads.from === 'assumed' ? '0.2 Ω of leads assumed' : 'less leads')
  if (one.reference && one.temperature?.partC !== undefined)
    parts.push(
      `part at ${figures.temperature(one.temperature.partC)}${one.temperature.from === 'measured' ? '' : ', not measured'}`,
    )
  return parts.join(', ')
})
const instruction = computed(() => {
  const { check, meter } = bench
  if (!check) return ''
  const lines = []
  if (check.kind === 'ac-output') lines.push('AC volts.')
  else if (check.kind === 'dc-output') lines.push('DC volts.')
  else if (meter?.ranging === 'hand') lines.push(`On ${bench.rangeAsked}.`)
  else lines.push(`On ${bench.rangeAsked || 'ohms'} or auto.`)
  const place = placeQuantity(check)
  if (place === 'length') lines.push('Type the ohms, then @ and the length: 2.31k @ 0.41.')
  else if (place !== undefined) lines.push('Another place: type it behind an @.')
  if (check.kind === 'insulation') lines.push('Type the volts with the ohms: 500V 2.1G.')
  const under = bench.run ? conditionWords(bench.run.card, check.conditions, figures).join(', ') : ''
  if (under !== '') lines.push(`${under.charAt(0).toUpperCase()}${under.slice(1)}.`)
  if (check.how?.either) lines.push('Leads may be swapped.')
  if (check.how?.note) lines.push(check.how.note)
  else if (check.toFrame) lines.push('Bare metal, not paint.')
  return lines.join(' ')
})
const cautions = computed(() => bench.current?.step.cautions ?? [])
</script>

<template>
  <div class="reading-work">
    <div class="how">
      <p class="instruction">{{ instruction }}</p>
      <slot name="caps" />
    </div>
    <slot name="cautions" :cautions="cautions" />
    <div class="middle">
      <div v-if="inSet && bench.check" class="plug">
        <SetPicture :check="bench.check" :here="step?.point.index ?? step?.point.x" />
      </div>
      <div v-else-if="plugs.length > 0" class="plug">
        <PlugFace
          v-for="plug in plugs"
          :key="plug.id"
          :card="bench.run!.card"
          :plug="plug"
          :ring="pair"
          :flipped="hold.flipped"
          :turns="hold.turns"
        />
        <p class="seen">
          <span>{{ seen }}</span><KeyButton quiet cap="f" label="flip" :asleep="asleep" @press="flip" />
        </p>
      </div>
      <div class="figure-side" :class="{ alone: !inSet && plugs.length === 0 }">
        <p v-if="isOther && shown" class="caption">{{ takenAt(bench.run!.card, shown, figures) }}, just read</p>
        <p v-else-if="line" class="caption">typing, Enter keeps</p>
        <p v-else-if="retaking" class="caption">
          {{ bench.doing?.mistyped ? 'what does the meter show?' : 'lift the probes, then touch again' }}
        </p>
        <label class="figure-box">
          <span class="unseen">Type the reading</span>
          <input
            class="tap"
            data-line
            inputmode="decimal"
            autocomplete="off"
            tabindex="-1"
            :value="line?.text ?? ''"
            @input="emit('type', ($event.target as HTMLInputElement).value)"
          />
          <span
            class="big n"
            :class="{ long: digits.length > 6, longer: digits.length > 9, open: line !== null, other: isOther }"
            data-testid="figure"
            >{{ digits }}</span
          >
          <span class="unit n">{{ unit }}</span>
          <span v-if="prefixName" class="prefix">{{ prefixName }}</span>
        </label>
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <template v-else-if="shown">
          <p class="verdict">
            <VerdictMark :mark="held ? 'none' : shown.verdict" :side="sideOf(shown)" :size="19" /><span
              data-testid="verdict"
              >{{ verdictLine }}</span
            >
          </p>
          <p class="conditions">{{ conditionsLine }}</p>
        </template>
      </div>
    </div>
    <ReadingRuler
      v-if="band.min !== undefined || band.max !== undefined"
      :value="rulerOf?.judged ?? rulerOf?.net"
      :u="rulerOf?.u ?? rulerOf?.netU"
      :bound="rulerOf?.bound"
      :min="band.min"
      :max="band.max"
      :quantity="rulerOf?.quantity ?? bench.quantity"
      :verdict="rulerOf?.verdict"
      :held="held || line !== null"
      :ticks="past"
      :aim="aim"
    />
    <p class="unseen" aria-live="polite">
      {{
        line === null && shown
          ? `${takenAt(bench.run!.card, shown, figures)} ${takenParts(shown, figures).digits} ${takenParts(shown, figures).unit}, ${verdictLine}`
          : ''
      }}
    </p>
  </div>
</template>

<style scoped>
.reading-work {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
  flex: 1;
}
.how {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
}
.instruction {
  font-size: 18px;
}
.middle {
  flex: 0 1 auto;
  min-height: 190px;
  display: grid;
  grid-template-columns: minmax(240px, 44%) 1fr;
  gap: 24px;
  grid-template-rows: minmax(0, 1fr);
  align-items: start;
}
.plug {
  min-width: 0;
  min-height: 0;
  max-height: 100%;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.plug :deep(.face) {
  min-height: 0;
  flex: 0 1 214px;
}
.plug :deep(svg) {
  height: 100%;
  max-height: 214px;
}
.seen {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  color: var(--muted);
  font-size: 16px;
}
.figure-side {
  min-width: 0;
  display: grid;
  gap: 6px;
  align-content: start;
}
.figure-side.alone {
  grid-column: 1 / -1;
}
.caption {
  color: var(--muted);
  min-height: 22px;
}
.figure-box {
  display: flex;
  align-items: baseline;
  gap: 12px;
  border-bottom: 2px solid var(--ink);
  min-height: 108px;
  position: relative;
  cursor: text;
  flex-wrap: nowrap;
  overflow: hidden;
}
.tap {
  position: absolute;
  inset: 0;
  opacity: 0;
  width: 100%;
  border: 0;
}
.figure-box:focus-within {
  border-color: var(--copper);
}
.big {
  font-size: 92px;
  font-weight: 700;
  line-height: 1.1;
  letter-spacing: -0.03em;
}
.big.long {
  font-size: 68px;
}
.big.longer {
  font-size: 44px;
  overflow: hidden;
}
.big.open {
  color: var(--ink);
  border-right: 4px solid var(--copper);
}
.big.other {
  color: var(--muted);
}
.unit {
  font-size: 38px;
  font-weight: 600;
  white-space: nowrap;
}
.prefix {
  font-size: 20px;
  color: var(--copper);
  font-weight: 650;
}
.verdict {
  display: flex;
  gap: 12px;
  align-items: center;
  font-size: 18px;
  font-weight: 600;
  line-height: 1.25;
}
.conditions {
  color: var(--muted);
}
.problem {
  color: var(--outside);
  font-weight: 650;
  font-size: 18px;
}
@media (max-width: 1100px) {
  .figure-box {
    min-height: 80px;
  }
  .big {
    font-size: 66px;
  }
  .big.long {
    font-size: 56px;
  }
  .unit {
    font-size: 30px;
  }
}
@media (max-width: 900px) {
  .middle {
    grid-template-columns: 1fr 1fr;
  }
  .big {
    font-size: 88px;
  }
}
</style>
