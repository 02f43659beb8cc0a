<script setup lang="ts">
import ScreenKey from '../keys/ScreenKey.vue'

/** What can be done with the reading: while a line is open keep or clear it, else take one again or back. */
defineProps<{ typing: boolean; reading: boolean; beeps: boolean; rest: boolean }>()
</script>

<template>
  <div class="doing">
    <!-- both stay: a row of buttons made anew with every figure costs more than the figure -->
    <div v-show="typing" class="group"><ScreenKey main act="keepLine" /><ScreenKey act="clearLine" /></div>
    <div v-show="reading && !typing" class="group">
      <ScreenKey quiet act="again" />
      <ScreenKey quiet act="mistyped" />
      <ScreenKey quiet act="takeBack" />
      <ScreenKey quiet act="over" />
      <template v-if="beeps"><ScreenKey quiet act="beep" /><ScreenKey quiet act="noBeep" /></template>
      <ScreenKey v-if="rest" quiet act="rest" />
      <ScreenKey quiet act="decide" />
    </div>
  </div>
</template>

<style scoped>
.doing {
  display: flex;
  gap: 10px;
  padding: 6px 22px;
  border-top: 1px solid var(--hairline);
  min-height: 58px;
}
.group {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
</style>
