<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { standingKeys } from './registry'
import { capOf, isThere, type KeyAct } from './statement'

/** What the keys do on the screen that stands, as it states them: what is there now first, the rest in grey. */
defineEmits<{ close: [] }>()
const groups = [...standingKeys()].reverse().map(({ statement, situation }) => {
  const now = situation()
  const rows = (acts: KeyAct[]) =>
    acts.map((act) => ({ cap: act.cap ?? act.keys.map((key) => capOf({ ...act, keys: [key] })).join(' '), act }))
  const acts = Object.values(statement.acts)
  return {
    name: statement.screen,
    now: rows(acts.filter((act) => isThere(act, now))),
    later: rows(acts.filter((act) => !isThere(act, now))),
  }
})
</script>

<template>
  <Dialog
    :visible="true"
    modal
    header="Keys"
    :style="{ width: '900px', maxWidth: '94vw' }"
    @update:visible="$emit('close')"
  >
    <section v-for="group in groups" :key="group.name" class="group">
      <h2>{{ group.name }}</h2>
      <dl>
        <div v-for="{ cap, act } in group.now" :key="act.label + cap">
          <dt>{{ cap }}</dt>
          <dd>{{ act.label }}</dd>
        </div>
        <div v-for="{ cap, act } in group.later" :key="act.label + cap" class="muted">
          <dt>{{ cap }}</dt>
          <dd>{{ act.label }}</dd>
        </div>
      </dl>
    </section>
    <p class="muted">
      Grey ones are there at another moment of this screen. While a line is open the letters belong to it, and the caps
      fade. On a focused button Enter and Space are the button’s own.
    </p>
  </Dialog>
</template>

<style scoped>
.group {
  margin-bottom: 18px;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 4px 24px;
  margin-top: 8px;
}
dl div {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  gap: 12px;
  align-items: baseline;
}
dt {
  font: 500 15px var(--figures);
}
</style>
