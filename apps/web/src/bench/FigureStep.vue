<script setup lang="ts">
import { computed } from 'vue'
import ScreenKey from '../keys/ScreenKey.vue'
import { keptText, type Line } from '../reading/line'
import { useBench } from '../store/bench'
import { useShop } from '../store/shop'
import FigureBox from './FigureBox.vue'

/** A figure beside the readings, and how it was taken: the part's warmth, the leads, the supply's volts, the frame. */
const props = defineProps<{ kind: string; line: Line | null; problem: string }>()
defineEmits<{ type: [text: string] }>()
const bench = useBench()
const shop = useShop()
const isCelsius = computed(() => shop.units.temperature === '°C')
const within = (celsius: number) => `${isCelsius.value ? celsius : (celsius * 9) / 5} ${shop.units.temperature}`
/** ohms that a new temperature could be of */
const wasRead = computed(() => (bench.state?.tape.readings.length ?? 0) > 0)
const ways = computed(() => {
  const two = (first: [string, string, boolean], second: [string, string]) => [
    { label: first[0], hint: first[1], main: first[2] },
    { label: second[0], hint: second[1], main: !first[2] },
  ]
  if (props.kind === 'temperature')
    return [
      { label: 'the room’s', hint: `good to ±${within(5)} for the part`, main: bench.temperatureFrom === 'room' },
      {
        label: 'measured on the part',
        hint: `good to ±${within(2)}${wasRead.value ? ', of what was just read too' : ''}`,
        main: bench.temperatureFrom === 'measured',
      },
      ...(wasRead.value
        ? [
            {
              label: 'warmed since',
              hint: 'measured; what was read stays cold',
              main: bench.temperatureFrom === 'hot',
            },
          ]
        : []),
    ]
  if (props.kind === 'leads')
    return two(
      ['zeroed in the meter', 'the meter shows 0 now', bench.zeroHow === 'hardware'],
      ['take it off by arithmetic', 'counts for earlier readings too'],
    )
  if (props.kind === 'supply')
    return two(
      ['while it draws', 'what counts', bench.supplyWhile === 'on'],
      ['with nothing on it', 'a supply sags when it works'],
    )
  return []
})
const unit = computed(() =>
  props.kind === 'temperature' ? shop.units.temperature : props.kind === 'supply' ? 'V' : 'Ω',
)
</script>

<template>
  <div v-if="ways.length > 0" class="choices">
    <ScreenKey v-for="(way, i) in ways" :key="way.label" act="pick" :at="i" v-bind="way" />
  </div>
  <FigureBox
    class="box"
    label="Type the figure"
    :digits="line ? keptText(line) || ' ' : '–'"
    :unit="unit"
    :typed="line?.text ?? null"
    @type="$emit('type', $event)"
  />
  <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  <p v-else class="muted">Type the figure, Enter keeps it. <kbd>s</kbd> skips with a reason.</p>
</template>

<style scoped>
.choices {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 10px;
}
.choices :deep(.key-button) {
  width: 100%;
}
.box {
  max-width: 480px;
}
.problem {
  color: var(--outside);
  font-weight: 650;
  font-size: 18px;
}
</style>
