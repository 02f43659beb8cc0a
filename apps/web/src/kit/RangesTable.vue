<script setup lang="ts">
import { unitSign, type Instrument, type MeterRange, type Quantity } from '@sure-spool/core'
import Column from 'primevue/column'
import { computed } from 'vue'
import RuledTable from '../tables/RuledTable.vue'
import { useFigures } from '../words/figures'

/** The ranges of a meter, function by function: how far each goes, its last digit, its accuracy. */
const props = defineProps<{ meter: Instrument }>()
const figures = useFigures()
const rows = computed(() =>
  props.meter.functions.flatMap(({ quantity, ranges }) =>
    ranges.map((range, at) => ({
      key: `${quantity} ${range.fullScale}`,
      measures: at === 0 ? quantity : '',
      upTo: figures.bound(range.fullScale, quantity),
      step: stepOf(range.resolution, quantity),
      accuracy: accuracyOf(range),
    })),
  ),
)
const stepOf = (step: number, quantity: Quantity) =>
  step < 0.001 ? `${figures.plain(step)}\u2009${unitSign(quantity)}` : figures.bound(step, quantity)
const accuracyOf = ({ percentOfReading, counts }: MeterRange) =>
  percentOfReading === undefined && counts === undefined
    ? 'no accuracy stated: 1 % and 3 counts are assumed'
    : `${figures.plain(percentOfReading ?? 0)} % + ${counts ?? 0}`
</script>

<template>
  <RuledTable :rows="rows" row-key="key" :label="`Ranges of ${meter.name}`">
    <Column field="measures" header="measures" style="width: 26%" />
    <Column field="upTo" header="up to" class="n" style="width: 22%" />
    <Column field="step" header="step" class="n" style="width: 22%" />
    <Column field="accuracy" header="accuracy, % + counts" class="n" />
  </RuledTable>
</template>
