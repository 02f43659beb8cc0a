<script setup lang="ts">
import type { PlannedCoil } from '@sure-spool/core'
import { computed } from 'vue'
import { useFigures } from '../words/figures'
import { wireWords } from '../words/rewind'

/** The same aim in the next wires, side by side. */
const props = defineProps<{ wires: (PlannedCoil & { size: { awg?: number; bareMm?: number }; chosen: boolean })[] }>()
const figures = useFigures()
const hasBuild = computed(() => props.wires.some(({ buildMm }) => buildMm !== undefined))
const hasWindow = computed(() => props.wires.some(({ fill }) => fill !== undefined))
</script>

<template>
  <table v-if="wires.length > 0">
    <caption class="unseen">
      The same aim in the next wires
    </caption>
    <thead>
      <tr>
        <th>wire</th>
        <th>turns</th>
        <th>ohms</th>
        <th>metres</th>
        <th>grams</th>
        <th v-if="hasBuild">builds</th>
        <th v-if="hasWindow">fills</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in wires" :key="wireWords(one.size, figures)" :class="{ chosen: one.chosen }">
        <td>{{ wireWords(one.size, figures) }}</td>
        <td class="n">{{ Math.round(one.turns) }}</td>
        <td class="n">{{ figures.bound(Number(one.ohms20.toPrecision(4))) }}</td>
        <td class="n">{{ figures.plain(one.metres, 3) }}</td>
        <td class="n">{{ figures.plain(one.grams, 3) }}</td>
        <td v-if="hasBuild" class="n">{{ one.buildMm === undefined ? '' : figures.plain(one.buildMm, 3) }}</td>
        <td v-if="hasWindow" class="n" :class="{ over: (one.fill ?? 0) > 1 }">
          {{ Math.round(100 * (one.fill ?? 0)) }}&#x2009;%
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped src="./planForm.css"></style>
