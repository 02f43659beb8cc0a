<script setup lang="ts">
/** The figure, biggest on the screen, and the place where it is typed: the keys reach it from anywhere on the bench. */
defineProps<{
  digits: string
  unit: string
  /** what stands in the line while one is open */
  typed: string | null
  /** the prefix by its name, where it must be seen */
  prefix?: string
  /** it was taken on another step */
  other?: boolean
  label: string
}>()
defineEmits<{ type: [text: string] }>()
</script>

<template>
  <label class="figure-box">
    <span class="unseen">{{ label }}</span>
    <input
      class="tap"
      data-line
      inputmode="decimal"
      autocomplete="off"
      tabindex="-1"
      :value="typed ?? ''"
      @input="$emit('type', ($event.target as HTMLInputElement).value)"
    />
    <span
      class="big n"
      :class="{ long: digits.length > 6, longer: digits.length > 9, open: typed !== null, other }"
      data-testid="figure"
      >{{ digits }}</span
    >
    <span class="unit n">{{ unit }}</span>
    <span v-if="prefix" class="prefix">{{ prefix }}</span>
  </label>
</template>

<style scoped>
.figure-box {
  display: flex;
  align-items: baseline;
  gap: 12px;
  border-bottom: 2px solid var(--ink);
  min-height: 108px;
  position: relative;
  cursor: text;
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
  .big.longer {
    font-size: 36px;
  }
  .unit {
    font-size: 30px;
  }
}
@media (max-width: 900px) {
  .big {
    font-size: 88px;
  }
}
</style>
