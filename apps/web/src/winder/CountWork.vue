<script setup lang="ts">
import { computed } from 'vue'
import FigureBox from '../bench/FigureBox.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { keptText } from '../reading/line'
import { useFigures } from '../words/figures'
import { layWords, wireWords } from '../words/rewind'
import type { Winding } from './useWinding'

/** Turns that are counted off or on, and the wire that is measured: the figure, what is left to do, and its keys. */
const props = defineProps<{ winding: Winding }>()
const figures = useFigures()
const { kind, coil, line, turns, lay, machine, meter, fits, build } = props.winding
const target = computed(() => {
  const planned = coil.value?.planned
  return kind.value === 'wind' && planned ? Math.round(planned.turns) : undefined
})
const left = computed(() => (target.value === undefined ? undefined : target.value - turns.value))
const digits = computed(() =>
  line.value ? keptText(line.value) || ' ' : kind.value === 'wire' ? '–' : String(turns.value),
)
const unit = computed(() => (kind.value === 'wire' ? 'mm' : 'turns'))
</script>

<template>
  <FigureBox label="Type the figure" :digits="digits" :unit="unit" :typed="line?.text ?? null" @type="winding.put" />
  <p v-if="left !== undefined" class="left" aria-live="polite">
    <template v-if="left > 0"
      ><strong class="n">{{ left }}</strong> to go of {{ target
      }}<template v-if="left <= 10">: the last ones</template></template
    ><template v-else-if="left === 0">That is all {{ target }} of them.</template
    ><template v-else>{{ -left }} more than the {{ target }} that were planned.</template>
  </p>
  <p v-if="kind === 'wind' && lay" class="left">
    laid <strong>{{ layWords[lay] }}</strong><template v-if="machine"
      >: turn the machine {{ layWords[machine] }}</template
    >
  </p>
  <p class="acts">
    <template v-if="kind !== 'wire'"
      ><ScreenKey act="one" /><ScreenKey act="ten" /><ScreenKey main act="counted" /><ScreenKey act="soFar"
    /></template>
    <template v-if="kind === 'wind'"
      ><ScreenKey act="ground" /><ScreenKey act="beep" /><ScreenKey act="mended" /><ScreenKey act="alike" /><ScreenKey
        act="meter"
        :label="meter?.name ?? 'next meter'" /><ScreenKey act="splice" /><ScreenKey act="restart" /><slot
    /></template>
    <ScreenKey v-if="kind !== 'wind'" act="unknown" /><ScreenKey
      v-if="kind === 'wire'"
      act="build"
      :label="build ? `${build} film` : 'either film'"
    />
  </p>
  <div v-if="kind === 'wire' && fits.length > 0" class="choices">
    <ScreenKey
      v-for="(fit, i) in fits"
      :key="i"
      act="take"
      :at="i"
      :label="wireWords(fit, figures)"
      :hint="`${figures.plain(fit.overallMm, 4)} mm over its film`"
      :main="fits.length === 1"
    />
  </div>
</template>

<style scoped src="./winderScreen.css"></style>
