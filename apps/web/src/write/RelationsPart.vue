<script setup lang="ts">
import { proposedRelations, type Relation } from '@sure-spool/core'
import { computed } from 'vue'
import KeyButton from '../parts/KeyButton.vue'
import { checkLabel } from '../words/points'
import { useWriting } from './parts'
import TextField from '../fields/TextField.vue'

/** What holds between readings: those that follow from the windings are proposed, one press takes one. */
const { card, change } = useWriting()
const proposed = computed(() => {
  const [source] = card().sources
  return source ? proposedRelations(card(), source.id) : []
})
const said = (relation: Relation): string => {
  const name = (id: string) => checkLabel(card(), id)
  switch (relation.kind) {
    case 'sum':
      return `${relation.parts.map(name).join(' + ')} = ${name(relation.whole)}`
    case 'ratio':
      return `${name(relation.of)} : ${name(relation.to)} = ${relation.ratio} ±${relation.withinPct} %`
    case 'unbalance':
      return `${relation.checks.map(name).join(', ')} apart by at most ${relation.maxPct} %`
    case 'equal':
      return `${relation.checks.map(name).join(', ')} alike within ${relation.withinPct} %`
    case 'twin':
      return `${name(relation.check)} like its twin within ${relation.withinPct} %`
    case 'above':
      return `${name(relation.check)} above ${name(relation.than)} by ${relation.by}`
    case 'draw':
      return `${name(relation.amps)} as volts over ${name(relation.ohms)}, within ${relation.withinPct} %`
    case 'kind-of-three':
      return `${name(relation.check)} is ${relation.must}`
  }
}
const take = (relation: Relation) => change((one) => void one.relations.push(relation))
/** A part alone is judged against its twin; the pair it is judged on is the card's first reading. */
const twinOf = computed(() => {
  const [first] = card().checks.filter(({ kind }) => kind === 'resistance')
  const has = card().relations.some(({ kind }) => kind === 'twin')
  return has || !first ? undefined : first
})
const addTwin = () =>
  change((one) => {
    const [source] = one.sources
    const first = twinOf.value
    if (!first || !source) return
    const numbers = one.relations.map(({ id }) => Number(id.replace(/\D/g, '')) || 0)
    const id = `r${Math.max(0, ...numbers) + 1}`
    one.relations.push({ id, label: 'like its twin', source: source.id, kind: 'twin', check: first.id, withinPct: 5 })
  })
const setWithin = (id: string, text: string) => {
  const value = Number(text.replace(',', '.'))
  if (!(value > 0 && value <= 1000)) return
  change((one) => {
    const relation = one.relations.find((each) => each.id === id)
    if (relation && 'withinPct' in relation) relation.withinPct = value
    else if (relation && 'maxPct' in relation) relation.maxPct = value
  }, `${id}.within`)
}
const within = (relation: Relation) =>
  'withinPct' in relation ? relation.withinPct : 'maxPct' in relation ? relation.maxPct : undefined
</script>

<template>
  <div class="rows">
    <div v-for="relation in card().relations" :key="relation.id" class="row relation">
      <TextField
        :label="said(relation)"
        :model-value="relation.label"
        @update:model-value="
          change((one) => {
            const found = one.relations.find(({ id }) => id === relation.id)
            if (found) found.label = $event
          }, `${relation.id}.label`)
        "
      />
      <TextField
        v-if="within(relation) !== undefined"
        label="within %"
        :model-value="String(within(relation))"
        @update:model-value="setWithin(relation.id, $event)"
      />
      <span v-else />
      <KeyButton
        quiet
        label="take off"
        @press="change((one) => (one.relations = one.relations.filter(({ id }) => id !== relation.id)))"
      />
    </div>
    <p v-for="relation in proposed" :key="relation.id" class="adds">
      <KeyButton :label="`take: ${said(relation)}`" @press="take(relation)" />
    </p>
    <p v-if="twinOf && card().sources.length > 0" class="adds">
      <KeyButton quiet :label="`judge ${twinOf.label} against a twin`" @press="addTwin" />
    </p>
    <p v-if="card().relations.length === 0 && proposed.length === 0" class="muted">
      Nothing follows from the windings yet: draw them, give each a check, and name a source.
    </p>
  </div>
</template>

<style scoped>
.relation {
  grid-template-columns: 1fr 110px auto;
}
</style>
