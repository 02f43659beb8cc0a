<script setup lang="ts">
import type { Mark } from '@sure-spool/contract'
import { sideOf, stillOff, type StepState } from '@sure-spool/core'
import { useResizeObserver } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import VerdictMark from '../drawings/VerdictMark.vue'
import { afterPaint } from '../store/afterPaint'
import { useAfterPaint } from '../screen/useAfterPaint'
import { useBench } from '../store/bench'
import { takenParts, useFigures } from '../words/figures'
import { capital } from '../words/capital'
import { groupWords } from '../words/kinds'
import { checkLabel } from '../words/points'
import { stepLabel } from '../words/steps'
import { workPlace } from '../words/works'

/** The path in working order: the group that is worked on stands open, the others as one row each. */
const bench = useBench()
useAfterPaint(() => bench.state)
const figures = useFigures()
/** A group of the path, in the order in which it is worked; coil by coil each coil is one. */
const groups = computed(() => {
  const found = new Map<string, { key: string; title: string; steps: StepState[] }>()
  for (const one of bench.steps) {
    const { group, coil } = one.step
    const key = keyOf(one)
    const winding = bench.run?.card.windings.find(({ id }) => id === coil)
    const title = winding ? capital(winding.label) : coil === undefined ? groupWords[group] : capital(label(one))
    const known = found.get(key) ?? { key, title, steps: [] }
    known.steps.push(one)
    found.set(key, known)
  }
  return [...found.values()]
})
const keyOf = ({ step: { group, coil } }: Pick<StepState, 'step'>): string => coil ?? group
// of many bars or leads the one that is open stands below the edge
const path = ref<HTMLElement>()
function showHere(): void {
  const { scrollHeight = 0, clientHeight = 0 } = path.value ?? {}
  if (scrollHeight > clientHeight) path.value?.querySelector('.here')?.scrollIntoView({ block: 'nearest' })
}
// what asks how high it is waits until it has been drawn
watch(
  () => bench.stepId,
  () => afterPaint(showHere),
)
useResizeObserver(path, showHere)
/** what was taken off, the last first: so it goes back */
const off = computed(() =>
  stillOff(bench.state?.tape.works ?? []).flatMap(({ place }) => (bench.run ? workPlace(bench.run.card, place) : [])),
)
const openGroup = computed(() => bench.current && keyOf(bench.current))

const label = ({ step }: StepState) => (bench.run ? stepLabel(bench.run.card, step, figures) : '')

/** a set of many items stands as one row while another test is worked on */
const manyItems = 6
interface Row {
  key: string
  one?: StepState
  set?: { steps: StepState[]; read: number; label: string }
}
function rows(steps: StepState[]): Row[] {
  const here = bench.current && 'check' in bench.current.step ? bench.current.step.check : undefined
  const found = new Map<string, Row>()
  for (const one of steps) {
    const { step } = one
    const items =
      step.kind === 'reading' && step.point.index !== undefined && step.check !== here
        ? steps.filter((other) => 'check' in other.step && other.step.check === step.check)
        : []
    if (items.length <= manyItems || step.kind !== 'reading') found.set(step.id, { key: step.id, one })
    else
      found.set(step.check, {
        key: step.check,
        set: {
          steps: items,
          read: items.filter(({ status }) => status !== 'to-do').length,
          label: bench.run ? checkLabel(bench.run.card, step.check) : '',
        },
      })
  }
  return [...found.values()]
}
const firstOpen = (steps: StepState[]) =>
  steps.find(({ status }) => status === 'to-do')?.step.id ?? steps[0]?.step.id ?? null

/** Where a name may be broken: behind a dash between two wires, or a stroke within one. */
const pieces = (one: StepState) => label(one).split(/(?<=[–/])/)

function mark(one: StepState): Mark | undefined {
  if (one.status === 'to-do') return undefined
  if (one.status === 'skipped') return 'skipped'
  if (one.step.kind === 'reading' || one.step.kind === 'answer')
    return one.point?.held || one.status === 'held' ? 'none' : (one.point?.verdict ?? 'none')
  return one.status === 'flagged' ? 'flagged' : 'done'
}
const side = (one: StepState) => (one.point?.evaluation ? sideOf(one.point.evaluation) : 'other')
function value(one: StepState): string {
  if (!one.point?.evaluation) return ''
  const { digits, moves } = takenParts(one.point.evaluation, figures)
  return moves === undefined ? digits : 'drops out'
}
</script>

<template>
  <nav ref="path" class="path" aria-label="Path">
    <section v-for="{ key, title, steps } in groups" :key="key" :class="{ open: key === openGroup }">
      <template v-if="key === openGroup">
        <h2>{{ title }}</h2>
        <ul>
          <li v-for="{ key: row, one, set } in rows(steps)" :key="row">
            <button v-if="set" class="plain step todo" @click="bench.goTo(firstOpen(set.steps))">
              <span class="slot" /><span class="words">{{ set.label }}</span
              ><span class="n">{{ set.read }}/{{ set.steps.length }}</span>
            </button>
            <button
              v-else-if="one"
              class="plain step"
              :class="{ here: one.step.id === bench.stepId, todo: one.status === 'to-do' }"
              :aria-current="one.step.id === bench.stepId ? 'step' : undefined"
              @click="bench.goTo(one.step.id)"
            >
              <span class="slot"
                ><VerdictMark v-if="mark(one)" :mark="mark(one) ?? 'none'" :side="side(one)" :size="15"
              /></span>
              <span class="words"
                ><template v-for="(piece, i) in pieces(one)" :key="i">{{ piece }}<wbr /></template
              ></span>
              <span class="n" :class="{ said: one.point?.evaluation?.entry.reading.kind === 'answer' }">{{
                one.length ? 'length?' : one.status === 'again' ? 'again' : value(one)
              }}</span>
            </button>
          </li>
        </ul>
      </template>
      <button v-else class="plain group" @click="bench.goTo(firstOpen(steps))">
        <span class="title">{{ title }}</span>
        <span class="marks"
          ><template v-for="one in steps" :key="one.step.id"
            ><VerdictMark v-if="mark(one)" :mark="mark(one) ?? 'none'" :side="side(one)" :size="12" /><span
              v-else
              class="blank"
              aria-hidden="true" /></template
        ></span>
      </button>
    </section>
    <section v-if="off.length > 0" class="off">
      <h2>To refit</h2>
      <ul>
        <li v-for="place in off" :key="place">{{ place }}</li>
      </ul>
    </section>
  </nav>
</template>

<style scoped src="./pathColumn.css"></style>
